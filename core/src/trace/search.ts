import type { HuntPlace } from './huntTest';
import type { Problem, ProblemTest } from './problem';

/** A choice of test, or none where what is left shares a repair or cannot be told apart. */
export interface Choice {
  readonly test: number | null;
  /** Expected minutes from here, way included. */
  readonly minutes: number;
}

/** Hypotheses that are left, by their numbers, ascending. */
export type Left = readonly number[];

interface Part {
  readonly answer: number;
  readonly left: number[];
  readonly share: number;
}

const places: readonly HuntPlace[] = ['source', 'panel', 'bilge'];
const NONE: Choice = { test: null, minutes: 0 };

/**
 * Searches a hunt with sharp answers for the test with the least expected minutes to a repair that can be justified.
 *
 * `policy` takes the test with the most information about the repair for each minute: a greedy heuristic of sequential
 * testing (value of information per cost; Breese and Heckerman, “Decision-theoretic troubleshooting”, 1996). `next` is its
 * one-step rollout: every test is priced by what that policy would go on to cost, and the cheapest is taken (Tu and
 * Pattipati, “Rollout strategies for sequential fault diagnosis”, 2003). What either expects is exact for the way it goes;
 * that it is the best way is not, and is held against the optimum in the tests. Sets of few hypotheses are searched through
 * to the end (dynamic programming over every set that can be left, cut off where a test cannot be cheaper). It keeps what it
 * found: one search serves a whole hunt.
 */
export class Search {
  private readonly shares: Float64Array;
  private readonly repairs: Int32Array;
  private readonly policies = new Map<string, Choice>();
  private readonly rollouts = new Map<string, Choice>();

  constructor(readonly problem: Problem) {
    const { hypotheses } = problem;
    this.shares = Float64Array.from(hypotheses, ({ share }) => share);
    const numbers = new Map<string, number>();
    this.repairs = Int32Array.from(hypotheses, ({ repair }) => {
      const number = numbers.get(repair) ?? numbers.size;
      numbers.set(repair, number);
      return number;
    });
  }

  /** All hypotheses. */
  get all(): Left {
    return this.problem.hypotheses.map((_one, at) => at);
  }

  /** Whether one repair is the right one whatever of these it is. */
  settled(left: Left): boolean {
    const [first] = left;
    return first === undefined || left.every((one) => this.repairs[one] === this.repairs[first]);
  }

  /** What each answer of a test leaves. */
  parts({ answers }: ProblemTest, left: Left): Part[] {
    const groups = new Map<number, Part & { share: number }>();
    for (const one of left) {
      const answer = answers[one] ?? 0;
      const share = this.shares[one] ?? 0;
      const group = groups.get(answer);
      if (group) {
        group.left.push(one);
        (group as { share: number }).share += share;
      } else groups.set(answer, { answer, left: [one], share });
    }
    return [...groups.values()];
  }

  /** Minutes of a test from a place, way included. */
  price(test: ProblemTest, from: HuntPlace): number {
    return test.minutes + this.problem.travel[from][test.place];
  }

  /** The greedy policy, and what it costs from here. */
  policy(left: Left, from: HuntPlace): Choice {
    if (this.settled(left)) return NONE;
    const key = keyOf(left, from);
    const known = this.policies.get(key);
    if (known) return known;
    const test = this.mostTelling(left, from);
    const found = test === null ? NONE : { test, minutes: this.costOf(test, left, from, Infinity) };
    this.policies.set(key, found);
    return found;
  }

  /** The next test, by rollout of the policy, and the minutes expected when each next one is chosen so. */
  next(left: Left, from: HuntPlace): Choice {
    if (this.settled(left)) return NONE;
    const key = keyOf(left, from);
    const known = this.rollouts.get(key);
    if (known) return known;
    if (left.length <= MOST_EXACT) return this.best(left, from);
    const { test } = this.chosen(left, from);
    const found: Choice =
      test === null
        ? NONE
        : {
            test,
            minutes: this.after(test, left, from, (part, place) => this.next(part, place).minutes),
          };
    this.rollouts.set(key, found);
    return found;
  }

  /** The best test of all, by searching every way to its end: for few hypotheses. */
  private best(left: Left, from: HuntPlace): Choice {
    if (this.settled(left)) return NONE;
    const key = keyOf(left, from);
    const known = this.rollouts.get(key);
    if (known) return known;
    const all = left.reduce((sum, one) => sum + (this.shares[one] ?? 0), 0);
    let best: Choice = { test: null, minutes: Infinity };
    const { tests } = this.problem;
    for (let at = 0; at < tests.length; at += 1) {
      const test = tests[at];
      if (!test) continue;
      let minutes = this.price(test, from);
      if (minutes >= best.minutes) continue;
      const parts = this.parts(test, left);
      if (parts.length < 2) continue;
      for (const part of parts) {
        minutes += (part.share / all) * this.best(part.left, test.place).minutes;
        if (minutes >= best.minutes) break;
      }
      if (minutes < best.minutes - SLACK) best = { test: at, minutes };
    }
    const found = best.test === null ? NONE : best;
    this.rollouts.set(key, found);
    return found;
  }

