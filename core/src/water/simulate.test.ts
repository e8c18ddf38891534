import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { slopesOf } from './pose';
import { simulate } from './simulate';
import { box, largeBattery, level, pumpOf, questionOf } from './water.fixture';
import { posedWell } from './well';

const day = 86400;

test('a box well with steady ingress and constant flow keeps the closed-form period, duty and starts', () => {
  const [inM3, outM3] = [0.1 / 3600, 1 / 3600];
  const spanM3 = 0.4 * 0.03;
  const fillS = spanM3 / inM3;
  const runS = spanM3 / (outM3 - inM3);
  const { pumps, inM3: came, pumpedM3, massErrorM3 } = simulate(questionOf({ seconds: 30 * day }));
  const [pump] = pumps;
  const firstS = (0.4 * 0.055) / inM3;
  expect(pump?.runS).toBeCloseTo(runS, 6);
  expect(pump?.longestRunS).toBeCloseTo(runS, 6);
  expect(pump?.starts).toBe(1 + Math.floor((30 * day - firstS) / (fillS + runS)));
  expect((pump?.runningS ?? 0) / (30 * day)).toBeCloseTo(0.1, 3);
  expect(came).toBeCloseTo(30 * 2.4, 9);
  expect(pumpedM3).toBeGreaterThan(71.9);
  expect(Math.abs(massErrorM3)).toBeLessThan(1e-6);
});

test('water of the hose runs back at each stop and fills it again before anything leaves', () => {
  const backM3 = 0.002;
  const [inM3, outM3] = [0.1 / 3600, 1 / 3600];
  const { pumps, massErrorM3 } = simulate(questionOf({ pumps: [pumpOf({ drainBackM3: backM3 })], seconds: 10 * day }));
  // Between off and on lie 12 L, of which 2 L come back from the hose.
  const runS = 0.012 / (outM3 - inM3);
  const fillS = (0.012 - backM3) / inM3;
  expect(pumps[0]?.runS).toBeCloseTo(runS, 6);
  expect(pumps[0]?.starts).toBe(1 + Math.floor((10 * day - 0.022 / inM3) / (runS + fillS)));
  expect(Math.abs(massErrorM3)).toBeLessThan(1e-9);
});

test('a dead-band smaller than the hose’s own water cycles for ever, and nothing leaves', () => {
  const { pumps, pumpedM3 } = simulate(
    questionOf({ pumps: [pumpOf({ drainBackM3: 0.0125 })], ingress: [], startM3: 0.022, seconds: 3600 }),
  );
  expect(pumps[0]?.starts).toBeGreaterThan(50);
  expect(pumps[0]?.ownWaterRuns).toBe(pumps[0]?.starts === undefined ? NaN : pumps[0].starts - 1);
  expect(pumpedM3).toBe(0);
});

test('a float below its pump never lets it stop: it runs dry and flattens the battery', () => {
  const low = pumpOf({ sensor: { kind: 'float', onM: 0.035, offM: 0.005, onDelayS: 0, runOnS: 0 } });
  const battery = { ...largeBattery, capacityAh: 50 };
  const { pumps, batteries } = simulate(questionOf({ pumps: [low], batteries: [battery], seconds: 3 * day }));
  expect(pumps[0]?.neverStops).toBe(true);
  expect(pumps[0]?.drySecondsLongest).toBeGreaterThan(60);
  expect(batteries[0]?.usedUpAtS).toBeLessThan(day);
});

test('a hole fills a box to a level in the closed-form time', () => {
  const areaM2 = 1e-4;
  const outsideM = 0.5;
  const run = simulate(
    questionOf({
      pumps: [],
      ingress: [{ kind: 'opening', areaM2, heightM: -0.1, outsideM }],
      limitM: 0.3,
      stopAtLimit: true,
    }),
  );
  // √head falls evenly with time.
  const closedS = (2 * 0.4 * (Math.sqrt(0.5) - Math.sqrt(0.2))) / (0.6 * areaM2 * Math.sqrt(2 * 9.80665));
  expect(run.limitAtS).toBeCloseTo(closedS, 3);
});

test('a hole above the water fills at a steady rate until it is covered', () => {
  const run = simulate(
    questionOf({
      pumps: [],
      ingress: [{ kind: 'opening', areaM2: 1e-4, heightM: 0.2, outsideM: 0.45 }],
      limitM: 0.2,
      stopAtLimit: true,
    }),
  );
  expect(run.limitAtS).toBeCloseTo((0.4 * 0.2) / (0.6e-4 * Math.sqrt(2 * 9.80665 * 0.25)), 3);
});

