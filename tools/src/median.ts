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

export interface RoundsMs {
  /** The median of the quickest round: what else the machine does can only add to it. */
  readonly ms: number;
  readonly slowestRoundMs: number;
}

/** Medians of several pieces of work, taken in turn for some rounds, since a shared machine has slow and quick minutes. */
export function roundsMs(works: readonly (() => void)[], rounds = 7): RoundsMs[] {
  const medians = Array.from({ length: rounds }, () => works.map((work) => medianMs(work)));
  return works.map((_, index) => {
    const own = medians.map((round) => round[index] ?? NaN);
    return { ms: Math.min(...own), slowestRoundMs: Math.max(...own) };
  });
}
