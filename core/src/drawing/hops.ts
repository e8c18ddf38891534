import { segments, type Point } from './geometry';

/**
 * Where the level pieces of `line` cross upright pieces of `others`: there it
 * hops. Ends that only touch do not count.
 */
export function hopsOf(line: readonly Point[], others: readonly (readonly Point[])[]): Point[] {
  const upright = others.flatMap(segments).filter(([a, b]) => a.x === b.x);
  return segments(line)
    .filter(([a, b]) => a.y === b.y)
    .flatMap(([a, b]) =>
      upright.flatMap(([c, d]) => {
        const within =
          c.x > Math.min(a.x, b.x) && c.x < Math.max(a.x, b.x) && a.y > Math.min(c.y, d.y) && a.y < Math.max(c.y, d.y);
        return within ? [{ x: c.x, y: a.y }] : [];
      }),
    );
}