  /** The test alone: priced by the policy, without what rollout finds further on. */
  chosen(left: Left, from: HuntPlace): Choice {
    if (left.length <= MOST_EXACT) return this.best(left, from);
    const greedy = this.policy(left, from);
    if (greedy.test === null) return NONE;
    let best = greedy;
    const { tests } = this.problem;
    for (let at = 0; at < tests.length; at += 1) {
      if (at === greedy.test) continue;
      const minutes = this.costOf(at, left, from, best.minutes);
      if (minutes < best.minutes - SLACK) best = { test: at, minutes };
    }
    return best;
  }

  /** The next test of a fixed order: the first that tells anything apart. */
  inOrder(order: readonly number[], left: Left, from: HuntPlace): Choice {
    if (this.settled(left)) return NONE;
    const { tests } = this.problem;
    const test = order.find((at) => {
      const one = tests[at];
      return one !== undefined && this.parts(one, left).length > 1;
    });
    if (test === undefined) return NONE;
    return { test, minutes: this.after(test, left, from, (part, place) => this.inOrder(order, part, place).minutes) };
  }

  /** Minutes expected where a test is done first, and then by the policy. */
  withFirst(at: number, left: Left, from: HuntPlace): number {
    return this.costOf(at, left, from, Infinity);
  }

  /** Minutes of a test and all after it; no less than `most` where it is given up. */
  private costOf(at: number, left: Left, from: HuntPlace, most: number): number {
    const test = this.problem.tests[at];
    if (!test) return Infinity;
    const own = this.price(test, from);
    if (own >= most) return Infinity;
    const parts = this.parts(test, left);
    if (parts.length < 2) return Infinity;
    const all = parts.reduce((sum, { share }) => sum + share, 0);
    let minutes = own;
    for (const part of parts) {
      minutes += (part.share / all) * this.policy(part.left, test.place).minutes;
      if (minutes >= most) return Infinity;
    }
    return minutes;
  }

  private after(at: number, left: Left, from: HuntPlace, then: (left: Left, place: HuntPlace) => number): number {
    const test = this.problem.tests[at];
    if (!test) return 0;
    const parts = this.parts(test, left);
    const all = parts.reduce((sum, { share }) => sum + share, 0);
    return (
      this.price(test, from) + parts.reduce((sum, part) => sum + (part.share / all) * then(part.left, test.place), 0)
    );
  }

  private readonly sums = new Map<number, number>();

  /** Entropy of the repairs among some hypotheses, weighted by their share of it, bits × share. */
  private entropy(left: Left): number {
    const { sums } = this;
    sums.clear();
    let all = 0;
    for (const one of left) {
      const share = this.shares[one] ?? 0;
      const repair = this.repairs[one] ?? 0;
      sums.set(repair, (sums.get(repair) ?? 0) + share);
      all += share;
    }
    let bits = 0;
    for (const sum of sums.values()) if (sum > 0) bits -= sum * Math.log2(sum / all);
    return bits;
  }

  /** The test with the most information about the repair for each minute; null where none tells anything. */
  private mostTelling(left: Left, from: HuntPlace): number | null {
    const { tests } = this.problem;
    const before = this.entropy(left);
    const all = left.reduce((sum, one) => sum + (this.shares[one] ?? 0), 0);
    let best: number | null = null;
    let most = -Infinity;
    tests.forEach((test, at) => {
      const parts = this.parts(test, left);
      if (parts.length < 2) return;
      const gained = before - parts.reduce((sum, part) => sum + this.entropy(part.left), 0);
      // What parts hypotheses without telling a repair may still open the way to a test that does.
      const opens = HINT * parts.reduce((sum, { share }) => sum - share * Math.log2(share / all), 0);
      const rate = (gained + opens) / this.price(test, from);
      if (rate > most) [best, most] = [at, rate];
    });
    return best;
  }
}

/** So many are searched to the end: some thousand sets at most. */
const MOST_EXACT = 10;
const SLACK = 1e-9;
const HINT = 1e-4;

/** A set and a place as a key. */
function keyOf(left: Left, from: HuntPlace): string {
  let key = String.fromCharCode(places.indexOf(from));
  for (const one of left) key += String.fromCharCode(one + 3);
  return key;
}
