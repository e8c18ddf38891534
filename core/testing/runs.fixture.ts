/**
 * How often a property is tried: `usual` times the share that the environment asks for, and once at least.
 * The long drills ask for more, the mutation run, which tries every property some hundred times over, for less.
 */
export function runs(usual: number): { readonly numRuns: number } {
  const share = Number(process.env['SHARE_OF_RUNS'] ?? 1);
  return { numRuns: Math.max(1, Math.round(usual * share)) };
}
