import type { HuntPlace } from './huntTest';
import type { Problem } from './problem';

/** Sets beyond this many are given up. */
const MOST_SETS = 400_000;

/**
 * The least expected minutes there are: dynamic programming over every set that can be left, at every place.
 * @returns null where there are more sets than fit
 */
export function leastMinutes(problem: Problem): number | null {
  const known = new Map<string, number>();
  const from = (left: readonly number[], place: HuntPlace): number => {
    if (new Set(left.map((one) => problem.hypotheses[one]?.repair)).size < 2) return 0;
    const key = `${place} ${left.join()}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    if (known.size > MOST_SETS) throw new RangeError('too many');
    let least = Infinity;
    const all = left.reduce((sum, one) => sum + (problem.hypotheses[one]?.share ?? 0), 0);
    for (const test of problem.tests) {
      const own = test.minutes + problem.travel[place][test.place];
      if (own >= least) continue;
      const parts = new Map<number, number[]>();
      for (const one of left) {
        const answer = test.answers[one] ?? 0;
        parts.set(answer, [...(parts.get(answer) ?? []), one]);
      }
      if (parts.size < 2) continue;
      let minutes = own;
      for (const part of parts.values()) {
        const share = part.reduce((sum, one) => sum + (problem.hypotheses[one]?.share ?? 0), 0);
        minutes += (share / all) * from(part, test.place);
        if (minutes >= least) break;
      }
      least = Math.min(least, minutes);
    }
    const found = least === Infinity ? 0 : least;
    known.set(key, found);
    return found;
  };
  try {
    return from(
      problem.hypotheses.map((_one, at) => at),
      problem.start,
    );
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
