import { segments, type Point } from '@harbor-latch/core/drawing/geometry';

/** A place on a line, and the way it is going there, degrees clockwise from rightwards. */
export interface Arrow extends Point {
  readonly turn: number;
}

const BETWEEN = 44;

/** Arrowheads along a line, evenly spaced and clear of its corners. */
export function arrowsAlong(points: readonly Point[], backwards: boolean): Arrow[] {
  return segments(points).flatMap(([a, b]) => {
    const length = Math.abs(b.x - a.x) + Math.abs(b.y - a.y);
    const count = Math.floor(length / BETWEEN);
    const many = count === 0 && length >= 24 ? 1 : count;
    const along = Math.atan2(b.y - a.y, b.x - a.x) * (180 / Math.PI);
    return Array.from({ length: many }, (_, index) => {
      const share = (index + 0.5) / many;
      return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share, turn: along + (backwards ? 180 : 0) };
    });
  });
}
