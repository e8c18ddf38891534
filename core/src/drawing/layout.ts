import {
  GRID,
  WORD_SIZE,
  type Diagram,
  type DiagramWire,
  type Drawing,
  type PlacedPart,
  type PlacedWire,
} from './diagram';
import { aroundSegment, grown, overlaps, segments, within, type Box, type Point } from './geometry';
import { hopsOf } from './hops';
import { placeWords } from './label';
import { BAND_STRIP, onGrid, placeParts, type Placement, type Spacing } from './place';
import { RoutingField } from './route';
import { textWidth } from './textWidth';

const roomy: readonly Spacing[] = [
  { rowGap: 60, entry: 50 },
  { rowGap: 80, entry: 80 },
  { rowGap: 110, entry: 120 },
];

/** Narrower than this, px, words no longer find their places: draw at this width and scale. */
export const LEAST_WIDTH = 380;

/**
 * Lays a circuit out at a given width: parts in their bands and lanes, conductors
 * routed between them, words where nothing else stands. Room is added until
 * every word has a place.
 * @param width px, `LEAST_WIDTH` or more
 */
export function layoutDiagram(diagram: Diagram, width: number): Drawing {
  let best: Drawing | undefined;
  for (const spacing of roomy) {
    const placement = placeParts(diagram, onGrid(width), spacing);
    let first: readonly string[] = [];
    // Whoever found no way or no place comes first in the next try.
    for (let attempts = 0; attempts < TRIES; attempts += 1) {
      const drawing = attempt(diagram, placement, first);
      if (!best || drawing.crowded.length < best.crowded.length) best = drawing;
      if (best.crowded.length === 0) return best;
      first = [...new Set([...drawing.crowded, ...first])];
    }
  }
  if (!best) throw new RangeError('No spacing to lay the drawing out with.');
  return best;
}

/** How often a spacing is tried, each time with those first that were left over before. */
const TRIES = 4;

function attempt(diagram: Diagram, placement: Placement, first: readonly string[]): Drawing {
  const { width } = placement;
  const lines = routeAll(diagram.wires, placement, first);
  const cables = placeCables(diagram, placement, lines);
  const field = { x: 4, y: 4, width: width - 8, height: placement.height - 8 };
  const run = [...lines.values()].flatMap((line) => segments(line).map(([a, b]) => aroundSegment(a, b, 4)));
  const fixed: Box[] = [
    ...placement.parts.map(({ box }) => box),
    ...bandEdges(placement),
    ...cables.map(({ box }) => box),
    ...run,
  ];
  const parts = withWordsClear(placement.parts, fixed, field);
  const taken: Box[] = [...fixed, ...parts.map(({ wordsBox }) => wordsBox)];
  const crowded: string[] = parts
    .filter(({ words, wordsBox }) => words.length > 0 && run.some((box) => overlaps(grown(wordsBox, -2), box)))
    .map(({ part }) => part.id);
  const inTurn = [...diagram.wires].sort((a, b) => Number(first.includes(b.id)) - Number(first.includes(a.id)));
  const wires = inTurn.map((wire): PlacedWire => {
    const points = lines.get(wire.id) ?? [];
    const others = diagram.wires.filter((other) => other.id !== wire.id).map((other) => lines.get(other.id) ?? []);
    const wordsBox =
      wire.words.length === 0 || points.length === 0 ? null : placeWords(wire.words, points, taken, field);
    if (wordsBox) taken.push(wordsBox);
    if (points.length === 0 || (wire.words.length > 0 && !wordsBox && !wire.thin)) crowded.push(wire.id);
    return { ...wire, points, hops: hopsOf(points, others), wordsBox };
  });
  return { width, height: placement.height, bands: placement.bands, parts, wires, cables, crowded };
}

/** Words of parts that a conductor runs through stand on another side of their symbol, where one is free. */
function withWordsClear(parts: readonly PlacedPart[], fixed: readonly Box[], field: Box): PlacedPart[] {
  const placed = parts.map(({ wordsBox }) => wordsBox);
  return parts.map((part, index) => {
    if (part.words.length === 0) return part;
    const others = [...fixed.filter((box) => box !== part.box), ...placed.filter((_box, at) => at !== index)];
    const free = (box: Box) => within(box, field) && !others.some((other) => overlaps(box, other));
    const { box, wordsBox } = part;
    if (free(wordsBox)) return part;
    const level = [0, -10, 10, -20, 20, -30, 30].map((by) => wordsBox.y + by);
    const upright = [0, 14, -14, 28, -28].map((by) => box.x + by);
    const sides: Box[] = [
      ...level.map((y) => ({ ...wordsBox, x: box.x + box.width + 6, y })),
      ...level.map((y) => ({ ...wordsBox, x: box.x - 6 - wordsBox.width, y })),
      ...upright.map((x) => ({ ...wordsBox, x, y: box.y + box.height + 2 })),
      ...upright.map((x) => ({ ...wordsBox, x, y: box.y - 2 - wordsBox.height })),
    ];
    const clear = sides.find(free);
    if (!clear) return part;
    placed[index] = clear;
    return { ...part, wordsBox: clear };
  });
}

