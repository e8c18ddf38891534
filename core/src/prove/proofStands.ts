import { isOf, type KnownEntry } from '../records';

/** How the proof of a circuit in the boat stands, by its entries alone. */
export type ProofStands =
  | { readonly kind: 'begun'; readonly readings: number }
  | { readonly kind: 'signed'; readonly proved: boolean; readonly at: string };

/**
 * The open proof of a circuit, else the last that was signed; null where there is neither.
 * @param entries those that count, in the order in which they were made
 */
export function proofStands(entries: readonly KnownEntry[], circuit: string): ProofStands | null {
  const own = entries.filter((entry) => entry.circuit === circuit);
  const signed = own.filter(isOf('proof')).filter(({ body }) => body.phase === 'commission');
  const named = new Set(signed.flatMap(({ body }) => body.proofs));
  const begun = own.filter(isOf('proofBegun')).filter(({ id, body }) => body.phase === 'commission' && !named.has(id));
  if (begun.length > 0) {
    const open = new Set(begun.map(({ id }) => id));
    const read = own.filter(isOf('reading')).filter(({ body }) => body.proof !== null && open.has(body.proof));
    return { kind: 'begun', readings: new Set(read.map(({ body }) => body.test)).size };
  }
  const last = signed[signed.length - 1];
  return last ? { kind: 'signed', proved: last.body.result === 'proved', at: last.madeAt } : null;
}