test('ingress beyond the pump rises past it to the limit', () => {
  const run = simulate(questionOf({ ingress: [{ kind: 'steady', flow: 1.5 / 3600 }], limitM: 0.4, seconds: 4 * 3600 }));
  const toOnS = 0.022 / (1.5 / 3600);
  const thenS = (0.16 - 0.022) / (0.5 / 3600);
  expect(run.limitAtS).toBeCloseTo(toOnS + thenS, 3);
  expect(run.loses).toBe(true);
  expect(run.pumps[0]?.neverStops).toBe(true);
});

test('a probe waits before it starts its pump and runs on after', () => {
  const probe = pumpOf({ sensor: { kind: 'float', onM: 0.055, offM: 0.025, onDelayS: 2, runOnS: 4 } });
  const [inM3, outM3] = [0.1 / 3600, 1 / 3600];
  const { pumps, maxLevelM } = simulate(questionOf({ pumps: [probe] }));
  expect(maxLevelM).toBeCloseTo(0.055 + (2 * inM3) / 0.4, 9);
  expect(pumps[0]?.runS).toBeCloseTo((0.012 + 2 * inM3) / (outM3 - inM3) + 4, 6);
});

test('a sensing pump wakes on its timer, and a dry wake is neither start nor run', () => {
  const sensing = pumpOf({ sensor: { kind: 'timer', periodS: 180, feelS: 1 } });
  const dry = simulate(questionOf({ pumps: [sensing], ingress: [], seconds: 3600 }));
  expect(dry.pumps[0]?.starts).toBe(0);
  // Nineteen wakes of a second: time running, and no run.
  expect(dry.pumps[0]?.runningS).toBeCloseTo(19, 6);
  expect(dry.pumps[0]?.drySecondsLongest).toBe(0);
  // Nineteen or twenty seconds of two amperes.
  expect(dry.batteries[0]?.ampHours).toBeCloseTo((2 * 19) / 3600, 6);
  const wet = simulate(questionOf({ pumps: [sensing], startM3: 0.02, ingress: [], seconds: 3600 }));
  expect(wet.pumps[0]?.starts).toBe(1);
  expect(wet.pumps[0]?.runS).toBeCloseTo((0.02 - 0.4 * 0.012) / (1 / 3600), 6);
});

test('a backup starts above the primary, and the alarm is heard', () => {
  const backup = pumpOf({
    id: 'backup',
    role: 'backup',
    sensor: { kind: 'float', onM: 0.155, offM: 0.125, onDelayS: 0, runOnS: 0 },
  });
  const alarm = { id: 'alarm', sensor: { kind: 'float' as const, onM: 0.1, offM: 0.07, onDelayS: 0, runOnS: 0 } };
  const run = simulate(
    questionOf({ pumps: [pumpOf(), backup], alarms: [alarm], ingress: [{ kind: 'steady', flow: 1.5 / 3600 }] }),
  );
  expect(run.pumps[1]?.starts).toBeGreaterThan(10);
  expect(run.maxLevelM).toBeCloseTo(0.155, 9);
  expect(run.alarmAtS).toBeCloseTo(0.022 / (1.5 / 3600) + (0.04 - 0.022) / (0.5 / 3600), 3);
});

test('a switch left off lets the water rise, and on again lowers it', () => {
  const turns = [
    { fromS: 0, position: 'off' as const },
    { fromS: 3 * 3600, position: 'auto' as const },
  ];
  const run = simulate(questionOf({ pumps: [pumpOf({ turns })] }));
  expect(run.maxLevelM).toBeCloseTo(0.3 / 0.4, 6);
  expect(run.pumps[0]?.starts).toBeGreaterThan(5);
});

test('a locked pump draws its stalled current until its fuse opens, and no more after', () => {
  const locked = pumpOf({ locked: { amps: 20, opensAfterS: 10 } });
  const run = simulate(questionOf({ pumps: [locked], limitM: 0.2 }));
  expect(run.batteries[0]?.ampHours).toBeCloseTo((20 * 10) / 3600, 9);
  expect(run.limitAtS).toBeCloseTo(0.08 / (0.1 / 3600), 3);
});

