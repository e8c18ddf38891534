import { simulate } from './simulate';
import { largeBattery, pumpOf, questionOf } from './water.fixture';

const day = 86400;

describe('several parts at once', () => {
  const rain = [{ kind: 'steady' as const, flow: 0.1 / 3600 }];

  it('a dead battery stops its own pump and no other', () => {
    const batteries = [
      { ...largeBattery, capacityAh: 1 },
      { ...largeBattery, id: 'other' },
    ];
    const backup = pumpOf({
      id: 'backup',
      batteryId: 'other',
      sensor: { kind: 'float', onM: 0.155, offM: 0.125, onDelayS: 0, runOnS: 0 },
    });
    const run = simulate(questionOf({ pumps: [pumpOf(), backup], batteries, ingress: rain, seconds: 10 * day }));
    expect([run.spillsAtS, run.spilledM3]).toEqual([null, 0]);
    expect(run.batteries[0]?.usedUpAtS).toBeGreaterThan(0);
    expect(run.batteries[0]?.ampHours).toBeCloseTo(1, 6);
    expect(run.batteries[1]?.usedUpAtS).toBeNull();
    expect(run.pumps[1]?.starts).toBeGreaterThan(10);
    expect(run.maxLevelM).toBeCloseTo(0.155, 9);
    // One ampere-hour at 4 A: a quarter of an hour of running.
    expect(run.pumps[0]?.runningS).toBeCloseTo(900, 3);
  });

  it('a hose that fills while its well spills over holds its own before anything leaves', () => {
    const run = simulate(
      questionOf({
        topM: 0.05,
        pumps: [
          pumpOf({ drainBackM3: 0.004, sensor: { kind: 'float', onM: 0.05, offM: 0.02, onDelayS: 0, runOnS: 0 } }),
        ],
        ingress: [{ kind: 'steady', flow: 3 / 3600 }],
        seconds: 2 * 3600,
      }),
    );
    // 20 L to the top at 3 m³/h: 24 s; from then on the pump takes 1 m³/h of 3, of which 4 L fill its hose.
    expect(run.spillsAtS).toBeCloseTo(24, 6);
    expect(run.pumps[0]?.pumpedM3).toBeCloseTo((7200 - 24) / 3600 - 0.004, 6);
    expect(run.spilledM3).toBeCloseTo((2 * (7200 - 24)) / 3600, 6);
    expect(Math.abs(run.massErrorM3)).toBeLessThan(1e-9);
  });

  it('a hose that runs back into a well too small for its water spills at every stop, counted or gone through', () => {
    const asked = questionOf({
      topM: 0.05,
      pumps: [pumpOf({ drainBackM3: 0.014, sensor: { kind: 'float', onM: 0.05, offM: 0.02, onDelayS: 0, runOnS: 0 } })],
      ingress: rain,
      seconds: day,
    });
    const [counted, through] = [simulate(asked), simulate({ ...asked, throughCycles: true })];
    expect(counted.events).toBeLessThan(through.events / 10);
    expect(counted.spilledM3).toBeGreaterThan(0.1);
    expect(counted.spilledM3).toBeCloseTo(through.spilledM3, 6);
    expect(counted.pumps[0]?.starts).toBe(through.pumps[0]?.starts);
    expect(Math.abs(counted.massErrorM3)).toBeLessThan(1e-9);
  });

  it('an alarm with a delay is heard that much later, and cycles that pass it are gone through', () => {
    const alarm = { id: 'alarm', sensor: { kind: 'float' as const, onM: 0.05, offM: 0.04, onDelayS: 30, runOnS: 0 } };
    const asked = questionOf({ alarms: [alarm], ingress: rain, seconds: 3 * day });
    const run = simulate(asked);
    expect(run.alarmAtS).toBeCloseTo((0.4 * 0.05) / (0.1 / 3600) + 30, 6);
    expect(simulate({ ...asked, throughCycles: true }).pumps[0]?.starts).toBe(run.pumps[0]?.starts);
  });

  it('goes on past its limit unless it is asked to end there', () => {
    const flood = { pumps: [], ingress: [{ kind: 'steady' as const, flow: 0.36 / 3600 }], limitM: 0.1, seconds: 3600 };
    // 40 L at 360 L/h: 400 s.
    expect(simulate(questionOf(flood))).toMatchObject({ seconds: 3600, limitAtS: expect.closeTo(400, 6) });
    expect(simulate(questionOf({ ...flood, stopAtLimit: true })).seconds).toBeCloseTo(400, 6);
    expect(simulate(questionOf({ ...flood, stopAtLimit: true, limitM: null })).seconds).toBe(3600);
  });

  it('spills nothing in a well without a top, and what a hose gives back to a full one spills', () => {
    const stop = { fromS: 600, position: 'off' as const };
    const full = simulate(
      questionOf({
        topM: 0.05,
        pumps: [pumpOf({ drainBackM3: 0.004, turns: [{ fromS: 0, position: 'manual' }, stop] })],
        ingress: [{ kind: 'steady', flow: 3 / 3600 }],
        seconds: 1200,
      }),
    );
    // Until 600 s the pump takes 1 m³/h; then its 4 L fall back over the top.
    const pumped = full.pumps[0]?.pumpedM3 ?? NaN;
    expect(full.spilledM3).toBeCloseTo((3 * 1200) / 3600 - 0.02 - pumped, 9);
    expect(full.maxLevelM).toBeCloseTo(0.05, 9);
    expect(simulate(questionOf({ seconds: day })).spilledM3).toBe(0);
  });
});
