import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { slopesOf } from './pose';
import type { Hose } from './hose';
import { HoseFlow, type PumpAndHose } from './hoseFlow';
import { parabola, throughPoints, reversedCurve, headAt } from './pumpCurve';
import { pumpPointAt } from './pumpPoint';
import { simulate } from './simulate';
import { LITRE_PER_HOUR } from './survey';
import { box, largeBattery, level, pumpOf, questionOf } from './water.fixture';
import { posedWell } from './well';

const hoseOf = (boreM: number, lengthM: number, riseM: number, rough: boolean): Hose => ({
  boreM,
  roughnessM: rough ? 0.05 * boreM : 1e-5,
  route: [
    { alongM: 0, heightM: 0.05, xM: 0, yM: 0 },
    { alongM: lengthM, heightM: riseM, xM: 0, yM: 0 },
  ],
  minorK: 3,
  checkValve: false,
});

const anySystem: fc.Arbitrary<PumpAndHose> = fc
  .record({
    openLPerH: fc.double({ min: 1000, max: 15000, noNaN: true }),
    shutOffM: fc.double({ min: 1.5, max: 7, noNaN: true }),
    boreM: fc.constantFrom(0.013, 0.019, 0.025, 0.038, 0.051),
    riseM: fc.double({ min: 0.3, max: 2.5, noNaN: true }),
    rough: fc.boolean(),
    byPoints: fc.boolean(),
  })
  .map(({ openLPerH, shutOffM, boreM, riseM, rough, byPoints }) => {
    const open = openLPerH * LITRE_PER_HOUR;
    const curve = byPoints
      ? throughPoints([
          { flow: 0, headM: shutOffM },
          { flow: 0.3 * open, headM: 0.85 * shutOffM },
          { flow: 0.8 * open, headM: 0.4 * shutOffM },
          { flow: open, headM: 0 },
        ])
      : parabola(shutOffM, open);
    return { curve, hose: hoseOf(boreM, riseM + 2, riseM, rough), topM: riseM, water: 'sea' as const };
  });

/** How far what is kept is from the exact root, over what is allowed: the larger of 1 % and 2 L/h. */
function worstShare(system: PumpAndHose, speedRatio: number, fineness = 1): number {
  const kept = new HoseFlow(system, fineness).atSpeed(
    speedRatio,
    (levelM) => levelM,
    (levelM) => levelM,
  );
  const shutOffM = speedRatio * speedRatio * system.curve.shutOffM;
  let worst = 0;
  // From a metre under the level at which nothing is lifted to a metre over it, densest at shut-off.
  for (let step = -60; step <= 240; step += 1) {
    const spareM = Math.sign(step) * (Math.abs(step) / 240) ** 4 * Math.min(2, shutOffM);
    const levelM = system.topM - shutOffM + spareM;
    const exact = pumpPointAt(system.curve, system.hose, speedRatio, system.topM - levelM, system.water).flow;
    const found = kept(levelM);
    if (exact === 0 && found !== 0) return Infinity;
    worst = Math.max(worst, Math.abs(found - exact) / Math.max(0.01 * exact, 2 * LITRE_PER_HOUR));
  }
  return worst;
}

describe('what a pump moves, as runs look it up', () => {
  it('holds the larger of 1 % and 2 L/h of the exact root everywhere, and is exactly 0 where that is 0', () => {
    fc.assert(
      fc.property(anySystem, fc.double({ min: 0.3, max: 1.3, noNaN: true }), (system, speedRatio) => {
        expect(worstShare(system, speedRatio)).toBeLessThanOrEqual(1);
      }),
      runs(120),
    );
  });

  it('comes nearer the finer it is kept', () => {
    const system = { curve: parabola(3, 5e-4), hose: hoseOf(0.013, 4, 1.2, true), topM: 1.2, water: 'sea' as const };
    const [usual, fine] = [worstShare(system, 0.95), worstShare(system, 0.95, 4)];
    expect(usual).toBeLessThan(0.5);
    expect(fine).toBeLessThan(usual / 3);
  });
});