test('rain by a script comes when it comes, to the millilitre', () => {
  const steps = [
    { fromS: 1000, flow: 2e-4 },
    { fromS: 2000, flow: 0 },
    { fromS: 5000, flow: 1e-4 },
    { fromS: 6000, flow: 0 },
  ];
  const run = simulate(questionOf({ ingress: [{ kind: 'script', steps }] }));
  expect(run.inM3).toBeCloseTo(0.3, 12);
  expect(Math.abs(run.massErrorM3)).toBeLessThan(1e-9);
});

test('a battery falls as it is used, and what it can give ends the pumping', () => {
  const battery = { ...largeBattery, capacityAh: 10, emfV: (charge: number) => 11.8 + 0.9 * charge };
  const run = simulate(
    questionOf({
      batteries: [battery],
      ingress: [{ kind: 'steady', flow: 0.5 / 3600 }],
      seconds: 10 * day,
      limitM: 0.5,
    }),
  );
  // Half of the time on, at 4 A: 5 Ah last two and a half hours.
  expect(run.batteries[0]?.usedUpAtS).toBeGreaterThan(2.4 * 3600);
  expect(run.batteries[0]?.usedUpAtS).toBeLessThan(2.7 * 3600);
  expect(run.batteries[0]?.ampHours).toBeCloseTo(10, 6);
  expect(run.limitAtS).not.toBeNull();
});

test('a stuck float never calls its pump', () => {
  const stuck = pumpOf({ sensor: { kind: 'float', onM: 0.055, offM: 0.025, onDelayS: 0, runOnS: 0, stuck: 'down' } });
  expect(simulate(questionOf({ pumps: [stuck] })).pumps[0]?.starts).toBe(0);
});

test('a well that tapers is pumped by its own volumes', () => {
  const well = posedWell({ ...box, shape: { kind: 'v', deadriseDeg: 20, widthM: 0.6 } }, level);
  const run = simulate(questionOf({ well, seconds: 5 * day }));
  const spanM3 = well.volumeM3(0.055) - well.volumeM3(0.025);
  expect(run.pumps[0]?.runS).toBeCloseTo(spanM3 / (0.9 / 3600), 3);
});

test('a trace shows the same run as its sums', () => {
  const run = simulate(questionOf({ tracePieces: 400 }));
  const running = run.trace.reduce((sum, { fromS, toS, running: shares }) => sum + (shares[0] ?? 0) * (toS - fromS), 0);
  expect(running).toBeCloseTo(run.pumps[0]?.runningS ?? NaN, 3);
  expect(Math.max(...run.trace.map(({ highM }) => highM))).toBeCloseTo(run.maxLevelM, 6);
  expect(posedWell(box, level).levelM(run.endM3)).toBeCloseTo(run.trace.at(-1)?.endM ?? NaN, 6);
});

/** What a run says of a pump, apart from its figures. */
function saysOf({ pumps, limitAtS, batteries, loses }: ReturnType<typeof simulate>) {
  const [pump] = pumps;
  return {
    neverStops: pump?.neverStops,
    loses,
    ownWater: (pump?.ownWaterRuns ?? 0) > 0,
    short: (pump?.shortestRunS ?? Infinity) < 10,
    often: (pump?.starts ?? 0) / 48 > 20,
    dry: (pump?.drySecondsLongest ?? 0) > 1,
    limit: limitAtS !== null,
    usedUp: batteries[0]?.usedUpAtS !== null,
  };
}

test('halving every tolerance changes no verdict', () => {
  fc.assert(
    fc.property(
      fc.record({
        inLPerH: fc.double({ min: 5, max: 1400, noNaN: true }),
        backL: fc.double({ min: 0, max: 14, noNaN: true }),
        offM: fc.double({ min: 0.005, max: 0.03, noNaN: true }),
        capacityAh: fc.double({ min: 5, max: 300, noNaN: true }),
        holed: fc.boolean(),
      }),
      ({ inLPerH, backL, offM, capacityAh, holed }) => {
        const asked = questionOf({
          seconds: 2 * day,
          limitM: 0.35,
          pumps: [
            pumpOf({
              drainBackM3: backL / 1000,
              moves: (speed, levelM) => (speed * (1 + 0.2 * levelM)) / 3600,
              sensor: { kind: 'float', onM: offM + 0.03, offM, onDelayS: 0, runOnS: 0 },
            }),
          ],
          ingress: [
            { kind: 'steady', flow: inLPerH / 3.6e6 },
            ...(holed ? [{ kind: 'opening' as const, areaM2: 2e-6, heightM: 0.01, outsideM: 0.4 }] : []),
          ],
          batteries: [{ ...largeBattery, capacityAh, emfV: (charge) => 11.8 + 0.9 * charge }],
        });
        expect(saysOf(simulate({ ...asked, fineness: 2 }))).toEqual(saysOf(simulate(asked)));
      },
    ),
    runs(25),
  );
});

