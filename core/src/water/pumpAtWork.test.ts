import { FloatAtWork, PumpAtWork } from './pumpAtWork';
import type { SimPump } from './simQuestion';
import { pumpOf } from './water.fixture';

const sensor = { kind: 'float', onM: 0.055, offM: 0.025, onDelayS: 2, runOnS: 4 } as const;

describe('a float’s contact', () => {
  it('closes its delay after the water reaches it, and opens its run-on after it has left', () => {
    const float = new FloatAtWork(sensor, 0.022, 0.01, 0);
    expect([float.wet, float.closed, float.thresholdM3(true), float.thresholdM3(false)]).toEqual([
      false,
      false,
      0.022,
      NaN,
    ]);
    float.settle(10, 0.0219);
    expect([float.wet, float.dueS]).toEqual([false, Infinity]);
    float.settle(11, 0.022);
    expect([float.wet, float.closed, float.dueS]).toEqual([true, false, 13]);
    float.settle(12.9, 0.023);
    expect(float.closed).toBe(false);
    float.settle(13, 0.023);
    expect([float.closed, float.dueS, float.thresholdM3(true), float.thresholdM3(false)]).toEqual([
      true,
      Infinity,
      NaN,
      0.01,
    ]);
    float.settle(20, 0.0101);
    expect([float.wet, float.dueS]).toEqual([true, Infinity]);
    float.settle(21, 0.01);
    expect([float.wet, float.closed, float.dueS]).toEqual([false, true, 25]);
    float.settle(25, 0.01);
    expect([float.closed, float.dueS]).toEqual([false, Infinity]);
  });

  it('that leaves again within its delay never follows, and one that comes back within its run-on never opens', () => {
    const float = new FloatAtWork(sensor, 0.022, 0.01, 0);
    float.settle(0, 0.022);
    float.settle(1, 0.01);
    expect([float.wet, float.closed, float.dueS]).toEqual([false, false, Infinity]);
    const up = new FloatAtWork(sensor, 0.022, 0.01, 0.03);
    expect(up.closed).toBe(true);
    up.settle(0, 0.01);
    up.settle(1, 0.022);
    expect([up.wet, up.closed, up.dueS]).toEqual([true, true, Infinity]);
  });

  it('that is stuck stays as it is, whatever the water does', () => {
    for (const [stuck, closed] of [
      ['up', true],
      ['down', false],
    ] as const) {
      const float = new FloatAtWork({ ...sensor, stuck }, 0.022, 0.01, 0.015);
      for (const volumeM3 of [0, 0.05]) float.settle(9, volumeM3);
      expect([float.closed, float.thresholdM3(true), float.thresholdM3(false)]).toEqual([closed, NaN, NaN]);
    }
  });
});

