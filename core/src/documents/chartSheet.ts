import type { AssessedAlarm, AssessedPump } from '../assess';
import { cautions } from '../reference';
import { decisionTree, type Tree } from '../trace/decisionTree';
import { huntModel, symptomsOf, type HuntModel } from '../trace/huntModel';
import { heading, NOT_A_LICENCE, table, type Paper, type Sheet, type SheetNode } from './sheetNodes';

export interface ChartGround {
  /** Boat and circuit. */
  readonly title: string;
  readonly assessed: AssessedPump | AssessedAlarm;
  readonly paper: Paper;
  /** The day, in words. */
  readonly day: string;
}

const places = { source: 'At the source', panel: 'At the panel', bilge: 'In the bilge' } as const;

/** The fault-finding chart of this very circuit: of every symptom the best tests, step by step, down to the repair. */
export function chartSheet({ title, assessed, paper, day }: ChartGround): Sheet {
  return {
    paper,
    title: `${title}, fault-finding chart`,
    head: [title, day],
    foot: NOT_A_LICENCE,
    content: [
      { text: 'Fault-finding chart', font: 'AtkinsonBold', fontSize: 20 },
      title,
      {
        text: `Of this circuit as it is built, its battery as surveyed. ${cautions.proveDead} ${cautions.autoStart}`,
        margin: [0, 6, 0, 0],
        fontSize: 9.5,
      },
      ...symptomsOf(assessed).flatMap(({ code, text }): SheetNode[] => {
        const model = huntModel(assessed, { symptom: code });
        const { tree, minutes } = decisionTree(model);
        return [heading(`${text}: about ${Math.max(1, Math.round(minutes))} min`), stepsOf(model, tree)];
      }),
    ],
  };
}

/** The steps of a tree as a table: each answer leads to a step further down, or to a repair. */
function stepsOf(model: HuntModel, tree: Tree): SheetNode {
  const rows: SheetNode[][] = [];
  const repairs = new Map(model.hypotheses.map(({ repair }) => [repair.code, repair.words]));
  const tests = new Map(model.tests.map(({ test }) => [test.id, test]));
  const named = (node: Extract<Tree, { repair: string }>) =>
    (node.among ?? [node.repair]).map((code) => repairs.get(code) ?? code).join('; or: ');
  if (!('test' in tree)) return { text: named(tree) };
  const numbered = (node: Extract<Tree, { test: string }>): number => {
    const number = rows.length + 1;
    const test = tests.get(node.test);
    const row: SheetNode[] = [];
    rows.push(row);
    const answers = Object.entries(node.branches).map(([reads, next]) =>
      'test' in next ? `${reads}: go to ${numbered(next)}` : `${reads}: ${named(next)}`,
    );
    row.push(
      { text: String(number), font: 'AtkinsonBold' },
      {
        stack: [
          { text: test ? places[test.place] : '', fontSize: 8.5 },
          { text: test?.text ?? node.test, fontSize: 9.5 },
        ],
      },
      { ul: answers, fontSize: 9.5 },
    );
    return number;
  };
  numbered(tree);
  return table([18, '*', '*'], ['', 'Test', 'What it reads, and then'], rows);
}
