import { decisionTree } from './decisionTree';
import { drawn, drillScore, type DrillLevel } from './drill';
import { chances } from './hunts.fixture';
import { START, type HuntPlace } from './huntTest';
import { reduced, type Problem, type ProblemTest } from './problem';
import { textbookOrder } from './ranking';
import { Search, type Left } from './search';

/** How somebody hunts, and how far he proves what he mended: nothing, the failing test again, or all of it. */
export const trainees = {
  'random by cost': 'nothing',
  textbook: 'again',
  optimum: 'all',
} as const;
export type Trainee = keyof typeof trainees;

const played = new Map<string, ReturnType<typeof drawn> & { readonly optimum: number }>();

/** A drill with what the best hunt takes: several play it. */
function playedBy(seed: number, level: DrillLevel) {
  const key = `${seed} ${level}`;
  const known = played.get(key);
  if (known) return known;
  const of = drawn(seed, level);
  const found = { ...of, optimum: decisionTree(of.model).minutes };
  played.set(key, found);
  return found;
}

/** The score of a trainee who knows what each test says, and only chooses as he does: at random among all, whether or not they tell anything. */
export function scoreOf(trainee: Trainee, seed: number, level: DrillLevel): number {
  const { model, truth, optimum } = playedBy(seed, level);
  const small = reduced(model.problem);
  // Who chooses at random sees every test that there is.
  const problem = trainee === 'random by cost' ? { ...small, tests: everyTest(model.problem, small.kept) } : small;
  const own = small.kept.findIndex((at) => at === truth || sameAs(model, at, truth));
  const search = new Search(problem);
  const order = textbookOrder(problem);
  const { next } = chances(seed * 31 + level);
  let left: Left = search.all;
  let place: HuntPlace = START;
  let minutes = 0;
  const open = new Set(problem.tests.keys());
  for (;;) {
    const telling = problem.tests.flatMap((test, at) => (search.parts(test, left).length > 1 ? [at] : []));
    if (search.settled(left) || telling.length === 0) break;
    const at =
      trainee === 'optimum'
        ? (search.chosen(left, place).test ?? telling[0])
        : trainee === 'textbook'
          ? order.find((one) => telling.includes(one))
          : byCost([...open], (one) => search.price(problem.tests[one] ?? fail(), place), next());
    const test = problem.tests[at ?? -1] ?? fail();
    open.delete(at ?? -1);
    minutes += search.price(test, place);
    place = test.place;
    left = left.filter((one) => test.answers[one] === test.answers[own]);
  }
  const likeliest = left.reduce((best, one) =>
    (problem.hypotheses[one]?.share ?? 0) > (problem.hypotheses[best]?.share ?? 0) ? one : best,
  );
  const repair = problem.hypotheses[likeliest]?.repair;
  const hidden = model.hypotheses[truth];
  const group = model.hypotheses.find((one) => one.repair.code === repair)?.group;
  const proof = trainees[trainee];
  return drillScore({
    minutes,
    optimum,
    named: repair === hidden?.repair.code ? 'right' : group === hidden?.group ? 'right group' : 'wrong',
    boughtInVain: 0,
    proved: { again: proof !== 'nothing', water: proof === 'all', recorded: proof === 'all' },
    unsafe: false,
  });
}

/** Every test with its answers for the hypotheses that are kept. */
const everyTest = ({ tests }: Problem, kept: readonly number[]): ProblemTest[] =>
  tests.map((test) => ({ ...test, answers: kept.map((at) => test.answers[at] ?? 0) }));

type Model = ReturnType<typeof drawn>['model'];

/** Whether no test tells two hypotheses apart, and one repair mends both. */
const sameAs = ({ hypotheses, tests }: Model, one: number, other: number): boolean =>
  hypotheses[one]?.repair.code === hypotheses[other]?.repair.code &&
  tests.every(({ answers }) => answers[one] === answers[other]);

/** One of several, the cheaper the likelier. */
function byCost(all: readonly number[], priceOf: (one: number) => number, chance: number): number {
  const weights = all.map((one) => 1 / priceOf(one));
  let left = chance * weights.reduce((sum, one) => sum + one, 0);
  for (const [at, weight] of weights.entries()) {
    left -= weight;
    if (left <= 0) return all[at] ?? fail();
  }
  return all[all.length - 1] ?? fail();
}

function fail(): never {
  throw new Error('Nothing to choose from.');
}
