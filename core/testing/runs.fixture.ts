/**
 * How often a property is tried: `usual` times the share that the environment asks for, and `least` times in any case.
 * The long drills ask for more, the mutation run, which tries every property some hundred times over, for less.
 */
export function runs(usual: number, least = 1): { readonly numRuns: number } {
  const share = Number(process.env['SHARE_OF_RUNS'] ?? 1);
  return { numRuns: Math.max(least, Math.round(usual * share)) };
}