describe('a marginal pump', () => {
  const well = posedWell(box, level);
  /** A pump that at this speed reaches water from 35 mm up, with its float at 55 and 25 mm. */
  const asked = (exactly: boolean, speed: number) => {
    const system = {
      curve: parabola(3, 5e-4),
      hose: hoseOf(0.019, 3, 0, false),
      topM: 3 * 0.95 ** 2 + 0.035,
      water: 'sea' as const,
    };
    const drive = { ...pumpOf().drive, running: () => ({ amps: 4, speedRatio: speed }) };
    return questionOf({
      well,
      pumps: [
        pumpOf({
          drive,
          moves: exactly
            ? (speedRatio, levelM) =>
                pumpPointAt(system.curve, system.hose, speedRatio, system.topM - levelM, 'sea').flow
            : system,
        }),
      ],
      batteries: [largeBattery],
      ingress: [{ kind: 'steady', flow: 30 * LITRE_PER_HOUR }],
      seconds: 12 * 3600,
    });
  };

  it('runs as exact solving has it: it cannot empty its well, never stops, and its report says so', () => {
    const [kept, exact] = [simulate(asked(false, 0.95)), simulate(asked(true, 0.95))];
    for (const run of [kept, exact]) {
      expect(run.pumps[0]?.starts).toBe(1);
      expect(run.pumps[0]?.neverStops).toBe(true);
      expect(Math.abs(run.massErrorM3)).toBeLessThan(1e-7);
    }
    expect(kept.endM3).toBeCloseTo(exact.endM3, 6);
    expect(kept.pumpedM3).toBeCloseTo(exact.pumpedM3, 5);
  });

  it('a little quicker empties it as often and as long as exact solving has it', () => {
    const [kept, exact] = [simulate(asked(false, 0.965)), simulate(asked(true, 0.965))];
    expect(kept.pumps[0]?.starts).toBeGreaterThan(6);
    expect(kept.pumps[0]?.starts).toBe(exact.pumps[0]?.starts);
    expect((kept.pumps[0]?.runS ?? 0) / (exact.pumps[0]?.runS ?? 1)).toBeCloseTo(1, 2);
    expect(kept.pumps[0]?.neverStops).toBe(false);
  });
});

test('a pump that turns the wrong way moves four tenths of its flow at four tenths of its head', () => {
  const sound = throughPoints([
    { flow: 0, headM: 4 },
    { flow: 5e-4, headM: 2.5 },
    { flow: 8e-4, headM: 0 },
  ]);
  const wrong = reversedCurve(sound);
  expect([wrong.shutOffM, wrong.openFlow]).toEqual([0.4 * sound.shutOffM, 0.4 * sound.openFlow]);
  for (const flow of [0, 1e-4, 2e-4, 3e-4])
    expect(headAt(wrong, flow)).toBeCloseTo(0.4 * headAt(sound, flow / 0.4), 12);
});

