import { batteryAtWork } from './batteryAtWork';
import { driveCurve, type Drive } from './drive';
import { CHARGE_STEP, ModeKeeper } from './modeKeeper';
import { findMode, modeKey } from './modes';
import { PumpAtWork } from './pumpAtWork';
import type { SimPump } from './simQuestion';
import { largeBattery, pumpOf } from './water.fixture';

/** A circuit whose every state draws and turns differently. */
const drive: Drive = {
  waiting: driveCurve(() => ({ amps: 0.1, speedRatio: 0 })),
  off: driveCurve(() => ({ amps: 0.05, speedRatio: 0 })),
  running: driveCurve((volts) => ({ amps: 4, speedRatio: volts / 12 })),
  manual: driveCurve(() => ({ amps: 5, speedRatio: 1.1 })),
  dry: driveCurve(() => ({ amps: 2, speedRatio: 1.3 })),
};
const battery = { ...largeBattery, capacityAh: 100, emfV: (charge: number) => 11.5 + charge, internalOhm: 0.05 };
const pumpAt = (more: Partial<SimPump> = {}, energised = false, primed = true) => {
  const pump = new PumpAtWork(pumpOf({ drive, ...more }), null, 0.005, 0.007, primed ? 0.03 : 0);
  pump.energised = energised;
  return pump;
};
const takes = [(speed: number) => (volumeM3: number) => speed * volumeM3, (speed: number) => () => 2 * speed];
const modeOf = (pumps: readonly PumpAtWork[], charge = 1, nowS = 0, aheadBy = 0) =>
  findMode(pumps, [{ ...batteryAtWork(battery), charge, amps: 4 }], takes, nowS, aheadBy);
const turned = (position: 'manual' | 'off') => ({ turns: [{ fromS: 0, position }] });

describe('what a circuit does as it is switched', () => {
  it.each<[string, PumpAtWork, number]>([
    ['waiting on auto', pumpAt(), 0.1],
    ['off', pumpAt(turned('off')), 0.05],
    ['at work on auto', pumpAt({}, true), 4],
    ['at work on manual', pumpAt(turned('manual'), true), 5],
    ['at work with air in it', pumpAt({}, true, false), 2],
    ['of a locked pump', pumpAt({ locked: { amps: 20, opensAfterS: 5 } }, true), 20],
    ['of a locked pump that stands', pumpAt({ locked: { amps: 20, opensAfterS: 5 } }), 0.1],
  ])('%s', (_state, pump, amps) => {
    expect(modeOf([pump]).amps[0]).toBeCloseTo(amps, 9);
  });

  it('whose fuse has opened, or whose battery is dead, draws nothing', () => {
    const blown = pumpAt({}, true);
    blown.blownAtS = 10;
    expect(modeOf([blown], 1, 9).amps[0]).toBeCloseTo(4, 9);
    expect(modeOf([blown], 1, 10).amps).toEqual([0]);
    expect(modeOf([blown], 1, 10).takers).toEqual([]);
    const dead = { ...batteryAtWork(battery), dead: true };
    expect(findMode([pumpAt({}, true)], [dead], takes, 0, 0)).toMatchObject({ amps: [0], takers: [] });
    const locked = pumpAt({ locked: { amps: 20, opensAfterS: 5 } }, true);
    expect(findMode([locked], [dead], takes, 0, 0).amps).toEqual([0]);
    locked.blownAtS = 5;
    expect(modeOf([locked], 1, 5).amps).toEqual([0]);
  });

  it('takes water where it is at work with its prime and turns, as fast as its battery lets it', () => {
    const [one, other] = [pumpAt({}, true), pumpAt({ id: 'other' }, true)];
    const mode = modeOf([one, other]);
    expect(mode.takers).toEqual([one, other]);
    // 12.5 V less 0.05 Ω × 8 A.
    expect(mode.takes[0]?.(3)).toBeCloseTo((3 * 12.1) / 12, 6);
    expect(mode.takes[1]?.(3)).toBeCloseTo((2 * 12.1) / 12, 6);
    expect(modeOf([pumpAt({}, true, false)]).takers).toEqual([]);
    expect(modeOf([pumpAt({ locked: { amps: 20, opensAfterS: 5 } }, true)]).takers).toEqual([]);
  });

  it('is reckoned of each battery by its own circuits', () => {
    const other = { ...battery, id: 'other' };
    const mode = findMode(
      [pumpAt({}, true), pumpAt({ batteryId: 'other' }, true), pumpAt({ batteryId: 'other' })],
      [batteryAtWork(battery), batteryAtWork(other)],
      [...takes, () => () => 0],
      0,
      0,
    );
    expect(mode.amps.map((amps) => Number(amps.toFixed(6)))).toEqual([4, 4.1]);
    expect(mode.charges).toEqual([1, 1]);
  });

  it('is reckoned a little ahead on the way that the charge goes, within what a battery holds', () => {
    const speed = (charge: number, chargeA: number, aheadBy = 0.1) => {
      const one = { ...batteryAtWork({ ...battery, chargeA }), charge, amps: 4 };
      const [take] = findMode([pumpAt({}, true)], [one], [(ratio) => () => ratio], 0, aheadBy).takes;
      return 12 * (take?.(0) ?? NaN);
    };
    // Volts at the posts: EMF less what flows out net.
    expect(speed(0.8, 0)).toBeCloseTo(11.5 + 0.7 - 0.2, 6);
    expect(speed(0.8, 6)).toBeCloseTo(11.5 + 0.9 + 0.1, 6);
    expect(speed(0.05, 0)).toBeCloseTo(11.5 - 0.2, 6);
    expect(speed(0.95, 6)).toBeCloseTo(12.5 + 0.1, 6);
    expect(speed(0.8, 4)).toBeCloseTo(12.3, 6);
  });
});