/** Where no words may stand: the strips with the bands' names, and the gaps where cables cross. */
function bandEdges({ bands, width }: Placement): Box[] {
  return bands.flatMap(({ box }, index) => {
    const above = bands[index - 1]?.box;
    const strip = { x: box.x, y: box.y, width: BAND_STRIP, height: box.height };
    if (!above) return [strip];
    const gap = above.y + above.height - 4;
    return [strip, { x: 0, y: gap, width, height: box.y + 4 - gap }];
  });
}

function routeAll(wires: readonly DiagramWire[], placement: Placement, first: readonly string[]): Map<string, Point[]> {
  const parts = new Map(placement.parts.map((part) => [part.part.id, part]));
  const field = new RoutingField(placement.width, placement.height, placement.parts, BAND_STRIP + GRID);
  const lines = new Map<string, Point[]>();
  // Straight and short ones first: they have the least choice.
  const turn = (wire: DiagramWire) => (first.includes(wire.id) ? -1 : reach(wire, parts));
  for (const wire of [...wires].sort((a, b) => turn(a) - turn(b))) {
    const line = field.route(wire, parts);
    if (line) lines.set(wire.id, line);
  }
  return lines;
}

function reach(wire: DiagramWire, parts: ReadonlyMap<string, PlacedPart>): number {
  const from = parts.get(wire.from.part)?.at;
  const to = parts.get(wire.to.part)?.at;
  return from && to ? Math.abs(from.x - to.x) * 4 + Math.abs(from.y - to.y) : Infinity;
}

/** A sleeve round the conductors of a cable wherever they cross from one band into the next. */
function placeCables(
  diagram: Diagram,
  placement: Placement,
  lines: ReadonlyMap<string, readonly Point[]>,
): Drawing['cables'] {
  const run = [...lines.values()].flatMap((line) => segments(line).map(([a, b]) => aroundSegment(a, b, 2)));
  const crossings = placement.bands.slice(1).map(({ box }) => box.y - 20);
  return crossings.flatMap((y) => {
    const sleeves = diagram.cables.flatMap(({ wires, words }) => {
      const xs = wires.flatMap((id) => crossingsAt(lines.get(id) ?? [], y));
      return xs.length === 0 ? [] : [{ xs, words, box: sleeveAround(xs, y) }];
    });
    const crossing = [...lines.values()].flatMap((line) => crossingsAt(line, y));
    const taken = [
      ...sleeves.map(({ box }) => box),
      ...crossing.map((x) => ({ x: x - 5, y: y - 11, width: 10, height: 22 })),
    ];
    return sleeves.map(({ xs, words, box }) => {
      const clear = (at: Point | null) => {
        const wide = textWidth(words, WORD_SIZE);
        const around = at && { x: at.x - wide / 2, y: at.y - 7, width: wide, height: 14 };
        return around && !run.some((line) => overlaps(around, line)) ? at : null;
      };
      const wordsAt =
        clear(middleOfWidestGap(crossing.filter(between(xs)), words, y)) ??
        clear(besideSleeve(box, words, taken, placement.width));
      if (wordsAt)
        taken.push({ ...box, x: wordsAt.x - textWidth(words, WORD_SIZE) / 2, width: textWidth(words, WORD_SIZE) });
      return { box, words, wordsAt };
    });
  });
}

/** Picks what lies between the outermost of the given places. */
function between(xs: readonly number[]) {
  return (x: number) => x >= Math.min(...xs) && x <= Math.max(...xs);
}

function sleeveAround(xs: readonly number[], y: number): Box {
  const beyond = xs.length === 1 ? 9 : 12;
  const left = Math.min(...xs) - beyond;
  return { x: left, y: y - 11, width: Math.max(...xs) + beyond - left, height: 22 };
}

/** Words that find no room inside a sleeve stand beside it, right before left. */
function besideSleeve(sleeve: Box, words: string, taken: readonly Box[], width: number): Point | null {
  const wide = textWidth(words, WORD_SIZE);
  const right = { ...sleeve, x: sleeve.x + sleeve.width + 6, width: wide };
  const left = { ...sleeve, x: sleeve.x - 6 - wide, width: wide };
  const free = [right, left].find(
    (box) => box.x >= 4 && box.x + box.width <= width - 4 && !taken.some((other) => overlaps(box, other)),
  );
  return free ? { x: free.x + wide / 2, y: sleeve.y + sleeve.height / 2 } : null;
}

function crossingsAt(line: readonly Point[], y: number): number[] {
  return segments(line).flatMap(([a, b]) =>
    a.x === b.x && Math.min(a.y, b.y) < y && Math.max(a.y, b.y) > y ? [a.x] : [],
  );
}

function middleOfWidestGap(xs: readonly number[], words: string, y: number): Point | null {
  const sorted = [...xs].sort((a, b) => a - b);
  const gaps = sorted.slice(1).map((x, index) => ({ from: sorted[index] ?? x, to: x }));
  const widest = gaps.sort((a, b) => b.to - b.from - (a.to - a.from))[0];
  if (!widest || widest.to - widest.from < textWidth(words, WORD_SIZE) + 16) return null;
  return { x: (widest.from + widest.to) / 2, y };
}
