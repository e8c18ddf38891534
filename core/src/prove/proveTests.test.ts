import { assess, type AssessedPump } from '../assess';
import { assessedIn, jobWith } from '../build/build.fixture';
import { measureOhms, measureVolts, withFaults, type PlantedFault } from '../circuit';
import { newCircuit, newJob, type Job } from '../job';
import { schemeKeys } from '../schemes';
import type { ProveTest, ReadBattery } from './proveTest';
import { proveTests } from './proveTests';

/**
 * The base circuit as it is worked by hand: label 4.5 A at 13.6 V, lead-acid 100 Ah at 12.7 V, stub 0.12 m, feed 2 m, legs
 * 4 m, negative 5 m, all 12 AWG at 30 °C, a blade of 7.5 A, an LED.
 */
const base: Job = {
  ...newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern'),
  batteries: [{ id: 'house', name: 'House battery', capacityAh: 100 }],
  circuits: [
    {
      ...newCircuit('main', 'Main', 'three-way-float', 'house'),
      source: { stubLengthM: 0.12 },
      legs: { sourceToPanel: { lengthM: 2 }, panelToBilge: { lengthM: 4 }, bilgeToNegative: { lengthM: 5 } },
      pump: { currentA: 4.5, labelV: 13.6 },
      panel: { light: 'led' },
      choices: {
        protection: { kind: 'blade', ratingA: 7.5 },
        conductors: { stub: '12 AWG', feed: '12 AWG', manual: '12 AWG', auto: '12 AWG', negative: '12 AWG' },
      },
    },
  ],
};
const assessed = (job: Job): AssessedPump => {
  const [one] = assess(job);
  if (one?.status !== 'sized') throw new Error('not sized');
  return one;
};
const tests = (battery: ReadBattery = {}) => proveTests(assessed(base), { battery });
const byId = (list: readonly ProveTest[], id: string): ProveTest => {
  const one = list.find((each) => each.id === id);
  if (!one) throw new Error(`No test ${id}.`);
  return one;
};
const nominal = ({ expect: value }: ProveTest): number => {
  if ('state' in value) throw new Error(`A state: ${value.state}`);
  return value.nominal;
};
const state = ({ expect: value }: ProveTest) => ('state' in value ? value.state : null);
/** Whether a reading is taken for what is expected. */
const fits = ({ expect: value }: ProveTest, reading: number) =>
  !('state' in value) && reading >= value.low && reading <= value.high;

