import type { Circuit } from '@harbor-latch/core/job/index';

/** Whether a stage shows the same: its circuit differs in none of these, and nothing else does. */
export function sameCircuitParts(
  ...keys: readonly (keyof Circuit)[]
): <P extends { readonly circuit: Circuit }>(one: P, other: P) => boolean {
  return ({ circuit, ...rest }, { circuit: otherCircuit, ...otherRest }) => {
    const others = new Map<string, unknown>(Object.entries(otherRest));
    return (
      keys.every((key) => circuit[key] === otherCircuit[key]) &&
      Object.entries(rest).every(([key, value]) => others.get(key) === value)
    );
  };
}
