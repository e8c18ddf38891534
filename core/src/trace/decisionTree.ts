import type { HuntPlace } from './huntTest';
import type { HuntModel } from './huntModel';
import { reduced } from './problem';
import { Search, type Left } from './search';

/** A test with where each answer leads, or a repair; `among` where what is left cannot be told apart any more. */
export type Tree =
  | { readonly test: string; readonly branches: Readonly<Record<string, Tree>> }
  | { readonly repair: string; readonly among?: readonly string[] };

/** The whole fault-finding tree of a hunt: sharp readings, every answer that the model knows, down to a repair. */
export function decisionTree(model: HuntModel): { readonly tree: Tree; readonly minutes: number } {
  const problem = reduced(model.problem);
  const search = new Search(problem);
  const classesOf = new Map(model.tests.map((one) => [one.test.id, one]));
  const grown = (left: Left, from: HuntPlace): Tree => {
    const { test: at } = search.next(left, from);
    const test = at === null ? undefined : problem.tests[at];
    if (!test) return leaf(problem.hypotheses, left);
    const predicted = classesOf.get(test.id);
    const branches = search.parts(test, left).map(({ left: part }) => {
      // Answers were numbered anew: the class is that of the model’s own hypothesis.
      const [first = 0] = part;
      const number = predicted?.answers[problem.kept[first] ?? 0] ?? 0;
      return [predicted?.classes[number]?.words ?? String(number), grown(part, test.place)] as const;
    });
    return { test: test.id, branches: Object.fromEntries(branches) };
  };
  return { tree: grown(search.all, problem.start), minutes: search.next(search.all, problem.start).minutes };
}

/** The likeliest repair of what is left. */
function leaf(hypotheses: readonly { readonly share: number; readonly repair: string }[], left: Left): Tree {
  const shares = new Map<string, number>();
  for (const at of left) {
    const one = hypotheses[at];
    if (one) shares.set(one.repair, (shares.get(one.repair) ?? 0) + one.share);
  }
  const repairs = [...shares].sort((a, b) => b[1] - a[1]).map(([repair]) => repair);
  const [repair = 'none'] = repairs;
  return repairs.length > 1 ? { repair, among: repairs } : { repair };
}
