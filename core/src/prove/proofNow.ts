import { isOf, type EntryOf, type KnownEntry } from '../records';
import type { ProvePhase, ReadBattery } from './proveTest';

/** How the proof of a circuit stands, by what was recorded of it. */
export interface ProofNow {
  /** Those that were begun and are not signed; begun on two phones at once they are one list, signed together. */
  readonly begun: readonly EntryOf<'proofBegun'>[];
  /** The reading of each test that counts. */
  readonly readings: ReadonlyMap<string, EntryOf<'reading'>>;
  /** Readings of the same test by others, that do not. */
  readonly others: ReadonlyMap<string, readonly EntryOf<'reading'>[]>;
  readonly leftOut: ReadonlyMap<string, EntryOf<'skipped'>>;
  /** The battery as it was read in it. */
  readonly battery: ReadBattery;
  /** The last that was signed. */
  readonly signed: EntryOf<'proof'> | null;
  /** Readings that came after it was signed, of those that it signed. */
  readonly afterSigning: readonly EntryOf<'reading'>[];
  /** What was mended since. */
  readonly repairs: readonly EntryOf<'repair'>[];
  /** Readings by themselves since: they clear tests that are due again. */
  readonly since: readonly EntryOf<'reading'>[];
}

/**
 * The proof of a circuit in a phase, from the records of its boat that count.
 * @param entries in the order in which they were made
 * @param hashOf the fingerprint of an entry by its id
 */
export function proofNow(
  entries: readonly KnownEntry[],
  circuit: string,
  phase: ProvePhase,
  hashOf: (id: string) => string,
): ProofNow {
  const own = entries.filter((entry) => entry.circuit === circuit);
  const proofs = own.filter(isOf('proof')).filter(({ body }) => body.phase === phase);
  const signed = proofs[proofs.length - 1] ?? null;
  const named = new Set(proofs.flatMap(({ body }) => body.proofs));
  const all = own.filter(isOf('proofBegun')).filter(({ body }) => body.phase === phase);
  const begun = all.filter(({ id }) => !named.has(id));
  const open = new Set(begun.map(({ id }) => id));
  const readings = own.filter(isOf('reading'));
  const replaced = new Set(readings.flatMap(({ body }) => body.replaces ?? []));
  const inProof = readings.filter(({ id, body }) => body.proof !== null && open.has(body.proof) && !replaced.has(id));
  const counting = new Map(inProof.map((one) => [one.body.test, one]));
  const others = new Map<string, EntryOf<'reading'>[]>();
  for (const one of inProof)
    if (counting.get(one.body.test) !== one) others.set(one.body.test, [...(others.get(one.body.test) ?? []), one]);
  const leftOut = new Map(
    own
      .filter(isOf('skipped'))
      .filter(({ body }) => open.has(body.proof) && !counting.has(body.test))
      .map((one) => [one.body.test, one]),
  );
  const signedHashes = new Set(signed?.body.tests.flatMap(({ reading }) => reading ?? []));
  const ofSigned = new Set(signed?.body.proofs);
  const later = (entry: KnownEntry) => signed !== null && entry.madeAt > signed.madeAt;
  return {
    begun,
    readings: counting,
    others,
    leftOut,
    battery: batteryIn([...counting.values()]),
    signed,
    afterSigning: readings.filter(
      ({ id, body }) =>
        body.proof !== null && ofSigned.has(body.proof) && !replaced.has(id) && !signedHashes.has(hashOf(id)),
    ),
    repairs: own.filter(isOf('repair')).filter(later),
    since: readings.filter((one) => later(one) && !replaced.has(one.id)),
  };
}

/** What a 12 V battery may read. */
const LEAST_V = 6;
const MOST_V = 16;

/** The battery as some readings have it. */
export function batteryIn(readings: readonly EntryOf<'reading'>[]): ReadBattery {
  const volts = (test: string) => {
    const read = readings.find(({ body }) => body.test === test)?.body.read;
    // A slip of the finger is judged, and moves no other expectation.
    return read && 'value' in read && read.value >= LEAST_V && read.value <= MOST_V ? read.value : undefined;
  };
  const [restingV, runningV] = [volts('battery-resting'), volts('battery-running')];
  return { ...(restingV === undefined ? {} : { restingV }), ...(runningV === undefined ? {} : { runningV }) };
}
