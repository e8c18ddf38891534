import { type EntryOf } from '../records';
import type { ProofNow } from './proofNow';
import type { ProveTest } from './proveTest';
import { judged, type Judged } from './verdict';
import type { Voided } from './voids';

/** How a test of a proof stands. */
export interface Outcome {
  readonly test: ProveTest;
  readonly outcome: Judged['verdict'] | 'stands' | 'left out' | 'not done';
  /** What the reading means. */
  readonly words: string;
  readonly reading: EntryOf<'reading'> | null;
  readonly leftOut: EntryOf<'skipped'> | null;
  /** The same test read by others, or before. */
  readonly others: readonly EntryOf<'reading'>[];
  /** Whether it is due again: something changed, or was mended, since it was proved. */
  readonly due: boolean;
}

/** Tests of a signed proof that are due again: what a change made void, and what a repair can have touched, until they are read again. */
export function dueTests(now: ProofNow, tests: readonly ProveTest[], voided: readonly Voided[]): ReadonlySet<string> {
  if (!now.signed) return new Set();
  const byId = new Map(tests.map((test) => [test.id, test]));
  const passedSince = (id: string, after: string) =>
    now.since.some(({ body, madeAt }) => {
      const test = byId.get(id);
      return test && body.test === id && madeAt > after && judged(test, body.read).verdict === 'pass';
    });
  const mended = now.repairs.flatMap(({ body, madeAt }) =>
    body.testsDue.filter((id) => byId.has(id) && !passedSince(id, madeAt)),
  );
  const signedAt = now.signed.madeAt;
  const changed = voided.flatMap(({ id, why }) =>
    why === 'gone' || !byId.get(id)?.needed || passedSince(id, signedAt) ? [] : [id],
  );
  return new Set([...mended, ...changed]);
}

/** Every test with how it stands in the open proof; what stands from the last one is taken over until it is due again. */
export function proofList(now: ProofNow, tests: readonly ProveTest[], voided: readonly Voided[]): Outcome[] {
  const due = dueTests(now, tests, voided);
  const anew = now.begun.some(({ body }) => body.anew === true);
  const stood = new Map(anew ? [] : now.signed?.body.tests.map((test) => [test.id, test.outcome] as const));
  return tests.map((test): Outcome => {
    const reading = now.readings.get(test.id) ?? null;
    const leftOut = now.leftOut.get(test.id) ?? null;
    const common = { test, reading, leftOut, others: now.others.get(test.id) ?? [], due: due.has(test.id) };
    if (reading) {
      const { verdict, words } = judged(test, reading.body.read);
      return { ...common, outcome: verdict, words };
    }
    if (leftOut) return { ...common, outcome: 'left out', words: leftOut.body.reason };
    const before = stood.get(test.id);
    const stands = (before === 'pass' || before === 'stands') && !due.has(test.id);
    return { ...common, outcome: stands ? 'stands' : 'not done', words: '' };
  });
}

/** What a list comes to. */
export interface ProofSum {
  readonly passed: number;
  readonly missed: number;
  readonly look: number;
  readonly leftOut: number;
  /** Of those that a proof needs. */
  readonly missing: number;
  readonly proved: boolean;
}

/** Sums up a list: proved is what has every needed test passed, or standing. */
export function sumOf(list: readonly Outcome[]): ProofSum {
  const count = (which: Outcome['outcome']) => list.filter(({ outcome }) => outcome === which).length;
  const needed = list.filter(({ test }) => test.needed);
  const good = ({ outcome }: Outcome) => outcome === 'pass' || outcome === 'stands';
  const read = list.filter(({ outcome }) => outcome === 'miss' || outcome === 'look');
  return {
    passed: list.filter(good).length,
    missed: count('miss'),
    look: count('look'),
    leftOut: count('left out'),
    missing: needed.filter(({ outcome }) => outcome === 'not done').length,
    proved: needed.length > 0 && needed.every(good) && read.length === 0,
  };
}

/** The first test that is to be done, after one or from the beginning; null where none is left. */
export function nextTest(list: readonly Outcome[], after: string | null): Outcome | null {
  const open = ({ test, outcome }: Outcome) => test.needed && outcome === 'not done';
  const from = list.findIndex(({ test }) => test.id === after);
  return list.slice(from + 1).find(open) ?? list.find(open) ?? null;
}
