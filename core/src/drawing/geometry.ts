export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** True when the boxes share more than their edges. */
export function overlaps(a: Box, b: Box): boolean {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
}

/** True when a box lies wholly in another. */
export function within(box: Box, field: Box): boolean {
  return (
    box.x >= field.x &&
    box.y >= field.y &&
    box.x + box.width <= field.x + field.width &&
    box.y + box.height <= field.y + field.height
  );
}

/** The box with `by` more on every side. */
export function grown(box: Box, by: number): Box {
  return { x: box.x - by, y: box.y - by, width: box.width + 2 * by, height: box.height + 2 * by };
}

/** The box around a straight piece of line, `half` to each side. */
export function aroundSegment(a: Point, b: Point, half: number): Box {
  const x = Math.min(a.x, b.x) - half;
  const y = Math.min(a.y, b.y) - half;
  return { x, y, width: Math.abs(a.x - b.x) + 2 * half, height: Math.abs(a.y - b.y) + 2 * half };
}

/** Successive pairs of points of a line. */
export function segments(points: readonly Point[]): [Point, Point][] {
  return points.slice(1).flatMap((point, index): [Point, Point][] => {
    const before = points[index];
    return before ? [[before, point]] : [];
  });
}
