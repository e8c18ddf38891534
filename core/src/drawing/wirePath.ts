import type { Point } from './geometry';

const HOP = 7;
const ROUND = 6;

/** The line as an SVG path: rounded corners, and a half circle over each hop. */
export function wirePath(points: readonly Point[], hops: readonly Point[]): string {
  const [start, ...rest] = points;
  if (!start) return '';
  let path = `M${start.x} ${start.y}`;
  let from = start;
  rest.forEach((to, index) => {
    const after = rest[index + 1];
    for (const hop of hopsBetween(from, to, hops)) {
      const side = to.x > from.x ? 1 : -1;
      path += `H${hop.x - side * HOP}A${HOP} ${HOP} 0 0 ${side > 0 ? 1 : 0} ${hop.x + side * HOP} ${hop.y}`;
    }
    if (after) {
      const before = towards(to, from, ROUND);
      const beyond = towards(to, after, ROUND);
      path += `L${before.x} ${before.y}Q${to.x} ${to.y} ${beyond.x} ${beyond.y}`;
    } else {
      path += `L${to.x} ${to.y}`;
    }
    from = to;
  });
  return path;
}

function hopsBetween(from: Point, to: Point, hops: readonly Point[]): Point[] {
  if (from.y !== to.y) return [];
  const within = hops.filter(
    (hop) => hop.y === from.y && hop.x > Math.min(from.x, to.x) && hop.x < Math.max(from.x, to.x),
  );
  return within.sort((a, b) => (to.x > from.x ? a.x - b.x : b.x - a.x));
}

function towards(from: Point, to: Point, by: number): Point {
  const length = Math.abs(to.x - from.x) + Math.abs(to.y - from.y) || 1;
  const share = Math.min(by, length / 2) / length;
  return { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
}
