import type { Job } from '../job';
import { hashOf, type BodyOf } from '../records';
import { sumOf, type Outcome } from './proofList';
import type { ProofNow } from './proofNow';
import type { ProvePhase } from './proveTest';

/** What is signed. */
export interface SignOff {
  readonly phase: ProvePhase;
  readonly job: Job;
  readonly now: ProofNow;
  readonly list: readonly Outcome[];
  /** Findings that stand open, with the reason why each is accepted. */
  readonly accepted: BodyOf<'proof'>['accepted'];
  readonly name: string;
  readonly role: string;
  readonly note: string;
  /** The fingerprint of an entry by its id. */
  readonly hashOf: (id: string) => string;
}

/** The record of a proof: the job as it stands, every test with its window, what was read and by whom, and who answers for it. */
export function signedBody({
  phase,
  job,
  now,
  list,
  accepted,
  name,
  role,
  note,
  hashOf: fingerprint,
}: SignOff): BodyOf<'proof'> {
  const before = new Map(now.signed?.body.tests.map((test) => [test.id, test]));
  const wanted = list.filter(({ test, outcome }) => test.needed || outcome !== 'not done');
  return {
    phase,
    proofs: now.begun.map(({ id }) => id),
    job,
    jobHash: hashOf(job),
    battery: now.battery,
    tests: wanted.map(({ test, outcome, reading, leftOut, words }) => {
      const stood = outcome === 'stands' ? before.get(test.id) : undefined;
      const entry = reading ?? leftOut;
      const expect = 'state' in test.expect ? { state: test.expect.state } : test.expect;
      return {
        id: test.id,
        words: test.text,
        expect: stood?.expect ?? expect,
        outcome,
        read: reading?.body.read ?? stood?.read ?? null,
        reading: entry ? fingerprint(entry.id) : (stood?.reading ?? null),
        ...(words === '' ? {} : { reason: words }),
        ...(entry ? { by: entry.by, at: entry.madeAt } : stood ? { by: stood.by, at: stood.at } : {}),
      };
    }),
    accepted,
    result: sumOf(list).proved ? 'proved' : 'not proved',
    name,
    ...(role === '' ? {} : { role }),
    ...(note === '' ? {} : { note }),
  };
}
