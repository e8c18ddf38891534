import fc from 'fast-check';
import { leaves, Questions, type Effort, type Puzzle } from './questions';

/** By trying every order of questions, with nothing remembered. */
function byHand({ questions }: Puzzle, left: readonly number[]): Effort {
  if (left.length <= 1) return { worst: 0, sum: 0 };
  let best: Effort | null = null;
  for (const question of questions) {
    const groups = leaves(question, left);
    if (groups.length < 2) continue;
    const efforts = groups.map((group) => byHand({ hypotheses: 0, questions, symmetries: [] }, group));
    const worst = 1 + Math.max(...efforts.map((one) => one.worst));
    const sum = left.length + efforts.reduce((total, one) => total + one.sum, 0);
    if (!best || worst < best.worst || (worst === best.worst && sum < best.sum)) best = { worst, sum };
  }
  return best ?? { worst: 0, sum: 0 };
}

const puzzles = fc.integer({ min: 2, max: 7 }).chain((hypotheses) =>
  fc
    .array(fc.array(fc.integer({ min: 0, max: 2 }), { minLength: hypotheses, maxLength: hypotheses }), {
      minLength: 1,
      maxLength: 6,
    })
    .map((questions): Puzzle => {
      // Hypotheses that nothing tells apart are one.
      const keys = Array.from({ length: hypotheses }, (_, one) => questions.map((answers) => answers[one]).join());
      const told = [...new Set(keys)].map((key) => keys.indexOf(key));
      return {
        hypotheses: told.length,
        questions: questions.map((answers, at) => ({ id: String(at), answers: told.map((one) => answers[one] ?? 0) })),
        symmetries: [told.map((_, at) => at)],
      };
    }),
);
const all = ({ hypotheses }: Puzzle) => Array.from({ length: hypotheses }, (_, at) => at);

/** How many questions it asks until nothing more can be told apart, for each hypothesis. */
function asked(puzzle: Puzzle, questions: Questions, truth: number): number {
  let left = all(puzzle);
  for (let count = 0; ; count += 1) {
    const next = questions.next(left);
    if (!next) return count;
    left = left.filter((one) => next.answers[one] === next.answers[truth]);
    expect(left).toContain(truth);
  }
}

describe('the fewest questions', () => {
  it('are those of trying every order, and are those that are then asked', () => {
    fc.assert(
      fc.property(puzzles, (puzzle) => {
        const questions = new Questions(puzzle);
        const best = byHand(puzzle, all(puzzle));
        expect(questions.effort(all(puzzle))).toMatchObject(best);
        const counts = all(puzzle).map((truth) => asked(puzzle, questions, truth));
        expect([Math.max(...counts), counts.reduce((sum, count) => sum + count, 0)]).toEqual([best.worst, best.sum]);
      }),
      { numRuns: 300 },
    );
  });

  it('halve eight by three yes-or-no questions, and find one of three by a question with three answers', () => {
    const bits: Puzzle = {
      hypotheses: 8,
      questions: [0, 1, 2].map((bit) => ({
        id: String(bit),
        answers: Array.from({ length: 8 }, (_, at) => (at >> bit) & 1),
      })),
      symmetries: [],
    };
    expect(new Questions(bits).effort(all(bits))).toMatchObject({ worst: 3, sum: 24 });
    const three: Puzzle = { hypotheses: 3, questions: [{ id: 'a', answers: [0, 1, 2] }], symmetries: [] };
    expect(new Questions(three).effort(all(three))).toMatchObject({ worst: 1, sum: 3 });
  });

  it('are none where nothing is left to be told', () => {
    const dull: Puzzle = { hypotheses: 1, questions: [{ id: 'a', answers: [1] }], symmetries: [] };
    expect(new Questions(dull).next(all(dull))).toBeNull();
  });
});
