import { batteryAtWork } from './batteryAtWork';
import { comesAgain, cyclesAhead, type CycleStart } from './cycles';
import type { Mode } from './modes';
import { PumpAtWork } from './pumpAtWork';
import { largeBattery, pumpOf } from './water.fixture';

const pump = new PumpAtWork(pumpOf(), null, 0.005, 0.007, 0);
const other = new PumpAtWork(pumpOf({ id: 'other' }), null, 0.005, 0.007, 0);

const startOf = (more: Partial<CycleStart> = {}): CycleStart => ({
  pump,
  nowS: 1000,
  untilS: 10_000,
  volumeM3: 0.022,
  inM3: 1,
  spilledM3: 0,
  maxM3: 0.022,
  reckonings: 3,
  fillsM3: [0, 0.001],
  tallies: [],
  batteries: [],
  ...more,
});

describe('a cycle comes again', () => {
  const now = startOf({ nowS: 1300 });
  it('where nothing but the clock has moved', () => {
    expect(comesAgain(startOf(), now)).toBe(true);
  });

  it.each<[string, Partial<CycleStart>]>([
    ['another pump started', { pump: other }],
    ['the clock brings something sooner', { untilS: 9000 }],
    ['the water stood otherwise', { volumeM3: 0.0221 }],
    ['the water has been higher since', { maxM3: 0.0219 }],
    ['a circuit was reckoned anew', { reckonings: 2 }],
    ['a hose held otherwise', { fillsM3: [0, 0.0011] }],
    ['no time has passed', { nowS: 1300 }],
  ])('and not where %s', (_why, before) => {
    expect(comesAgain(startOf(before), now)).toBe(false);
  });
});

describe('how many cycles lie ahead', () => {
  const mode = (charge: number): Mode => ({
    charges: [charge],
    amps: [0],
    takers: [],
    takes: [],
    kept: [],
    inflow: 0,
    flows: null,
  });
  /** A battery that lost so much of its charge in a cycle of 300 s. */
  const ahead = (
    charge: number,
    lost: number,
    { from = charge, untilS = Infinity, step = 0.004, usableTo = 0.5, deadAt = 0.2 } = {},
  ) => {
    const one = { ...batteryAtWork({ ...largeBattery, usableTo, deadAt }), charge };
    return cyclesAhead(
      startOf({ nowS: 1000, untilS, batteries: [{ charge: charge + lost, drawnAh: 0 }] }),
      startOf({ nowS: 1300, untilS }),
      [mode(from)],
      [one],
      step,
    );
  };

  it('is as many whole ones as fit before the clock brings something else', () => {
    expect(ahead(0.9, 0, { untilS: 1300 + 300 * 7 + 150 })).toBe(7);
    expect(ahead(0.9, 0, { untilS: 1300 + 299 })).toBe(0);
    expect(ahead(0.9, 0, { untilS: 1200 })).toBe(0);
  });

  it('is as many as leave every charge near what the circuits were reckoned for', () => {
    expect(ahead(0.9, 0.0003)).toBe(13);
    expect(ahead(0.9, -0.0003)).toBe(13);
    // Half of the way is gone already.
    expect(ahead(0.9, 0.0003, { from: 0.902 })).toBe(6);
    expect(ahead(0.9, 0.005)).toBe(0);
  });

  it('ends before a battery is used up, dead or full', () => {
    expect(ahead(0.501, 0.0003)).toBe(3);
    expect(ahead(0.201, 0.0003)).toBe(3);
    expect(ahead(0.5, 0.0003)).toBe(13);
    expect(ahead(0.999, -0.0003)).toBe(3);
    expect(ahead(0.999, 0.0003)).toBe(13);
  });

  it('without a battery that moves is what the clock allows, one that would end at its very moment left out', () => {
    const before = startOf({ nowS: 1000 });
    expect(cyclesAhead(before, startOf({ nowS: 1300 }), [], [], 0.004)).toBe(28);
  });
});
