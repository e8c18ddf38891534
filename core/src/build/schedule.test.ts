import fc from 'fast-check';
import { plainOrder, scheduleSteps, StepsError, type TimedStep } from './schedule';
import { built } from './build.fixture';

const timed = (id: string, minutes: number, waitMinutes: number, ...needs: string[]): TimedStep => ({
  id,
  minutes,
  waitMinutes,
  needs,
});

/** Steps of which each needs only earlier ones. */
const anyGraph = fc
  .array(
    fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 12 }), fc.array(fc.nat(5), { maxLength: 2 })),
    { minLength: 1, maxLength: 6 },
  )
  .map((rows) =>
    rows.map(([minutes, waitMinutes, before], at): TimedStep => {
      const needs = at === 0 ? [] : [...new Set(before.map((one) => `s${one % at}`))];
      return timed(`s${at}`, minutes, waitMinutes, ...needs);
    }),
  );

/** The shortest there is: every order, every person, on a grid of whole minutes begun as early as can be. */
function shortest(steps: readonly TimedStep[], people: number): number {
  let best = Infinity;
  const look = (free: readonly number[], ready: ReadonlyMap<string, number>, end: number) => {
    if (ready.size === steps.length) best = Math.min(best, end);
    for (const { id, minutes, waitMinutes, needs } of steps) {
      if (ready.has(id) || needs.some((need) => !ready.has(need))) continue;
      const from = Math.max(0, ...needs.map((need) => ready.get(need) ?? 0));
      const people_ = minutes === 0 ? [-1] : free.map((_, person) => person);
      for (const person of people_) {
        const start = Math.max(from, free[person] ?? 0);
        const after = start + minutes + waitMinutes;
        look(
          free.map((at, index) => (index === person ? start + minutes : at)),
          new Map(ready).set(id, after),
          Math.max(end, after),
        );
      }
    }
  };
  look(
    Array.from({ length: people }, () => 0),
    new Map(),
    0,
  );
  return best;
}

function expectSound(steps: readonly TimedStep[], people: 1 | 2) {
  const { steps: done, minutes } = scheduleSteps(steps, people);
  const at = new Map(done.map((one) => [one.id, one]));
  expect(done.map(({ id }) => id).sort()).toEqual(steps.map(({ id }) => id).sort());
  for (const { id, minutes: takes, waitMinutes, needs } of steps) {
    const one = at.get(id);
    expect(one?.toMin).toBe((one?.fromMin ?? NaN) + takes);
    expect(one?.readyMin).toBe((one?.toMin ?? NaN) + waitMinutes);
    for (const need of needs) expect(one?.fromMin).toBeGreaterThanOrEqual(at.get(need)?.readyMin ?? Infinity);
  }
  for (const one of done)
    for (const other of done)
      if (one !== other && one.person === other.person && one.toMin > one.fromMin && other.toMin > other.fromMin)
        expect(one.toMin <= other.fromMin || other.toMin <= one.fromMin).toBe(true);
  return minutes;
}

describe('a schedule', () => {
  it('begins nothing before what it needs and its clock, gives nobody two things at once, and is the shortest there is', () => {
    fc.assert(
      fc.property(anyGraph, fc.constantFrom<1 | 2>(1, 2), (steps, people) => {
        expect(expectSound(steps, people)).toBe(shortest(steps, people));
      }),
      { numRuns: 150 },
    );
  });

  it('fills a wait with other work', () => {
    const steps = [timed('other', 60, 0), timed('seal', 30, 60), timed('hose', 20, 0, 'seal')];
    expect(scheduleSteps(steps, 1).minutes).toBe(110);
    expect(scheduleSteps(steps, 2).minutes).toBe(110);
    expect(plainOrder(steps).map(({ id }) => id)).toEqual(['other', 'seal', 'hose']);
  });

  it('begins now what can be begun now, also where something else decides how long it takes', () => {
    const steps = [
      timed('cure', 0, 600),
      timed('hose', 20, 0, 'cure'),
      timed('pull', 40, 0),
      timed('wire', 30, 0, 'pull'),
    ];
    const at = (id: string) => scheduleSteps(steps, 1).steps.find((one) => one.id === id)?.fromMin;
    expect([at('pull'), at('wire'), at('hose')]).toEqual([0, 40, 600]);
  });

  it('of a whole circuit is never longer than one step after the other, and no longer with two people', () => {
    for (const scheme of ['three-way-float', 'relay', 'standalone-alarm']) {
      const steps = built(scheme, { outlet: { threadM: 0.042, cored: true } }).steps.map(
        ({ id, minutes, waitHours, needs }) => timed(id, minutes, waitHours * 60, ...needs),
      );
      const [one, two] = [expectSound(steps, 1), expectSound(steps, 2)];
      const plain = steps.reduce((sum, { minutes, waitMinutes }) => sum + minutes + waitMinutes, 0);
      expect(one).toBeLessThanOrEqual(plain);
      expect(two).toBeLessThanOrEqual(one);
    }
  });

  it('of steps in a circle, or that need what is not there, is refused', () => {
    expect(() => scheduleSteps([timed('a', 1, 0, 'b'), timed('b', 1, 0, 'a')], 1)).toThrow(StepsError);
    expect(() => scheduleSteps([timed('a', 1, 0, 'c')], 1)).toThrow(/needs “c”/);
    expect(scheduleSteps([], 2)).toEqual({ steps: [], minutes: 0, exact: true });
  });
});