describe('a pump at work', () => {
  const pumpAt = (more: Partial<SimPump> = {}, startM3 = 0.03) =>
    new PumpAtWork(pumpOf(more), null, 0.005, 0.007, startM3);

  it('has its prime from the start where there is water enough', () => {
    expect([0.0069, 0.007, 0.03].map((startM3) => pumpAt({}, startM3).primed)).toEqual([false, true, true]);
  });

  it('is wanted on manual, on auto by its float, and not when off', () => {
    const turns = [
      { fromS: 10, position: 'manual' as const },
      { fromS: 20, position: 'off' as const },
      { fromS: 30, position: 'auto' as const },
    ];
    const float = new FloatAtWork(sensor, 0.022, 0.01, 0.03);
    const pump = new PumpAtWork(pumpOf({ turns }), float, 0.005, 0.007, 0.03);
    expect([0, 10, 19, 20, 30].map((nowS) => pump.positionAt(nowS))).toEqual([
      'auto',
      'manual',
      'manual',
      'off',
      'auto',
    ]);
    expect([0, 10, 20, 30].map((nowS) => pump.wanted(nowS))).toEqual([true, true, false, true]);
    float.closed = false;
    expect([0, 10, 20, 30].map((nowS) => pump.wanted(nowS))).toEqual([false, true, false, false]);
  });

  it('fills its hose before anything leaves, and gives it back when it stops', () => {
    const pump = pumpAt({ drainBackM3: 0.002 });
    pump.start(0, 0.03, true);
    pump.took(0.0015, 5);
    expect([pump.fillM3, pump.pumpedM3]).toEqual([0.0015, 0]);
    pump.took(0.0015, 5);
    expect(pump.fillM3).toBeCloseTo(0.002, 15);
    expect(pump.pumpedM3).toBeCloseTo(0.001, 15);
    expect(pump.stop(10)).toBeCloseTo(0.002, 15);
    expect([pump.fillM3, pump.starts, pump.runningS]).toEqual([0, 1, 10]);
    expect(pump.result()).toMatchObject({ runS: 10, longestRunS: 10, shortestRunS: 10, starts: 1 });
    // What stands takes nothing.
    pump.took(0.001, 5);
    expect([pump.runningS, pump.fillM3]).toEqual([10, 0]);
  });

  it('counts a run as its own water’s where less than half of what its hose gave back left the boat', () => {
    const ownWater = (outM3: number, drainBackM3 = 0.002) => {
      const pump = pumpAt({ drainBackM3 });
      pump.start(0, 0.03, true);
      pump.took(drainBackM3 + outM3, 5);
      pump.stop(5);
      return pump.result().ownWaterRuns;
    };
    expect([ownWater(0.000_99), ownWater(0.001), ownWater(0)]).toEqual([1, 0, 1]);
    expect(ownWater(0, 0)).toBe(0);
  });

  it('knows its mean, longest and shortest run, and its longest dry stretch', () => {
    const pump = pumpAt();
    for (const [fromS, toS] of [
      [0, 10],
      [20, 50],
      [60, 80],
    ] as const) {
      pump.start(fromS, 0.03, true);
      pump.took(0.001, toS - fromS);
      pump.stop(toS);
    }
    expect(pump.result()).toMatchObject({ runS: 20, longestRunS: 30, shortestRunS: 10, drySecondsLongest: 0 });
    pump.primed = false;
    pump.start(100, 0.001, true);
    pump.took(0, 12);
    pump.took(0, 3);
    pump.primed = true;
    pump.took(0.001, 2);
    pump.primed = false;
    pump.took(0, 9);
    expect(pump.result().drySecondsLongest).toBe(15);
    expect(pumpAt().result()).toMatchObject({ runS: null, longestRunS: null, shortestRunS: null });
  });

  it('never stops once half an hour has brought the water no lower', () => {
    const lowered = (lowerAtS: number, untilS: number, byM3 = 2e-6) => {
      const pump = pumpAt();
      pump.start(0, 0.03, true);
      for (let nowS = 60; nowS <= untilS; nowS += 60) pump.watch(nowS, nowS >= lowerAtS ? 0.03 - byM3 : 0.03);
      return pump.neverStops;
    };
    expect([lowered(Infinity, 1740), lowered(Infinity, 1800)]).toEqual([false, true]);
    expect([lowered(600, 2340), lowered(600, 2400)]).toEqual([false, true]);
    // A millilitre is no lower.
    expect(lowered(600, 1800, 0.9e-6)).toBe(true);
    const standing = pumpAt();
    standing.watch(4000, 0.03);
    expect([standing.neverStops, standing.watchS]).toEqual([false, Infinity]);
  });

  it('is looked at each minute while it runs, until it is known never to stop', () => {
    const pump = pumpAt();
    pump.start(5, 0.03, true);
    expect(pump.watchS).toBe(65);
    pump.watch(64, 0.03);
    expect(pump.watchS).toBe(65);
    pump.watch(65, 0.03);
    expect(pump.watchS).toBe(125);
    pump.watch(1805, 0.03);
    expect([pump.neverStops, pump.watchS]).toEqual([true, Infinity]);
    pump.stop(1900);
    pump.start(2000, 0.03, true);
    expect(pump.watchS).toBe(Infinity);
  });

  it('that is locked opens its fuse after its time, and counts that from its first start', () => {
    const pump = pumpAt({ locked: { amps: 20, opensAfterS: 8 } });
    pump.start(10, 0.03, true);
    expect(pump.blownAtS).toBe(18);
    pump.stop(12);
    pump.start(30, 0.03, true);
    expect(pump.blownAtS).toBe(18);
    expect(pumpAt().blownAtS).toBe(Infinity);
  });

  it('on a timer wakes, feels, and runs on or goes back to sleep', () => {
    const timed = (primed: boolean) => {
      const pump = new PumpAtWork(
        pumpOf({ sensor: { kind: 'timer', periodS: 180, feelS: 3 } }),
        null,
        0.005,
        0.007,
        primed ? 0.03 : 0,
      );
      pump.settleTimer(179);
      expect([pump.awake, pump.wakeS]).toEqual([false, 180]);
      pump.settleTimer(180);
      expect([pump.awake, pump.feltAtS]).toEqual([true, 183]);
      pump.start(180, 0.03, false);
      expect(pump.starts).toBe(0);
      pump.settleTimer(183);
      return pump;
    };
    expect(timed(true)).toMatchObject({ awake: true, starts: 1, feltAtS: Infinity });
    expect(timed(false)).toMatchObject({ awake: false, starts: 0, wakeS: 363, feltAtS: Infinity });
    const plain = pumpAt();
    plain.settleTimer(500);
    plain.sleep(500);
    expect([plain.awake, plain.wakeS]).toEqual([false, 0]);
  });

  it('begins a cycle like the last only where nothing of it is pending', () => {
    const [pump, other] = [pumpAt(), pumpAt()];
    pump.start(0, 0.03, true);
    expect([pump.atRest(pump), pump.atRest(other), other.atRest(pump)]).toEqual([true, false, true]);
    // One that runs through all of them, known never to stop, is as good as at rest.
    pump.watch(1800, 0.03);
    expect(pump.atRest(other)).toBe(true);
    pump.primed = false;
    expect(pump.atRest(other)).toBe(false);
    const waiting = new PumpAtWork(pumpOf(), new FloatAtWork(sensor, 0.022, 0.01, 0), 0.005, 0.007, 0);
    expect(waiting.atRest(other)).toBe(true);
    waiting.float?.settle(0, 0.022);
    expect(waiting.atRest(other)).toBe(false);
    const blown = pumpAt();
    blown.blownAtS = 50;
    expect(blown.atRest(other)).toBe(false);
    const timed = pumpAt({ sensor: { kind: 'timer', periodS: 180, feelS: 3 } });
    expect(timed.atRest(other)).toBe(false);
    const dry = pumpAt({}, 0);
    dry.start(0, 0, true);
    dry.took(0, 4);
    expect(dry.atRest(dry)).toBe(false);
  });

  it('counts cycles that are not gone through', () => {
    const pump = pumpAt({ drainBackM3: 0.002 });
    const run = (fromS: number) => {
      pump.start(fromS, 0.03, true);
      pump.took(0.0025, 10);
      pump.stop(fromS + 10);
    };
    run(0);
    const before = pump.tally();
    run(100);
    pump.repeat(before, 5, 100);
    const { starts, runningS, pumpedM3, completed, completedS, ownWater } = pump.tally();
    expect([starts, runningS, completed, completedS, ownWater]).toEqual([7, 70, 7, 70, 7]);
    expect(pumpedM3).toBeCloseTo(7 * 0.0005, 12);
    // A run that is under way then is as long as it would have been.
    pump.start(700, 0.03, true);
    const started = { ...pump.tally(), starts: pump.starts - 1 };
    pump.repeat(started, 2, 100);
    pump.stop(910);
    expect(pump.result().longestRunS).toBe(10);
  });

  it('that ran through them ran on since it began, and what left counts as one run’s', () => {
    const pump = pumpAt({ drainBackM3: 0.002 });
    pump.start(0, 0.03, true);
    pump.took(0.0021, 100);
    const before = pump.tally();
    pump.took(0.0003, 100);
    pump.repeat(before, 4, 100);
    pump.stop(700);
    expect(pump.result()).toMatchObject({ starts: 1, longestRunS: 700, ownWaterRuns: 0 });
    expect(pump.result().runningS).toBe(600);
    expect(pump.result().pumpedM3).toBeCloseTo(0.0001 + 5 * 0.0003, 12);
  });
});
