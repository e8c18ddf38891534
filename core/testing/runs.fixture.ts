/**
 * How often a property is tried: `usual` times the share that the environment asks for, and `least` times in any case.
 * The long drills ask for more, the mutation run, which tries every property some hundred times over, for less.
 */
export function runs(usual: number, least = 1): { readonly numRuns: number } {
  return { numRuns: Math.max(least, Math.round(usual * shareOfRuns())) };
}

const shareOfRuns = () => Number(process.env['SHARE_OF_RUNS'] ?? 1);

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * The share of a list that the environment asks for, the same each time and spread evenly: steps of the golden ratio
 * meet no period of the list, as every fourth would always be the same setting.
 */
export function someOf<T>(all: readonly T[]): readonly T[] {
  const share = shareOfRuns();
  return all.filter((_one, at) => (at * GOLDEN) % 1 < share);
}
