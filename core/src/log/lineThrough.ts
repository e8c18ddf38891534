/** Least-squares line with the standard error of its slope (NIST/SEMATECH handbook, 4.1.4); null through fewer than three. */
export function lineThrough(
  points: readonly (readonly [x: number, y: number])[],
): { readonly slope: number; readonly intercept: number; readonly slopeError: number } | null {
  const n = points.length;
  if (n < 3) return null;
  const mean = (of: 0 | 1) => points.reduce((sum, point) => sum + point[of], 0) / n;
  const [x0, y0] = [mean(0), mean(1)];
  const sxx = points.reduce((sum, [x]) => sum + (x - x0) ** 2, 0);
  if (sxx === 0) return null;
  const slope = points.reduce((sum, [x, y]) => sum + (x - x0) * (y - y0), 0) / sxx;
  const intercept = y0 - slope * x0;
  const left = points.reduce((sum, [x, y]) => sum + (y - intercept - slope * x) ** 2, 0);
  return { slope, intercept, slopeError: Math.sqrt(left / (n - 2) / sxx) };
}
