import type { HuntPlace } from './huntTest';

/** A hunt with sharp answers: what is left of it when readings fall into classes that no meter confuses. Plain data. */
export interface Problem {
  readonly start: HuntPlace;
  readonly travel: Readonly<Record<HuntPlace, Readonly<Record<HuntPlace, number>>>>;
  readonly hypotheses: readonly { readonly id: string; readonly share: number; readonly repair: string }[];
  readonly tests: readonly ProblemTest[];
}

export interface ProblemTest {
  readonly id: string;
  readonly place: HuntPlace;
  readonly minutes: number;
  /** The class of each hypothesis, from 0, in their order. */
  readonly answers: ArrayLike<number>;
}

/** The problem with all that are alike made one: hypotheses that no test tells apart and that share a repair, tests that part them alike. */
export function reduced({ start, travel, hypotheses, tests }: Problem): Problem & { readonly kept: readonly number[] } {
  const firsts = new Map<string, number>();
  const shares = new Map<number, number>();
  hypotheses.forEach(({ repair, share }, at) => {
    const key = `${repair}|${tests.map(({ answers }) => answers[at]).join()}`;
    const first = firsts.get(key) ?? at;
    firsts.set(key, first);
    shares.set(first, (shares.get(first) ?? 0) + share);
  });
  const kept = [...shares.keys()];
  const seen = new Map<string, ProblemTest>();
  for (const test of tests) {
    const names = new Map<number, number>();
    const answers = kept.map((at) => {
      const answer = test.answers[at] ?? 0;
      const name = names.get(answer) ?? names.size;
      names.set(answer, name);
      return name;
    });
    if (names.size < 2) continue;
    const key = `${test.place} ${answers.join()}`;
    const before = seen.get(key);
    if (!before || test.minutes < before.minutes) seen.set(key, { ...test, answers });
  }
  return {
    start,
    travel,
    kept,
    hypotheses: kept.flatMap((at) => {
      const one = hypotheses[at];
      return one ? [{ ...one, share: shares.get(at) ?? 0 }] : [];
    }),
    tests: [...seen.values()],
  };
}
