import { readJob } from '../file';
import { drill, drillLevels, drillScore, drillSolution, type DrillPlayed } from './drill';

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
