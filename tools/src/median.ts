/** Median of `times` runs after a warm-up of as many, ms. */
export function medianMs(work: () => void, times = 400): number {
  for (let warm = 0; warm < times; warm += 1) work();
  const taken = Array.from({ length: times }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  }).sort((a, b) => a - b);
  return taken[Math.floor(times / 2)] ?? NaN;
}