describe('a pump at work', () => {
  const day = 86400;
  /** One that takes out what comes in from a time on, whatever its level: it comes to rest. */
  const balancing = (fromS: number, untilS: number) =>
    questionOf({
      startM3: 0.03,
      pumps: [
        pumpOf({
          moves: () => 100 * LITRE_PER_HOUR,
          sensor: { kind: 'float', onM: 0.055, offM: 0.015, onDelayS: 0, runOnS: 0 },
        }),
      ],
      ingress: [
        {
          kind: 'script',
          steps: [
            { fromS: 1, flow: 90 * LITRE_PER_HOUR },
            { fromS, flow: 100 * LITRE_PER_HOUR },
            { fromS: untilS, flow: 0 },
          ],
        },
      ],
      seconds: 3 * 3600,
    });

  it('for half an hour with the water no lower never stops, whenever that began', () => {
    for (const fromS of [600, 1000, 2500]) {
      expect(simulate(balancing(fromS, fromS + 1700)).pumps[0]?.neverStops).toBe(false);
      expect(simulate(balancing(fromS, fromS + 1920)).pumps[0]?.neverStops).toBe(true);
    }
  });

  it('beside another that stands does not lose: every pump must be on', () => {
    const rising = (second: 'on' | 'off', minutes: number) =>
      simulate(
        questionOf({
          pumps: [
            pumpOf(),
            pumpOf({
              id: 'second',
              role: 'backup',
              moves: () => 0.1 / 3600,
              sensor: { kind: 'float', onM: second === 'on' ? 0.056 : 5, offM: 0.03, onDelayS: 0, runOnS: 0 },
            }),
          ],
          ingress: [
            {
              kind: 'script',
              steps: [
                { fromS: 1, flow: 2 / 3600 },
                { fromS: 60 * minutes, flow: 0 },
              ],
            },
          ],
          seconds: 3 * 3600,
        }),
      ).loses;
    // The floats are reached within the first minute.
    expect([rising('on', 29), rising('on', 33), rising('off', 60)]).toEqual([false, true, false]);
  });

  it('of a timer runs while it feels, and is not dry for that', () => {
    const sensing = (feelS: number) =>
      simulate(
        questionOf({ pumps: [pumpOf({ sensor: { kind: 'timer', periodS: 180, feelS } })], ingress: [], seconds: 3600 }),
      );
    const run = sensing(3);
    // A wake every 183 s.
    expect(run.pumps[0]?.runningS).toBeCloseTo(3 * 19, 6);
    expect(run.pumps[0]).toMatchObject({ starts: 0, drySecondsLongest: 0, runS: null });
  });

  it('that stands draws nothing, not less than nothing', () => {
    const { batteries } = simulate(questionOf({ ingress: [], seconds: day }));
    expect(batteries[0]?.ampHours).toBe(0);
  });
});

describe('a well with a top', () => {
  it('spills over and fills no further, and every litre is accounted for', () => {
    const run = simulate(
      questionOf({ pumps: [], ingress: [{ kind: 'steady', flow: 100 * LITRE_PER_HOUR }], topM: 0.25, seconds: 86400 }),
    );
    expect(run.maxLevelM).toBeCloseTo(0.25, 9);
    // 100 L to the top at 100 L/h.
    expect(run.spillsAtS).toBeCloseTo(3600, 3);
    expect(run.spilledM3).toBeCloseTo(2.4 - 0.1, 9);
    expect(Math.abs(run.massErrorM3)).toBeLessThan(1e-9);
  });

  it('is pumped down again once less comes in', () => {
    const turns = [
      { fromS: 0, position: 'off' as const },
      { fromS: 7200, position: 'auto' as const },
    ];
    const run = simulate(
      questionOf({
        pumps: [pumpOf({ turns })],
        ingress: [{ kind: 'steady', flow: 100 * LITRE_PER_HOUR }],
        topM: 0.25,
        seconds: 86400,
      }),
    );
    expect(run.maxLevelM).toBeCloseTo(0.25, 9);
    expect(run.spilledM3).toBeCloseTo(0.1, 6);
    expect(run.pumps[0]?.starts).toBeGreaterThan(5);
    expect(Math.abs(run.massErrorM3)).toBeLessThan(1e-9);
  });
});

test('a trace over cycles that are counted shows what one over all of them shows', () => {
  const asked = questionOf({
    tracePieces: 20,
    seconds: 2 * 86400,
    ingress: [{ kind: 'steady', flow: 200 * LITRE_PER_HOUR }],
  });
  const [counted, through] = [simulate(asked), simulate({ ...asked, throughCycles: true })];
  expect(counted.events).toBeLessThan(through.events / 4);
  counted.trace.forEach((piece, index) => {
    const other = through.trace[index];
    expect(piece.highM).toBeCloseTo(other?.highM ?? NaN, 6);
    expect(piece.lowM).toBeCloseTo(other?.lowM ?? NaN, 6);
    // A piece holds some tens of runs; one more or less may begin in it.
    expect(piece.running[0]).toBeCloseTo(other?.running[0] ?? NaN, 1);
    expect(piece.charge).toBeCloseTo(other?.charge ?? NaN, 6);
  });
  expect(slopesOf({ trimDeg: 0, heelDeg: 0 })).toEqual(level);
});
