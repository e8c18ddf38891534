import type { Label } from '../build';
import { mm, type Paper, type Sheet, type SheetNode } from './sheetNodes';

/** A sheet of stickers: how many across and down, and where they lie, mm. */
export interface LabelGrid {
  readonly name: string;
  readonly paper: Paper;
  readonly across: number;
  readonly down: number;
  readonly leftMm: number;
  readonly topMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly gapMm: number;
}

export const labelGrids = {
  'a4-24': {
    name: 'A4, 3 × 8',
    paper: 'a4',
    across: 3,
    down: 8,
    leftMm: 7.2,
    topMm: 12.9,
    widthMm: 63.5,
    heightMm: 33.9,
    gapMm: 2.5,
  },
  'a4-65': {
    name: 'A4, 5 × 13',
    paper: 'a4',
    across: 5,
    down: 13,
    leftMm: 4.7,
    topMm: 10.7,
    widthMm: 38.1,
    heightMm: 21.2,
    gapMm: 2.5,
  },
  'letter-30': {
    name: 'Letter, 3 × 10',
    paper: 'letter',
    across: 3,
    down: 10,
    leftMm: 4.8,
    topMm: 12.7,
    widthMm: 66.7,
    heightMm: 25.4,
    gapMm: 3.2,
  },
} as const satisfies Record<string, LabelGrid>;

export type LabelGridKey = keyof typeof labelGrids;

/** Labels on stickers, one after the other, each placed by the millimetre. */
export function labelSheet(title: string, labels: readonly Label[], key: LabelGridKey): Sheet {
  const grid: LabelGrid = labelGrids[key];
  const perPage = grid.across * grid.down;
  const content = labels.map(({ text, where }, index): SheetNode => {
    const on = index % perPage;
    const x = mm(grid.leftMm + (on % grid.across) * (grid.widthMm + grid.gapMm) + 3);
    const y = mm(grid.topMm + Math.floor(on / grid.across) * grid.heightMm + 3);
    return {
      ...(index > 0 && on === 0 ? { pageBreak: 'before' } : {}),
      absolutePosition: { x, y },
      table: {
        widths: [mm(grid.widthMm - 6)],
        body: [
          [
            {
              stack: [
                { text, font: 'AtkinsonBold', fontSize: 9.5 },
                { text: where, fontSize: 7 },
              ],
            },
          ],
        ],
      },
      layout: 'noBorders',
    };
  });
  return { paper: grid.paper, title, head: ['', ''], foot: '', content, margins: [0, 0, 0, 0] };
}
