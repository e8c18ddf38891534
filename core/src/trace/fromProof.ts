import type { ProveTest } from '../prove/proveTest';
import { terminalName } from '../circuit';
import type { HuntReading } from './huntReading';
import type { HuntTest, Reading } from './huntTest';

/** A reading of a proof: which test, and what it read. */
export interface ProofReading {
  readonly test: string;
  readonly value: Reading;
}

const ends = ({ between }: Pick<ProveTest | HuntTest, 'between'>) => between?.map(terminalName).join(' ') ?? '';
const stands = ({ set }: Pick<ProveTest, 'set'>) =>
  JSON.stringify([Object.entries(set.switches).sort(), Object.entries(set.floats).sort(), [...set.fusesOut].sort()]);

/**
 * Readings of an open proof as readings of a hunt: those that were taken between the same points in the same setting, and
 * the amperes of the feed. What a proof saw with the eyes it says in other words, and is left aside.
 */
export function fromProof(
  tests: readonly HuntTest[],
  proof: readonly ProveTest[],
  readings: readonly ProofReading[],
): HuntReading[] {
  return readings.flatMap(({ test: id, value }): HuntReading[] => {
    const own = proof.find((one) => one.id === id);
    if (!own || typeof value !== 'number') return [];
    const found = tests.find(
      (one) =>
        stands(one) === stands(own) &&
        (own.between ? ends(one) === ends(own) : one.reads.kind === 'amps' && own.instrument === 'clamp'),
    );
    return found ? [{ kind: 'read', test: found.id, value }] : [];
  });
}
