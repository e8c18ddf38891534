import fc from 'fast-check';
import { schemeKeys } from '../schemes';
import { leastMinutes } from './exact.fixture';
import { assessedOf, symptomsIn } from './hunts.fixture';
import { decisionTree, type Tree } from './decisionTree';
import { huntModel } from './huntModel';
import type { HuntPlace } from './huntTest';
import { reduced, type Problem } from './problem';
import { textbookOrder } from './ranking';
import { Search } from './search';

const travel = {
  source: { source: 0, panel: 2, bilge: 25 },
  panel: { source: 2, panel: 0, bilge: 25 },
  bilge: { source: 10, panel: 10, bilge: 0 },
} as const;

const problemOf = (
  shares: readonly number[],
  tests: readonly { place: HuntPlace; minutes: number; answers: number[] }[],
): Problem => ({
  start: 'panel',
  travel,
  hypotheses: shares.map((share, at) => ({ id: `h${at}`, share, repair: `r${at}` })),
  tests: tests.map((test, at) => ({ id: `t${at}`, ...test })),
});

describe('the search for the next test', () => {
  it('takes the cheap test first where it is likely to end the hunt, by hand: 1 + ½ · (25 + 4) against 25 + 4 + ½ · (10 + 1)', () => {
    const problem = problemOf(
      [0.5, 0.25, 0.25],
      [
        { place: 'panel', minutes: 1, answers: [0, 1, 1] },
        { place: 'bilge', minutes: 4, answers: [0, 0, 1] },
      ],
    );
    const search = new Search(problem);
    expect(search.next(search.all, 'panel')).toEqual({ test: 0, minutes: 15.5 });
    expect(search.withFirst(1, search.all, 'panel')).toBeCloseTo(29 + 0.75 * 11, 9);
  });

  it('asks nothing where all that is left has one repair, or nothing tells it apart', () => {
    const problem = problemOf([0.5, 0.5], [{ place: 'panel', minutes: 1, answers: [0, 0] }]);
    expect(new Search(problem).next([0, 1], 'panel')).toEqual({ test: null, minutes: 0 });
    const one = { ...problem, hypotheses: problem.hypotheses.map((each) => ({ ...each, repair: 'same' })) };
    expect(new Search(one).next([0, 1], 'panel').test).toBeNull();
  });

  it('of random hunts is never better than the optimum, and at most a seventh worse', () => {
    const place = fc.constantFrom<HuntPlace>('source', 'panel', 'bilge');
    const hunts = fc.integer({ min: 11, max: 14 }).chain((count) =>
      fc.record({
        shares: fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: count, maxLength: count }),
        tests: fc.array(
          fc.record({
            place,
            minutes: fc.integer({ min: 1, max: 8 }),
            answers: fc.array(fc.integer({ min: 0, max: 2 }), { minLength: count, maxLength: count }),
          }),
          { minLength: 6, maxLength: 9 },
        ),
      }),
    );
    fc.assert(
      fc.property(hunts, ({ shares, tests }) => {
        const sum = shares.reduce((total, one) => total + one, 0);
        const problem = problemOf(
          shares.map((one) => one / sum),
          tests,
        );
        const search = new Search(problem);
        const own = search.next(search.all, 'panel').minutes;
        const least = leastMinutes(problem);
        if (least === null) return;
        expect(own).toBeGreaterThanOrEqual(least - 1e-9);
        expect(own).toBeLessThanOrEqual(1.15 * least + 1e-9);
      }),
      { numRuns: 40, seed: 11 },
    );
  });
});

/** The minutes of a tree, walked by itself for every hypothesis, and whether every way is there. */
function walked(problem: ReturnType<typeof huntModel>, tree: Tree): number {
  const { tests, hypotheses, problem: sharp } = problem;
  const byId = new Map(tests.map((one) => [one.test.id, one]));
  return hypotheses.reduce((sum, { share, repair }, at) => {
    let [node, place, minutes] = [tree, sharp.start, 0];
    while ('test' in node) {
      const one = byId.get(node.test);
      if (!one) throw new Error(node.test);
      minutes += one.test.minutes + sharp.travel[place][one.test.place];
      place = one.test.place;
      const next: Tree | undefined = node.branches[one.classes[one.answers[at] ?? -1]?.words ?? ''];
      if (!next) throw new Error(`${node.test} has no branch for ${hypotheses[at]?.id}`);
      node = next;
    }
    const among = node.among ?? [node.repair];
    if (!among.includes(repair.code)) throw new Error(`${hypotheses[at]?.id} ends at ${node.repair}`);
    return sum + share * minutes;
  }, 0);
}

/** Some schemes; a drill takes all. */
const SCHEMES =
  process.env['SCHEMES'] === 'all' ? [...schemeKeys] : ['three-way-float', 'hot-auto', 'standalone-alarm'];
/** More sets than are worth waiting for. */
const HEAVY = new Set(['relay both-dead']);
const asked = symptomsIn(SCHEMES);

describe('the tree of a hunt', () => {
  it.each(asked)(
    '%s, %s: has every way, ends at the right repair or where nothing tells more, and takes the minutes it says',
    (scheme, symptom) => {
      const model = huntModel(assessedOf(scheme), { symptom, access: 'hard' });
      const { tree, minutes } = decisionTree(model);
      expect(walked(model, tree)).toBeCloseTo(minutes, 6);
      const leaves = (node: Tree): Tree[] => ('test' in node ? Object.values(node.branches).flatMap(leaves) : [node]);
      for (const leaf of leaves(tree)) {
        if (!('repair' in leaf) || !leaf.among) continue;
        // Really alike: no test parts hypotheses that end here.
        const those = model.hypotheses.flatMap(({ repair }, at) => (leaf.among?.includes(repair.code) ? [at] : []));
        expect(those.length).toBeGreaterThan(1);
      }
    },
  );

  it('is close to the best there is, and far below the way from the source outward', () => {
    const ratios: number[] = [];
    let [own, textbook, best] = [0, 0, 0];
    for (const [scheme, symptom] of asked) {
      const { problem } = huntModel(assessedOf(scheme), { symptom, access: 'hard' });
      const small = reduced(problem);
      const search = new Search(small);
      const { minutes } = search.next(search.all, small.start);
      own += minutes;
      textbook += search.inOrder(textbookOrder(small), search.all, small.start).minutes;
      const least = HEAVY.has(`${scheme} ${symptom}`) ? null : leastMinutes(small);
      best += least ?? minutes;
      if (least !== null && least > 0) ratios.push(minutes / least);
    }
    const mean = ratios.reduce((sum, one) => sum + one, 0) / ratios.length;
    expect(ratios.length).toBeGreaterThan(20);
    expect(Math.min(...ratios)).toBeGreaterThan(1 - 1e-9);
    expect(mean).toBeLessThanOrEqual(1.02);
    expect(Math.max(...ratios)).toBeLessThanOrEqual(1.15);
    // Or what the best of all ways has against it, where that is the floor.
    expect(own / textbook).toBeLessThanOrEqual(Math.max(0.7, (1.02 * best) / textbook));
  }, 120_000);
});