test('every way of being switched has a number of its own', () => {
  const battery1 = batteryAtWork(battery);
  const keys = [
    modeKey([pumpAt()], [battery1], 0),
    modeKey([pumpAt({}, true)], [battery1], 0),
    modeKey([pumpAt({}, true, false)], [battery1], 0),
    modeKey([pumpAt(turned('off'))], [battery1], 0),
    modeKey([pumpAt(turned('manual'), true)], [battery1], 0),
    modeKey([pumpAt()], [{ ...battery1, dead: true }], 0),
    modeKey([pumpAt(), pumpAt()], [battery1], 0),
    modeKey([pumpAt({}, true), pumpAt()], [battery1], 0),
    modeKey([pumpAt(), pumpAt({}, true)], [battery1], 0),
    modeKey([Object.assign(pumpAt({}, true), { blownAtS: 0 })], [battery1], 0),
  ];
  expect(new Set(keys).size).toBe(keys.length);
  expect(modeKey([pumpAt()], [battery1], 0)).toBe(keys[0]);
});

describe('what is kept of it', () => {
  it('is reckoned once as long as nothing switches and no charge has moved by its step', () => {
    const pump = pumpAt({}, true);
    const one = { ...batteryAtWork(battery) };
    const keeper = new ModeKeeper({ pumps: [pump], batteries: [one], takes, fineness: 1 });
    keeper.reckon(0);
    expect([keeper.reckonings, one.amps]).toEqual([1, expect.closeTo(4, 9)]);
    one.charge = 1 - 0.99 * CHARGE_STEP;
    keeper.reckon(10);
    expect(keeper.reckonings).toBe(1);
    pump.energised = false;
    keeper.reckon(20);
    expect([keeper.reckonings, one.amps]).toEqual([2, expect.closeTo(0.1, 9)]);
    pump.energised = true;
    keeper.reckon(30);
    expect([keeper.reckonings, one.amps, keeper.met.size]).toEqual([2, expect.closeTo(4, 9), 2]);
    one.charge = 1 - 1.01 * CHARGE_STEP;
    keeper.reckon(40);
    expect(keeper.reckonings).toBe(3);
    // Up again counts as well.
    one.charge = 1;
    keeper.reckon(50);
    expect([keeper.reckonings, keeper.mode.charges]).toEqual([4, [1]]);
  });

  it('is reckoned more often the finer it is asked', () => {
    const one = { ...batteryAtWork(battery) };
    const keeper = new ModeKeeper({ pumps: [pumpAt()], batteries: [one], takes, fineness: 4 });
    keeper.reckon(0);
    one.charge = 1 - CHARGE_STEP / 3;
    keeper.reckon(10);
    expect(keeper.reckonings).toBe(2);
  });
});
