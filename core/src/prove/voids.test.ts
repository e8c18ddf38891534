import fc from 'fast-check';
import { assess, type AssessedPump } from '../assess';
import { assessedIn, jobWith } from '../build/build.fixture';
import type { Circuit, Job } from '../job';
import { schemeKeys } from '../schemes';
import { groundOf, proveTests } from './proveTests';
import { readOn } from './readOn';
import { testsTouchedBy, voidedTests } from './voids';

const sized = (job: Job): AssessedPump => {
  const [one] = assess(job);
  if (one?.status !== 'sized') throw new Error('not sized');
  return one;
};
const base = jobWith('three-way-float', { panel: { light: 'led' } });
const withCircuit = (change: (circuit: Circuit) => Circuit): Job => ({ ...base, circuits: base.circuits.map(change) });
const testsOf = (job: Job) => proveTests(sized(job));
const voided = (job: Job) => voidedTests(testsOf(base), testsOf(job)).map(({ id }) => id);
const longer = (by: number) =>
  withCircuit((circuit) => ({
    ...circuit,
    legs: {
      ...circuit.legs,
      panelToBilge: { ...circuit.legs.panelToBilge, lengthM: (circuit.legs.panelToBilge.lengthM ?? 0) + by },
    },
  }));

describe('a later change', () => {
  it('of words, posts’ names, steps and notes makes no test void', () => {
    expect(
      voided(
        withCircuit((circuit) => ({
          ...circuit,
          name: 'Other name',
          note: 'A note',
          steps: {},
          panel: { ...circuit.panel, posts: { common: 'A', manual: 'B', auto: 'C' } },
        })),
      ),
    ).toEqual([]);
  });

  it('of a cable makes those void whose window it moves, and leaves what it cannot reach', () => {
    const ids = voided(longer(2));
    expect(ids).toEqual(
      expect.arrayContaining(['amps-manual-down', 'pump-volts-manual-down', 'sense-auto', 'ohms-manual-negative']),
    );
    expect(ids).not.toContain('dead-common');
    expect(ids).not.toContain('volts-common-off-down');
    expect(ids).not.toContain('state-auto-up');
  });

  it('of a scheme tells what is gone and what is new', () => {
    const list = voidedTests(testsOf(base), proveTests(assessedIn(jobWith('hot-auto', { panel: { light: 'led' } }))));
    expect(list.find(({ id }) => id === 'sense-auto')?.why).toBe('gone');
    expect(list.find(({ id }) => id === 'volts-in-off-down')?.why).toBe('new');
  });

  it('never leaves a test standing that it moves: against every test read again on the changed circuit', () => {
    const before = sized(base);
    const tests = proveTests(before);
    fc.assert(
      fc.property(
        fc.record({
          legM: fc.double({ min: 0.5, max: 12, noNaN: true }),
          feedM: fc.double({ min: 0.5, max: 8, noNaN: true }),
          currentA: fc.double({ min: 2, max: 9, noNaN: true }),
          size: fc.constantFrom('16 AWG', '14 AWG', '12 AWG', '10 AWG'),
          light: fc.constantFrom('led' as const, 'filament' as const),
        }),
        ({ legM, feedM, currentA, size, light }) => {
          const after = sized(
            withCircuit((circuit) => ({
              ...circuit,
              panel: { ...circuit.panel, light },
              pump: { ...circuit.pump, currentA },
              legs: { ...circuit.legs, sourceToPanel: { lengthM: feedM }, panelToBilge: { lengthM: legM } },
              choices: { ...circuit.choices, conductors: { ...circuit.choices?.conductors, auto: size } },
            })),
          );
          const gone = new Set(voidedTests(tests, proveTests(after)).map(({ id }) => id));
          const ground = groundOf(before, {});
          for (const test of tests.filter(({ id }) => !gone.has(id))) {
            const [was, is] = [readOn(ground, test, before.netlist), readOn(ground, test, after.netlist)];
            if (typeof was === 'number' && typeof is === 'number') expect(is).toBeCloseTo(was, 3);
            else expect([test.id, is]).toEqual([test.id, was]);
          }
        },
      ),
      { numRuns: 12, seed: 7, endOnFailure: true },
    );
  });
});

describe('the tests that a repair can have touched', () => {
  const assessed = sized(base);
  const tests = proveTests(assessed);
  const touched = (...ids: string[]) => testsTouchedBy(assessed, tests, ids);

  it('at the pump’s joint are all that its current goes through, and those after any work in the bilge', () => {
    const ids = touched('joint-pump');
    expect(ids).toEqual(
      expect.arrayContaining([
        'ohms-manual-negative',
        'amps-manual-down',
        'sense-auto',
        'water-starts',
        'measured-litres-seen',
      ]),
    );
    expect(ids).not.toContain('dead-common');
    expect(ids).not.toContain('isolator-off');
  });

  it('at the light’s tap are those that see the light, and no water', () => {
    const ids = touched('light-tap');
    expect(ids).toContain('state-manual-down');
    expect(ids).not.toContain('water-starts');
  });

  it('of nothing are none', () => expect(touched()).toEqual([]));
});

describe('what the bench’s meter reads in the same setting', () => {
  it.each([...schemeKeys])('is what each test of %s expects', (scheme) => {
    const one = assessedIn(jobWith(scheme, { panel: { light: 'led' } }));
    const ground = groundOf(one, {});
    let read = 0;
    for (const test of proveTests(one)) {
      const on = readOn(ground, test, one.netlist);
      if (on === null) continue;
      read += 1;
      if ('state' in test.expect) expect([test.id, on]).toEqual([test.id, test.expect.state]);
      else expect(on).toBeCloseTo(test.expect.nominal, 4);
    }
    expect(read).toBeGreaterThan(1);
  });
});