describe('the tests of the base circuit', () => {
  it.each([
    ['volts-manual-manual-down', 12.57, 2],
    ['pump-volts-manual-down', 12.37, 2],
    ['amps-manual-down', 3.91, 2],
    ['negative-drop-manual-down', 0.11, 2],
    ['ohms-manual-negative', 0.66, 2],
    ['sense-auto', 0.13, 2],
    ['sense-manual', 0.09, 2],
  ])('%s expect what is worked by hand: %s', (id, value, digits) => {
    expect(nominal(byId(tests(), id))).toBeCloseTo(value, digits);
  });

  it('begin with the fuse out: nothing live at any post, the way through the pump, the float open and closed', () => {
    const dead = tests().filter(({ power }) => power === 'dead');
    expect(tests().slice(0, dead.length)).toEqual(dead);
    expect(dead.slice(1).every(({ set }) => set.fusesOut.includes('fuse'))).toBe(true);
    expect(dead.map(({ id }) => id)).toEqual([
      'battery-resting',
      'dead-common',
      'dead-manual',
      'dead-auto',
      'ohms-manual-negative',
      'ohms-manual-auto-down',
      'ohms-manual-auto-up',
    ]);
    expect(state(byId(dead, 'ohms-manual-auto-down'))).toBe('open');
    expect(state(byId(dead, 'ohms-manual-auto-up'))).toBe('closed');
  });

  it('go by the battery as it was read: at rest without a load, and while it runs', () => {
    const read = tests({ restingV: 12.4, runningV: 12.1 });
    expect(nominal(byId(read, 'volts-common-off-down'))).toBeCloseTo(12.4, 6);
    // 12.1 at the posts, less what fuse, stub and feed lose of it: as much as at 12.7 and its own resistance.
    const lost = (list: readonly ProveTest[], postV: number) => postV - nominal(byId(list, 'volts-common-manual-down'));
    expect(lost(read, 12.1)).toBeGreaterThan(0.05);
    expect(lost(read, 12.1)).toBeLessThan(0.12);
    // Read at rest alone, its own resistance goes on counting.
    expect(nominal(byId(tests({ restingV: 12.4 }), 'volts-common-manual-down'))).toBeLessThan(12.4 - 0.1);
  });

  it('agree with the bench’s meter in the same setting', () => {
    const { netlist } = assessed(base);
    for (const { between, expect: value, set, instrument, power } of tests()) {
      if (!between || 'state' in value) continue;
      const [red, black] = between;
      const setting = { switches: set.switches, floats: set.floats };
      if (instrument === 'voltmeter' && power === 'live')
        expect(measureVolts(netlist, setting, { red, black })).toBeCloseTo(value.nominal, 3);
      if (instrument === 'ohmmeter') {
        const out = {
          ...netlist,
          parts: netlist.parts.map((part) => (part.kind === 'fuse' ? { ...part, closed: false } : part)),
        };
        expect(measureOhms(out, setting, { red, black })).toMatchObject({ ohm: expect.closeTo(value.nominal, 6) });
      }
    }
  });

  it('take a reading up to the edge of its window and no further', () => {
    const amps = byId(tests(), 'amps-manual-down');
    const value = nominal(amps);
    expect([fits(amps, value * 1.1499), fits(amps, value * 1.1501)]).toEqual([true, false]);
    expect([fits(amps, value * 0.8501), fits(amps, value * 0.8499)]).toEqual([true, false]);
    const pump = byId(tests(), 'pump-volts-manual-down');
    expect([fits(pump, nominal(pump) - 0.2999), fits(pump, nominal(pump) - 0.3001)]).toEqual([true, false]);
    expect([fits(pump, nominal(pump) + 0.1999), fits(pump, nominal(pump) + 0.2001)]).toEqual([true, false]);
    const rest = byId(tests(), 'volts-common-off-down');
    expect([fits(rest, 12.7 * 1.0149), fits(rest, 12.7 * 1.0151)]).toEqual([true, false]);
    const drop = byId(tests(), 'sense-auto');
    const by = 0.03 + nominal(drop) * 0.25;
    expect([fits(drop, nominal(drop) + by - 1e-4), fits(drop, nominal(drop) + by + 1e-4)]).toEqual([true, false]);
  });

  it.each<readonly [string, PlantedFault, string]>([
    ['a corroded pump joint', { code: 'corroded', at: 'joint-pump', degree: 1 }, 'pump-volts-manual-down'],
    ['a corroded negative joint', { code: 'corroded', at: 'joint-negative', degree: 1 }, 'negative-drop-manual-down'],
    ['a corroded float joint', { code: 'corroded', at: 'joint-float', degree: 1 }, 'sense-auto'],
  ])('find %s', (_name, fault, id) => {
    const { netlist } = assessed(base);
    const test = byId(tests(), id);
    const [red, black] = test.between ?? [];
    if (!red || !black) throw new Error('no points');
    const reading = measureVolts(
      withFaults(netlist, [fault]),
      { switches: test.set.switches, floats: test.set.floats },
      { red, black },
    );
    expect(fits(test, reading)).toBe(false);
  });
});

describe('the tests of any scheme', () => {
  it.each([...schemeKeys])('%s: each once, dead ones first, with a value or a state, as plain data', (scheme) => {
    const list = proveTests(assessedIn(jobWith(scheme, { panel: { light: 'led' } })));
    expect(list.length).toBeGreaterThan(0);
    expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
    expect(list.map(({ power }) => power)).toEqual([...list.map(({ power }) => power)].sort());
    for (const { expect: value, text } of list) {
      expect(text).not.toBe('');
      if ('state' in value) expect(value.state).not.toBe('');
      else expect(value.low <= value.nominal && value.nominal <= value.high).toBe(true);
    }
    expect(JSON.parse(JSON.stringify(list))).toEqual(list);
  });

  it('have no sense test and no float to be read where the float is in the pump, or there is none', () => {
    for (const scheme of ['three-way-integral', 'plain-switch']) {
      const ids = proveTests(assessedIn(jobWith(scheme))).map(({ id }) => id);
      expect(ids.filter((id) => id.startsWith('sense') || id.startsWith('ohms-manual-auto'))).toEqual([]);
    }
  });
});
