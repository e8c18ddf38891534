import type { Band, Role } from '../schemes';
import { GRID, WORD_LINE, WORD_SIZE, type Diagram, type DiagramPart, type PlacedPart } from './diagram';
import type { Box, Point } from './geometry';
import { shapeOf } from './symbols';
import { textWidth } from './textWidth';

const laneOrder: readonly Role[] = ['manual', 'supply', 'auto', 'negative'];
const bandOrder: readonly Band[] = ['source', 'panel', 'bilge'];

const MARGIN = 10;
/** Width of the strip at a band's left edge that bears its name. */
export const BAND_STRIP = 30;
const FIRST_LANE = BAND_STRIP + 30;
const LAST_LANE = 40;
const BAND_PADDING = 14;
/** A band is at least as high as its name is long, px. */
const LEAST_BAND = 150;
/** Between rows whose conductors bear no words. */
const PLAIN_GAP = 30;
/** Room between two bands, where cables cross. */
const BAND_GAP = 40;

/** Room left between rows for conductors and their words, px; the layout raises it until all words have a place. */
export interface Spacing {
  readonly rowGap: number;
  /** At a band's top, where conductors from the band above come in. */
  readonly entry: number;
}

export interface Placement {
  readonly width: number;
  readonly height: number;
  readonly parts: readonly PlacedPart[];
  readonly bands: readonly { readonly band: Band; readonly box: Box }[];
}

/** Gives every part its lane (by the conductor it stands in) and its row (by its distance from the source). */
export function placeParts(diagram: Diagram, width: number, spacing: Spacing): Placement {
  const lanes = laneOrder.filter((role) => diagram.parts.some((part) => part.role === role) || role === 'manual');
  const laneStep = onGrid((width - FIRST_LANE - LAST_LANE - 2 * MARGIN) / Math.max(1, lanes.length - 1));
  const laneX = (role: Role) => MARGIN + FIRST_LANE + Math.max(0, lanes.indexOf(role)) * laneStep;
  const ranks = rankParts(diagram);
  const bands: { band: Band; box: Box }[] = [];
  const parts: PlacedPart[] = [];
  let top = MARGIN;
  for (const band of bandOrder) {
    const inside = diagram.parts.filter((part) => part.band === band);
    if (inside.length === 0) continue;
    const rows = rowsOf(inside, ranks, (part) => spanOf(part, laneX(part.role), laneStep));
    let y = top + BAND_PADDING + (bands.length === 0 ? 0 : spacing.entry);
    let bottom = y;
    rows.forEach((row, index) => {
      const shapes = row.map((part) => ({ part, shape: shapeOf(part.part, { laneStep }) }));
      const above = Math.max(...shapes.map(({ shape }) => Math.max(-shape.box.y, -(shape.words.y - WORD_LINE / 2))));
      const below = Math.max(
        ...shapes.map(({ part, shape }) =>
          Math.max(shape.box.y + shape.box.height, shape.words.y + (part.words.length - 0.5) * WORD_LINE),
        ),
      );
      const rowY = onGrid(y + above + GRID / 2);
      for (const { part } of shapes) parts.push(placed(part, { x: laneX(part.role), y: rowY }, laneStep));
      bottom = rowY + below;
      y = bottom + (hasWords(diagram, row, rows[index + 1]) ? spacing.rowGap : PLAIN_GAP);
    });
    const end = Math.max(onGrid(bottom + BAND_PADDING + GRID / 2), onGrid(top + LEAST_BAND));
    bands.push({ band, box: { x: MARGIN, y: top, width: width - 2 * MARGIN, height: end - top } });
    top = end + BAND_GAP;
  }
  return { width, height: top - BAND_GAP + MARGIN, parts, bands };
}

/** True when a conductor with words runs between the two rows. */
function hasWords(diagram: Diagram, row: readonly DiagramPart[], next: readonly DiagramPart[] | undefined): boolean {
  const within = (id: string, parts: readonly DiagramPart[]) => parts.some(({ part }) => part.id === id);
  return diagram.wires.some(
    ({ from, to, words }) =>
      words.length > 0 &&
      next !== undefined &&
      ((within(from.part, row) && within(to.part, next)) || (within(to.part, row) && within(from.part, next))),
  );
}

function placed(part: DiagramPart, at: Point, laneStep: number): PlacedPart {
  const shape = shapeOf(part.part, { laneStep });
  const wide = Math.max(0, ...part.words.map((line) => textWidth(line, WORD_SIZE)));
  return {
    ...part,
    at,
    laneStep,
    box: { ...shape.box, x: at.x + shape.box.x, y: at.y + shape.box.y },
    wordsBox: {
      x: at.x + shape.words.x,
      y: at.y + shape.words.y - WORD_LINE / 2,
      width: wide,
      height: part.words.length * WORD_LINE,
    },
  };
}

type Span = readonly [from: number, to: number];

/** What a part takes up across the page, its words included. */
function spanOf(part: DiagramPart, x: number, laneStep: number): Span {
  const { box, words } = shapeOf(part.part, { laneStep });
  const wide = Math.max(0, ...part.words.map((line) => textWidth(line, WORD_SIZE)));
  return [x + Math.min(box.x, words.x), x + Math.max(box.x + box.width, words.x + wide)];
}

/** Rows from top to bottom: parts of equal distance share a row when they do not stand in each other's way. */
function rowsOf(
  parts: readonly DiagramPart[],
  ranks: ReadonlyMap<string, number>,
  span: (part: DiagramPart) => Span,
): DiagramPart[][] {
  const rows: DiagramPart[][] = [];
  const sorted = [...parts].sort((a, b) => (ranks.get(a.part.id) ?? 0) - (ranks.get(b.part.id) ?? 0));
  for (const part of sorted) {
    const last = rows[rows.length - 1];
    const sameRank = last?.[0] && ranks.get(last[0].part.id) === ranks.get(part.part.id);
    if (last && sameRank && last.every((other) => apart(span(other), span(part)))) last.push(part);
    else rows.push([part]);
  }
  return rows;
}

function apart([from, to]: Span, [otherFrom, otherTo]: Span): boolean {
  return to < otherFrom || otherTo < from;
}

/** Longest way from the source to each part, counted in conductors; ways back to the source do not count. */
function rankParts(diagram: Diagram): Map<string, number> {
  const order = new Map(diagram.parts.map((part) => [part.part.id, bandOrder.indexOf(part.band)]));
  const ranks = new Map(diagram.parts.map((part) => [part.part.id, 0]));
  for (let pass = 0; pass < diagram.parts.length; pass += 1) {
    for (const { from, to } of diagram.wires) {
      const upwards = (order.get(from.part) ?? 0) > (order.get(to.part) ?? 0);
      if (upwards || isSource(diagram, to.part)) continue;
      const rank = (ranks.get(from.part) ?? 0) + 1;
      if (rank > (ranks.get(to.part) ?? 0)) ranks.set(to.part, Math.min(rank, diagram.parts.length));
    }
  }
  // A bus hangs beside the row below the battery.
  for (const { part } of diagram.parts) if (part.kind === 'negative-bus') ranks.set(part.id, 1);
  return ranks;
}

function isSource(diagram: Diagram, id: string): boolean {
  return diagram.parts.some(({ part }) => part.id === id && part.kind === 'battery');
}

export function onGrid(value: number): number {
  return Math.round(value / GRID) * GRID;
}
