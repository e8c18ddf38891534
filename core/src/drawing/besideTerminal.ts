import { WORD_SIZE, type Drawing } from './diagram';
import { overlaps, within, type Box, type Point } from './geometry';
import type { TextMark } from './marks';
import { symbolMarks } from './symbolMarks';
import { textWidth } from './textWidth';

const noInks = { ink: '', ground: '', muted: '' };

/** The room that a line of text takes, px. */
function boxOf({ x, y, words, size, anchor = 'start' }: TextMark): Box {
  const width = textWidth(words, size);
  const left = anchor === 'start' ? x : anchor === 'middle' ? x - width / 2 : x - width;
  return { x: left, y: y - 0.8 * size, width, height: size };
}

/** The rooms of all that can be read in a drawing, px: words of parts, conductors and cables, and those within symbols. */
export function readIn(drawing: Drawing): readonly Box[] {
  return [
    ...drawing.parts.filter(({ words }) => words.length > 0).map(({ wordsBox }) => wordsBox),
    ...drawing.wires.flatMap(({ wordsBox }) => wordsBox ?? []),
    ...drawing.cables.flatMap(({ words, wordsAt }) =>
      wordsAt
        ? boxOf({
            kind: 'text',
            ...wordsAt,
            y: wordsAt.y + 4.5,
            words,
            size: WORD_SIZE,
            face: 'medium',
            fill: '',
            anchor: 'middle',
          })
        : [],
    ),
    ...drawing.parts.flatMap((placed) =>
      symbolMarks(placed, undefined, noInks).flatMap((mark) => {
        if (mark.kind !== 'text') return [];
        const box = boxOf(mark);
        return { ...box, x: box.x + placed.at.x, y: box.y + placed.at.y };
      }),
    ),
  ];
}

/** How far a sign's edge lies from its terminal, px: near first. */
const distances = [10, 16, 24, 34, 46];
/** Up to the right first, as a hand holds a probe. */
const sides = [
  [1, -1],
  [-1, -1],
  [1, 1],
  [-1, 1],
  [1, 0],
  [-1, 0],
  [0, -1],
  [0, 1],
] as const;

/**
 * Where a sign that tells of a terminal covers nothing that is to be read.
 * @param at the terminal, px of the drawing
 * @param size of the sign, px square
 * @param others what else it must leave free: other signs, other terminals
 * @returns its room; up to the right of the terminal where every place is taken
 */
export function besideTerminal(drawing: Drawing, at: Point, size: number, others: readonly Box[] = []): Box {
  const taken = [...readIn(drawing), ...others];
  const field = { x: 0, y: 0, width: drawing.width, height: drawing.height };
  const from = (side: number, distance: number) => (side > 0 ? distance : side < 0 ? -distance - size : -size / 2);
  const places = distances.flatMap((distance) =>
    sides.map(([right, down]): Box => ({
      x: at.x + from(right, distance),
      y: at.y + from(down, distance),
      width: size,
      height: size,
    })),
  );
  const free = places.find((box) => within(box, field) && !taken.some((other) => overlaps(box, other)));
  return free ?? { x: at.x + 10, y: at.y - 10 - size, width: size, height: size };
}