test('the mirrored boat, heeled the other way, runs the same', () => {
  const well = (sign: number) =>
    posedWell(
      { ...box, centreYM: sign * 0.08, shape: { kind: 'v', deadriseDeg: 15, widthM: 0.7 } },
      slopesOf({ trimDeg: 1, heelDeg: sign * 9 }),
    );
  const [one, other] = [simulate(questionOf({ well: well(1) })), simulate(questionOf({ well: well(-1) }))];
  expect(other.pumps[0]?.starts).toBe(one.pumps[0]?.starts);
  expect(other.pumps[0]?.runS).toBeCloseTo(one.pumps[0]?.runS ?? NaN, 6);
  expect(other.maxLevelM).toBeCloseTo(one.maxLevelM, 9);
});

test('cycles that are counted without being gone through give what going through them gives', () => {
  fc.assert(
    fc.property(
      fc.record({
        inLPerH: fc.double({ min: 20, max: 900, noNaN: true }),
        backL: fc.double({ min: 0, max: 14, noNaN: true }),
        capacityAh: fc.double({ min: 20, max: 2000, noNaN: true }),
        chargeA: fc.constantFrom(0, 0.3),
        runOnS: fc.constantFrom(0, 4),
        holed: fc.boolean(),
        beside: fc.constantFrom('none', 'running through', 'above'),
      }),
      ({ inLPerH, backL, capacityAh, chargeA, runOnS, holed, beside }) => {
        const onM = beside === 'running through' ? 0.01 : 0.09;
        const asked = questionOf({
          seconds: day,
          limitM: 0.35,
          pumps: [
            pumpOf({
              drainBackM3: backL / 1000,
              moves: (speed, levelM) => (speed * (1 + 0.2 * levelM)) / 3600,
              sensor: { kind: 'float', onM: 0.06, offM: 0.03, onDelayS: runOnS / 2, runOnS },
            }),
            ...(beside === 'none'
              ? []
              : [
                  pumpOf({
                    id: 'beside',
                    moves: () => 15 / 3.6e6,
                    sensor: { kind: 'float', onM, offM: onM - 0.005, onDelayS: 0, runOnS: 0 },
                  }),
                ]),
          ],
          ingress: [
            { kind: 'steady', flow: inLPerH / 3.6e6 },
            ...(holed ? [{ kind: 'opening' as const, areaM2: 2e-6, heightM: 0.01, outsideM: 0.4 }] : []),
            { kind: 'script', steps: [{ fromS: day / 3, flow: 1e-5 }] },
          ],
          batteries: [{ ...largeBattery, capacityAh, chargeA, emfV: (charge) => 11.8 + 0.9 * charge }],
        });
        const skipped = simulate(asked);
        const through = simulate({ ...asked, throughCycles: true });
        expect(skipped.events).toBeLessThanOrEqual(through.events);
        skipped.pumps.forEach((pump, index) => {
          const other = through.pumps[index];
          expect(pump.starts).toBe(other?.starts);
          expect(pump.ownWaterRuns).toBe(other?.ownWaterRuns);
          expect(pump.neverStops).toBe(other?.neverStops);
          expect(pump.runS ?? 0).toBeCloseTo(other?.runS ?? 0, 6);
          expect(pump.longestRunS ?? 0).toBeCloseTo(other?.longestRunS ?? 0, 5);
          expect(pump.runningS).toBeCloseTo(other?.runningS ?? NaN, 4);
          expect(pump.pumpedM3).toBeCloseTo(other?.pumpedM3 ?? NaN, 7);
        });
        expect(skipped.pumpedM3).toBeCloseTo(through.pumpedM3, 7);
        expect(skipped.batteries[0]?.ampHours).toBeCloseTo(through.batteries[0]?.ampHours ?? NaN, 7);
        expect(skipped.maxLevelM).toBeCloseTo(through.maxLevelM, 9);
        expect(saysOf(skipped)).toEqual(saysOf(through));
        expect(Math.abs(skipped.massErrorM3)).toBeLessThan(1e-9);
      },
    ),
    runs(60),
  );
});
