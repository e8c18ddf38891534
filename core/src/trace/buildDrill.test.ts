import { assess } from '../assess';
import { readJob } from '../file';
import { buildDrill, judgedWiring, wiredSo, type BuildDrill, type Placed } from './buildDrill';

/** Every end on the post that the plan has it on. */
function asPlanned({ job, ends }: BuildDrill): Placed {
  const [own] = assess(job);
  if (!own || own.status === 'incomplete') throw new Error('not sized');
  return Object.fromEntries(
    ends.map(({ key, conductor, side }) => {
      const wire = own.plan.conductors.find(({ id }) => id === conductor);
      const at = wire?.[side];
      return [key, `${at?.part}.${at?.terminal}`];
    }),
  );
}

describe('a bare panel', () => {
  it.each([1, 2, 3, 8])('number %i is the same for everybody, and right where it is wired as planned', (seed) => {
    const drill = buildDrill(seed);
    expect(buildDrill(seed)).toEqual(drill);
    expect(drill.ends).toHaveLength(6);
    const { rows, score, burns } = judgedWiring(drill, asPlanned(drill));
    expect(rows).toHaveLength(6);
    expect([score, burns]).toEqual([100, false]);
    expect(readJob(wiredSo(drill, asPlanned(drill))).ok).toBe(true);
  });

  const drill = buildDrill(1);
  const right = asPlanned(drill);

  it('is worth nothing while it is bare: that it stands and is dark is no merit', () => {
    const { rows, score } = judgedWiring(drill, {});
    expect(rows.filter((row) => row.right)).toHaveLength(3);
    expect(score).toBe(0);
  });

  it('with manual and auto changed over is right in one of the three rows that count, by hand', () => {
    // Manual, float down: nothing runs. Manual, float up: it runs, the light too. Auto runs with the float down, without light.
    const swapped = { ...right, 'manual from': right['auto from'] ?? '', 'auto from': right['manual from'] ?? '' };
    const { rows, score, burns } = judgedWiring(drill, swapped);
    expect(burns).toBe(false);
    expect(rows.filter((row) => !row.right).map(({ setting }) => setting)).toEqual([
      'lever manual, float down',
      'lever auto, float down',
    ]);
    expect(score).toBeCloseTo((100 * (2 - 1)) / 3, 6);
  });

  it('with an end left loose lacks what hangs on it', () => {
    const { 'light-negative from': _loose, ...rest } = right;
    const { rows, score } = judgedWiring(drill, rest);
    expect(rows.every(({ does }) => !does.includes('light lit'))).toBe(true);
    expect(score).toBe(0);
  });

  it('with a positive on a negative blows its fuse, and is worth nothing', () => {
    const { score, burns } = judgedWiring(drill, { ...right, 'light-tap to': right['light-negative from'] ?? '' });
    expect([score, burns]).toEqual([0, true]);
  });

  it('has whole numbers only', () => {
    expect(() => buildDrill(-1)).toThrow(RangeError);
    expect(() => buildDrill(0.5)).toThrow(RangeError);
  });
});
