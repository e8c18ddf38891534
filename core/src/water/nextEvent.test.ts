import { batteryAtWork } from './batteryAtWork';
import { nextClockS, nextThreshold, nextTurnS, type PartsAtWork } from './nextEvent';
import { FloatAtWork, PumpAtWork } from './pumpAtWork';
import type { SimPump } from './simQuestion';
import { largeBattery, pumpOf, questionOf } from './water.fixture';

const sensor = { kind: 'float', onM: 0.055, offM: 0.025, onDelayS: 2, runOnS: 4 } as const;
/** A pump whose prime goes at 5 L and comes at 7 L, its float at 22 and 10 L. */
const pumpAt = (startM3: number, more: Partial<SimPump> = {}) =>
  new PumpAtWork(pumpOf(more), new FloatAtWork(sensor, 0.022, 0.01, startM3), 0.005, 0.007, startM3);
const partsOf = (more: Partial<PartsAtWork> = {}): PartsAtWork => ({
  pumps: [],
  alarms: [],
  batteries: [],
  kinksM3: [],
  limitM3: Infinity,
  topM3: Infinity,
  fineness: 1,
  ...more,
});

describe('the nearest volume at which something happens', () => {
  const rising = (volumeM3: number, parts: Partial<PartsAtWork>, unlimited = true) =>
    nextThreshold(partsOf(parts), volumeM3, true, unlimited);
  const falling = (volumeM3: number, parts: Partial<PartsAtWork>) =>
    nextThreshold(partsOf(parts), volumeM3, false, true);

  it('rising is a prime, a float, a hole, a limit or a top, whichever comes first', () => {
    const dry = [pumpAt(0)];
    expect(rising(0, { pumps: dry })).toBe(0.007);
    expect(rising(0.007, { pumps: dry })).toBe(0.022);
    expect(rising(0, { pumps: dry, kinksM3: [0.003] })).toBe(0.003);
    expect(rising(0.01, { alarms: [new FloatAtWork(sensor, 0.02, 0.01, 0)], limitM3: 0.015, topM3: 0.03 })).toBe(0.015);
    expect(rising(0.01, { limitM3: 0.015, topM3: 0.03 }, false)).toBe(0.03);
    expect(rising(0.01, { alarms: [new FloatAtWork(sensor, 0.02, 0.01, 0)] })).toBe(0.02);
    expect(rising(0.01, {})).toBeNaN();
    // A float that is up has nothing above it; a pump with its prime gains none.
    expect(rising(0.03, { pumps: [pumpAt(0.03)] })).toBeNaN();
    expect(rising(0.015, { limitM3: 0.015 })).toBeNaN();
  });

  it('falling is a float that lets go, the prime of a pump at work, a hole or the bottom', () => {
    const wet = pumpAt(0.03);
    expect(falling(0.03, { pumps: [wet] })).toBe(0.01);
    wet.energised = true;
    expect(falling(0.01, { pumps: [wet] })).toBe(0.005);
    expect(falling(0.03, { pumps: [wet], kinksM3: [0.02, 0.028] })).toBe(0.028);
    expect(falling(0.004, { pumps: [wet] })).toBe(0);
    wet.energised = false;
    expect(falling(0.01, { pumps: [wet] })).toBe(0);
    // A float that is down is not met on the way down.
    expect(falling(0.02, { pumps: [pumpAt(0.02)] })).toBe(0);
    expect(falling(0.02, { limitM3: 0.01, topM3: 0.015 })).toBe(0);
  });
});

describe('when something happens by the clock', () => {
  const steps = [
    { fromS: 100, flow: 1 },
    { fromS: 300, flow: 0 },
  ];
  const question = questionOf({ ingress: [{ kind: 'script', steps }], seconds: 1000 });

  it('is a script, a delay, a timer, a fuse, a switch or a battery, whichever comes first', () => {
    expect(nextClockS(question, partsOf(), 0)).toBe(100);
    expect(nextClockS(question, partsOf(), 100)).toBe(300);
    const alarm = new FloatAtWork(sensor, 0.022, 0.01, 0);
    alarm.settle(10, 0.022);
    expect(nextClockS(question, partsOf({ alarms: [alarm] }), 10)).toBe(12);
    expect(nextClockS(question, partsOf({ alarms: [alarm] }), 12)).toBe(100);
    const waiting = pumpAt(0);
    waiting.float?.settle(20, 0.022);
    expect(nextClockS(question, partsOf({ pumps: [waiting] }), 20)).toBe(22);
    const battery = { ...batteryAtWork({ ...largeBattery, capacityAh: 10 }), amps: 12 };
    // 0.4 % of 10 Ah at 12 A: 12 s.
    expect(nextClockS(question, partsOf({ batteries: [battery] }), 0)).toBeCloseTo(12, 9);
    expect(nextClockS(question, partsOf({ batteries: [battery], fineness: 4 }), 0)).toBeCloseTo(3, 9);
    const turned = pumpAt(0, { turns: [{ fromS: 50, position: 'off' }] });
    expect(nextClockS(question, partsOf({ pumps: [turned] }), 0)).toBe(50);
    expect(nextClockS(question, partsOf({ pumps: [turned] }), 50)).toBe(100);
    const timed = new PumpAtWork(pumpOf({ sensor: { kind: 'timer', periodS: 30, feelS: 3 } }), null, 0.005, 0.007, 0);
    expect(nextClockS(question, partsOf({ pumps: [timed] }), 0)).toBe(30);
    timed.settleTimer(30);
    expect(nextClockS(question, partsOf({ pumps: [timed] }), 30)).toBe(33);
    const blown = pumpAt(0);
    blown.blownAtS = 70;
    expect([
      nextClockS(question, partsOf({ pumps: [blown] }), 0),
      nextClockS(question, partsOf({ pumps: [blown] }), 70),
    ]).toEqual([70, 100]);
  });

  it('that is no part of a cycle is a script, a switch or the end', () => {
    const turns = [{ fromS: 250, position: 'off' as const }];
    const asked = { ...question, pumps: [pumpOf({ turns })] };
    expect([0, 100, 250, 300].map((nowS) => nextTurnS(asked, nowS))).toEqual([100, 250, 300, 1000]);
  });
});
