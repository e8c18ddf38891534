import { WORD_SIZE, type Diagram, type DiagramWire, type Drawing, type PlacedPart, type PlacedWire } from './diagram';
import { aroundSegment, overlaps, segments, type Box, type Point } from './geometry';
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
    const drawing = attempt(diagram, onGrid(width), spacing);
    if (!best || drawing.crowded.length < best.crowded.length) best = drawing;
    if (best.crowded.length === 0) break;
  }
  if (!best) throw new RangeError('No spacing to lay the drawing out with.');
  return best;
}

function attempt(diagram: Diagram, width: number, spacing: Spacing): Drawing {
  const placement = placeParts(diagram, width, spacing);
  const lines = routeAll(diagram.wires, placement);
  const cables = placeCables(diagram, placement, lines);
  const taken: Box[] = [
    ...placement.parts.flatMap((part) => [part.box, part.wordsBox]),
    ...bandEdges(placement),
    ...cables.map(({ box }) => box),
    ...[...lines.values()].flatMap((line) => segments(line).map(([a, b]) => aroundSegment(a, b, 4))),
  ];
  const crowded: string[] = [];
  const field = { x: 4, y: 4, width: width - 8, height: placement.height - 8 };
  const wires = diagram.wires.map((wire): PlacedWire => {
    const points = lines.get(wire.id) ?? [];
    const others = diagram.wires.filter((other) => other.id !== wire.id).map((other) => lines.get(other.id) ?? []);
    const wordsBox =
      wire.words.length === 0 || points.length === 0 ? null : placeWords(wire.words, points, taken, field);
    if (wordsBox) taken.push(wordsBox);
    if (points.length === 0 || (wire.words.length > 0 && !wordsBox)) crowded.push(wire.id);
    return { ...wire, points, hops: hopsOf(points, others), wordsBox };
  });
  return { width, height: placement.height, bands: placement.bands, parts: placement.parts, wires, cables, crowded };
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

function routeAll(wires: readonly DiagramWire[], placement: Placement): Map<string, Point[]> {
  const parts = new Map(placement.parts.map((part) => [part.part.id, part]));
  const field = new RoutingField(placement.width, placement.height, placement.parts);
  const lines = new Map<string, Point[]>();
  // Straight and short ones first: they have the least choice.
  for (const wire of [...wires].sort((a, b) => reach(a, parts) - reach(b, parts))) {
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
      const wordsAt =
        middleOfWidestGap(crossing.filter(within(xs)), words, y) ?? besideSleeve(box, words, taken, placement.width);
      if (wordsAt)
        taken.push({ ...box, x: wordsAt.x - textWidth(words, WORD_SIZE) / 2, width: textWidth(words, WORD_SIZE) });
      return { box, words, wordsAt };
    });
  });
}

/** Picks what lies between the outermost of the given places. */
function within(xs: readonly number[]) {
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
