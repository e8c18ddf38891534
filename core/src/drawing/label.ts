import { GRID, WORD_LINE, WORD_SIZE } from './diagram';
import { grown, overlaps, segments, within, type Box, type Point } from './geometry';
import { textWidth } from './textWidth';

/**
 * A free place for a conductor's words beside it: along its longest upright
 * piece first, right before left, then under or over its level pieces.
 * @returns null when every place is taken.
 */
export function placeWords(
  words: readonly string[],
  line: readonly Point[],
  taken: readonly Box[],
  field: Box,
): Box | null {
  const size = {
    width: Math.max(...words.map((text) => textWidth(text, WORD_SIZE))),
    height: words.length * WORD_LINE,
  };
  const free = (box: Box) => {
    const around = grown(box, 1);
    return within(box, field) && !taken.some((other) => overlaps(around, other));
  };
  for (const box of candidates(line, size)) if (free(box)) return box;
  return null;
}

type Size = Pick<Box, 'width' | 'height'>;

function* places([a, b]: readonly [Point, Point], size: Size): Generator<Box> {
  const clear = 10;
  if (a.x === b.x) {
    const top = Math.min(a.y, b.y);
    const room = Math.abs(a.y - b.y) - size.height;
    for (const y of fromMiddle(room)) {
      yield { ...size, x: a.x + clear, y: top + y };
      yield { ...size, x: a.x - clear - size.width, y: top + y };
    }
  } else {
    const left = Math.min(a.x, b.x);
    const room = Math.abs(a.x - b.x) - size.width;
    for (const x of fromMiddle(room)) {
      yield { ...size, x: left + x, y: a.y + clear };
      yield { ...size, x: left + x, y: a.y - clear - size.height };
    }
  }
}

/** Made one at a time: the first is mostly free. */
function* candidates(line: readonly Point[], size: Size): Generator<Box> {
  const length = ([a, b]: readonly [Point, Point]) => Math.abs(a.x - b.x) + Math.abs(a.y - b.y);
  const pieces = segments(line).sort(
    (one, other) => Number(other[0].x === other[1].x) - Number(one[0].x === one[1].x) || length(other) - length(one),
  );
  for (const piece of pieces) yield* places(piece, size);
}

/** 0…room, from the upper third outwards: words near the start of a run are read with it. */
function fromMiddle(room: number): number[] {
  if (room < 0) return [];
  const offsets = Array.from({ length: Math.floor(room / (GRID / 2)) + 1 }, (_, index) => index * (GRID / 2));
  const centre = room / 3;
  return offsets.sort((a, b) => Math.abs(a - centre) - Math.abs(b - centre));
}
