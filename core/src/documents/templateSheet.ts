import type { BuildList } from '../build';
import { mm, papers, type Paper, type Sheet, type SheetNode } from './sheetNodes';

/** Kept free at each edge, since printers do not reach it, mm. */
const EDGE_MM = 12;
const RULE_MM = 50;

const line = (x1: number, y1: number, x2: number, y2: number) => ({ type: 'line', x1, y1, x2, y2, lineWidth: 0.5 });

/** A cross at a point, points. */
const cross = (x: number, y: number, arm = mm(4)) => [line(x - arm, y, x + arm, y), line(x, y - arm, x, y + arm)];

/** A line of 50 mm by which a print is checked, and what it is for. */
function checkRule(topMm: number): SheetNode[] {
  const [x, y] = [mm(EDGE_MM), mm(topMm)];
  return [
    {
      absolutePosition: { x, y },
      canvas: [line(0, 0, mm(RULE_MM), 0), line(0, -4, 0, 4), line(mm(RULE_MM), -4, mm(RULE_MM), 4)],
    },
    {
      absolutePosition: { x, y: y + 6 },
      text: `Print at full size, not fitted to the page: this line measures ${RULE_MM} mm.`,
    },
  ];
}

/** What a template is of, and what does not fit on its paper. */
export interface Template {
  readonly sheet: Sheet | null;
  /** Why there is none. */
  readonly because: string | null;
}

/** The holes of a circuit at full size, to be taped on and drilled through. */
export function templateSheet(title: string, { cutOuts: { panel, outlet } }: BuildList, paper: Paper): Template {
  if (!panel && !outlet)
    return { sheet: null, because: 'Measure the panel or the skin fitting’s thread first, under Parts.' };
  const { widthMm, heightMm } = papers[paper];
  const holeMm = outlet ? outlet.holeM * 1000 : 0;
  const [wideMm, highMm] = panel ? [panel.widthM * 1000, panel.heightM * 1000] : [0, 0];
  const topMm = 44;
  const needsMm = topMm + highMm + (panel && outlet ? 20 : 0) + holeMm + EDGE_MM;
  if (Math.max(wideMm, holeMm) > widthMm - 2 * EDGE_MM || needsMm > heightMm)
    return { sheet: null, because: `It is larger than the paper: mark it out by its figures, corners first.` };
  const corner = panel ? mm(panel.cornerM * 1000) : 0;
  const [w, h] = [mm(wideMm), mm(highMm)];
  const panelNodes: SheetNode[] = panel
    ? [
        {
          absolutePosition: { x: mm(EDGE_MM), y: mm(topMm) },
          canvas: [
            { type: 'rect', x: 0, y: 0, w, h, r: corner, lineWidth: 0.8 },
            ...[corner, w - corner].flatMap((x) => [corner, h - corner].flatMap((y) => cross(x, y))),
          ],
        },
        {
          absolutePosition: { x: mm(EDGE_MM + 6), y: mm(topMm + 8) },
          text: `Panel ${wideMm.toFixed(1)} × ${highMm.toFixed(1)} mm. Drill the corners first. Look behind.`,
          fontSize: 9,
        },
      ]
    : [];
  const below = panel ? topMm + highMm + 20 : topMm;
  const outletNodes: SheetNode[] = outlet
    ? [
        {
          absolutePosition: { x: mm(EDGE_MM), y: mm(below) },
          canvas: [
            {
              type: 'ellipse',
              x: mm(holeMm / 2),
              y: mm(holeMm / 2),
              r1: mm(holeMm / 2),
              r2: mm(holeMm / 2),
              lineWidth: 0.8,
            },
            ...cross(mm(holeMm / 2), mm(holeMm / 2)),
          ],
        },
        {
          absolutePosition: { x: mm(EDGE_MM + holeMm + 6), y: mm(below + holeMm / 2 - 3) },
          text: `Skin fitting, hole ${holeMm.toFixed(1)} mm. Pilot in the cross.`,
          fontSize: 9,
        },
      ]
    : [];
  const content: SheetNode[] = [
    { absolutePosition: { x: mm(EDGE_MM), y: mm(EDGE_MM) }, text: title, font: 'AtkinsonBold', fontSize: 12 },
    ...checkRule(24),
    ...panelNodes,
    ...outletNodes,
  ];
  return {
    sheet: { paper, title, head: ['', ''], foot: '', content, margins: [0, 0, 0, 0] },
    because: null,
  };
}
