/** Points a grid has; they lie evenly over the square root of the volume, as levels do in most hulls. */
const POINTS = 96;

/**
 * The cubic through the nearest four of evenly spaced points over the square root
 * of a volume. Volumes asked for one after the other lie close together, so the
 * last piece's cubic is kept.
 * @param mostM3 volume at the last point
 * @param valueOf value at a point
 */
export function cubicOver(mostM3: number, valueOf: (point: number) => number): (volumeM3: number) => number {
  const perRoot = (POINTS - 1) / Math.sqrt(mostM3);
  let kept = -1;
  let [k0, k1, k2, k3] = [0, 0, 0, 0];
  return (volumeM3) => {
    const place = Math.sqrt(volumeM3) * perRoot;
    const first = Math.max(0, Math.min(Math.floor(place) - 1, POINTS - 4));
    if (first !== kept) {
      kept = first;
      const a = valueOf(first);
      const b = valueOf(first + 1);
      const c = valueOf(first + 2);
      const d = valueOf(first + 3);
      k0 = a;
      k1 = (-11 * a) / 6 + 3 * b - 1.5 * c + d / 3;
      k2 = a - 2.5 * b + 2 * c - d / 2;
      k3 = (d - a) / 6 + (b - c) / 2;
    }
    const u = place - first;
    return ((k3 * u + k2) * u + k1) * u + k0;
  };
}

/** Values at the points of a grid, each reckoned the first time it is needed. */
export function lazyPoints(mostM3: number, exact: (volumeM3: number) => number): (point: number) => number {
  const step = Math.sqrt(mostM3) / (POINTS - 1);
  return keptPoints((point) => exact((point * step) ** 2));
}

/** Values by point, each asked for once. */
export function keptPoints(valueOf: (point: number) => number): (point: number) => number {
  const values = new Float64Array(POINTS).fill(NaN);
  return (point) => {
    const known = values[point] ?? NaN;
    if (!Number.isNaN(known)) return known;
    const found = valueOf(point);
    values[point] = found;
    return found;
  };
}
