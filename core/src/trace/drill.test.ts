import { readJob } from '../file';
import { drawn, drill, drillLevels, drillScore, drillSolution, type DrillPlayed } from './drill';
import { Practice } from './practice';
import { scoreOf, trainees, type Trainee } from './trainees.fixture';

describe('a drill', () => {
  it('is the same for everybody who has its number, and another for the next', () => {
    expect(drill(7, 1)).toEqual(drill(7, 1));
    const first = Array.from({ length: 12 }, (_, seed) => drillSolution(seed, 2).fault);
    expect(new Set(first).size).toBeGreaterThan(5);
  });

  it.each([...drillLevels])(
    'of level %i is a boat that opens, a symptom and a story, and hides a fault that its best hunt finds',
    (level) => {
      for (const seed of [1, 2, 3]) {
        const { job, circuit, story, symptom } = drill(seed, level);
        expect(readJob(job).ok).toBe(true);
        expect(job.circuits.map(({ id }) => id)).toContain(circuit);
        expect(story.length).toBeGreaterThan(10);
        expect(symptom.text.length).toBeGreaterThan(5);
        const { fault, repair, optimum, path } = drillSolution(seed, level);
        expect(fault).not.toBe('');
        expect(repair).not.toBe('');
        if (path.length > 0) expect(optimum).toBeGreaterThan(0);
      }
    },
  );

  it('of level 3 hides two faults at once every second time, and may have wires of one colour', () => {
    const seeds = Array.from({ length: 12 }, (_, seed) => drawn(seed, 3));
    const two = seeds.filter(({ model, truth }) => (model.hypotheses[truth]?.faults.length ?? 0) > 1);
    expect(two.length).toBeGreaterThan(1);
    expect(two.length).toBeLessThan(11);
    const plain = seeds.filter(({ assessed }) =>
      assessed.plan.conductors.some(({ colour }) => colour.base === 'white'),
    );
    expect(plain.length).toBeGreaterThan(1);
  });

  it('of level 4 has sound parts and a layout that is not', () => {
    const { model, truth, symptom } = drawn(3, 4);
    expect(model.hypotheses[truth]?.faults).toEqual([]);
    expect(symptom.text).toContain('Every part was tested and is sound');
  });

  it('tells nothing of what it hides', () => {
    expect(Object.keys(drill(4, 1)).sort()).toEqual(['access', 'circuit', 'job', 'story', 'symptom']);
  });

  it('refuses a number that is none', () => {
    expect(() => drill(-1, 1)).toThrow(RangeError);
    expect(() => drill(1.5, 1)).toThrow(RangeError);
  });
});

describe('the score of a drill', () => {
  const best: DrillPlayed = {
    minutes: 10,
    optimum: 10,
    named: 'right',
    boughtInVain: 0,
    proved: { again: true, water: true, recorded: true },
    unsafe: false,
  };

  it('is a hundred for the best, also where luck was quicker', () => {
    expect(drillScore(best)).toBe(100);
    expect(drillScore({ ...best, minutes: 4 })).toBe(100);
  });

  it('falls by hand: twice the minutes leave 50/e, the group alone 15, one step of the proof 10, a part in vain 10 less', () => {
    expect(drillScore({ ...best, minutes: 20 })).toBeCloseTo(50 / Math.E + 50, 9);
    expect(drillScore({ ...best, named: 'right group' })).toBe(90);
    expect(drillScore({ ...best, named: 'wrong', boughtInVain: 3 })).toBe(75);
    expect(drillScore({ ...best, boughtInVain: 1 })).toBe(90);
    expect(drillScore({ ...best, proved: { again: true, water: false, recorded: false } })).toBe(85);
    expect(drillScore({ ...best, proved: { again: false, water: false, recorded: false } })).toBe(75);
  });

  it('is nothing where something was done that hurts', () => {
    expect(drillScore({ ...best, unsafe: true })).toBe(0);
  });
});

describe('trainees that are simulated', () => {
  /** So many drills of each level; more in a drill of its own. */
  const SEEDS = Number(process.env['TRAINEE_SEEDS'] ?? 6);
  const mean = (trainee: Trainee, level: 1 | 2 | 3 | 4) => {
    const scores = Array.from({ length: SEEDS }, (_, at) => scoreOf(trainee, at + 1, level));
    return scores.reduce((sum, score) => sum + score, 0) / SEEDS;
  };

  it('score about 35 by chance, 65 by the textbook, 95 at the optimum on the first level', () => {
    const [chance, textbook, optimum] = (Object.keys(trainees) as Trainee[]).map((trainee) => mean(trainee, 1));
    expect(chance).toBeGreaterThan(25);
    expect(chance).toBeLessThan(50);
    expect(textbook).toBeGreaterThan(55);
    expect(textbook).toBeLessThan(75);
    expect(optimum).toBeGreaterThan(88);
  }, 600_000);

  it('score in that order on the hardest too', () => {
    const [chance = 0, textbook = 0, optimum = 0] = (Object.keys(trainees) as Trainee[]).map((trainee) =>
      mean(trainee, 3),
    );
    expect(chance).toBeLessThan(textbook);
    expect(textbook).toBeLessThan(optimum);
  }, 600_000);
});

describe('what was done, step by step', () => {
  it('stands beside the test that was best there, and says when a step could tell nothing', () => {
    const practice = new Practice(6, 1);
    const { path } = drillSolution(6, 1);
    const best = practice.review(path);
    expect(best.length).toBeGreaterThan(0);
    for (const { expected, bestExpected } of best) expect(expected).toBeCloseTo(bestExpected, 6);
    const [first = ''] = path;
    const again = practice.review([first, first]);
    expect(again[1]?.expected).toBeNull();
    expect(practice.review(['no such test'])).toEqual([]);
  });
});
