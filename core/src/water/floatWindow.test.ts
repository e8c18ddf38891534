import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { floatWindow, isWithin, type PlacedFloat, type WindowQuestion } from './floatWindow';
import { hinged, poseOf, questionOf } from './floatWindow.fixture';
import { riseAt } from './pose';
import type { Well } from './well';
import { box } from './water.fixture';

/** Whether a height keeps every rule, each asked as it is written. */
function keeps({ float, poses, mostIngress, marginM, drainBackFactor, pumps }: WindowQuestion, zM: number): boolean {
  return poses.every((pose) => {
    const shift = riseAt(pose.slopes, float);
    const [on, off] = [zM + float.onM - shift, zM + float.offM - shift];
    const volume = (h: number) => pose.well.volumeM3(h);
    const afterRunOn = volume(off) - float.runOnS * pose.flow;
    const slack = 1e-9;
    return (
      zM >= pose.floorM - slack &&
      (!pumps ||
        (off >= pose.primeLossM + marginM - slack && afterRunOn >= volume(pose.primeLossM + marginM) - slack)) &&
      (!pumps || volume(on) - afterRunOn >= pose.drainBackM3 * drainBackFactor - slack) &&
      (!pose.limit || volume(on) + float.onDelayS * mostIngress <= volume(pose.limit.levelM) + slack) &&
      (pose.afterM === null || on >= pose.afterM - slack)
    );
  });
}

test('hand-worked: a float beside the pump in a level box', () => {
  const window = floatWindow(questionOf([poseOf(box, hinged, { trimDeg: 0, heelDeg: 0 })]));
  // Off at z + 25 mm must keep 12 mm of prime and 10 mm of margin; on at z + 55 mm must stay under 200 mm.
  expect(window.minM).toBe(0);
  expect(window.lowBound?.rule).toBe('floor');
  expect(window.maxM).toBeCloseTo(0.145, 12);
  expect(window.highBound).toEqual({ rule: 'limit', pose: '0 0', about: 'joints' });
  expect(window.open).toBe(true);
  // 30 mm over 0.4 m² is 12 L, more than 0.75 L of hose and ten seconds at 1500 L/h: a margin above the floor will do.
  expect(window.recommendedM).toBeCloseTo(0.01, 12);
});

test('a float forward of its pump is too deep once the bow goes down', () => {
  const poses = [0, 3].map((trimDeg) => poseOf(box, { ...hinged, xM: 0.4 }, { trimDeg, heelDeg: 0 }));
  const window = floatWindow(questionOf(poses, { ...hinged, xM: 0.4 }));
  expect(window.lowBound).toEqual({ rule: 'prime', pose: '3 0' });
  expect(window.minM).toBeCloseTo(0.012 + 0.01 - 0.025 + 0.4 * Math.tan((3 * Math.PI) / 180), 12);
});

test('a hose that holds more than the dead-band can never be pumped free', () => {
  const narrow = { ...box, shape: { kind: 'box' as const, widthM: 0.02 } };
  const window = floatWindow(questionOf([poseOf(narrow, hinged, { trimDeg: 0, heelDeg: 0 })]));
  expect(window.open).toBe(false);
  expect(window.never?.rule).toBe('drain-back');
  expect(window.recommendedM).toBeNull();
});

test('a backup comes after the primary in every attitude', () => {
  const pose = poseOf(box, hinged, { trimDeg: 2, heelDeg: 0 }, { afterM: 0.08 });
  const window = floatWindow(questionOf([pose]));
  expect(window.lowBound?.rule).toBe('order');
  expect(window.minM).toBeCloseTo(0.08 - 0.055 + 0.2 * Math.tan((2 * Math.PI) / 180), 12);
});

test('an alarm on its own hangs in the middle of its window, one after a pump clear of slop above that pump’s float', () => {
  const alarm = (afterM: number | null) =>
    floatWindow({ ...questionOf([poseOf(box, hinged, { trimDeg: 0, heelDeg: 0 }, { afterM })]), pumps: false });
  expect(alarm(null).recommendedM).toBeCloseTo(0.073, 9);
  // 60 mm above the first pump's: within the 50 to 75 mm that slop does not reach.
  expect(alarm(0.08).recommendedM).toBeCloseTo(0.08 - 0.055 + 0.06, 9);
});

const anyPose = fc.record({
  trimDeg: fc.double({ min: -5, max: 5, noNaN: true }),
  heelDeg: fc.double({ min: -15, max: 15, noNaN: true }),
});

test('windows agree with every millimetre tried, in all hulls, attitudes and delays', () => {
  fc.assert(
    fc.property(
      fc.array(anyPose, { minLength: 1, maxLength: 4 }),
      fc.constantFrom<Well['shape']>(
        { kind: 'box', widthM: 0.3 },
        { kind: 'v', deadriseDeg: 18, widthM: 0.8 },
        { kind: 'round', radiusM: 0.35 },
        {
          kind: 'table',
          rows: [
            { heightM: 0.05, areaM2: 0.002 },
            { heightM: 0.4, areaM2: 0.2 },
          ],
        },
      ),
      fc.record({
        xM: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        yM: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
        runOnS: fc.constantFrom(0, 4),
        onDelayS: fc.constantFrom(0, 2),
      }),
      fc.double({ min: 0, max: 0.004, noNaN: true }),
      (attitudes, shape, place, drainBackM3) => {
        const well = { ...box, floorM: -0.02, shape };
        const float = { ...hinged, ...place };
        const poses = attitudes.map((attitude) => poseOf(well, float, attitude, { drainBackM3 }));
        const question = questionOf(poses, float);
        const window = floatWindow(question);
        const judgedWrong: number[] = [];
        for (let millimetre = -60; millimetre <= 300; millimetre += 1) {
          const zM = millimetre / 1000;
          // A height within a hair of an end is either.
          if ([window.minM, window.maxM].some((end) => end !== null && Math.abs(end - zM) < 1e-6)) continue;
          if ((window.open && isWithin(window, zM)) !== keeps(question, zM)) judgedWrong.push(zM);
        }
        expect(judgedWrong).toEqual([]);
        if (window.recommendedM !== null) expect(keeps(question, window.recommendedM)).toBe(true);
      },
    ),
    runs(150, 40),
  );
});

describe('in a well that narrows upwards', () => {
  /** 600 mm wide to 100 mm, 60 mm wide above; a metre long. */
  const bottle: Well = {
    ...box,
    shape: {
      kind: 'table',
      rows: [
        { heightM: 0.1, areaM2: 0.06 },
        { heightM: 0.4, areaM2: 0.078 },
      ],
    },
  };
  const asked = (drainBackL: number, limitM = 0.35) =>
    questionOf([
      poseOf(
        bottle,
        hinged,
        { trimDeg: 0, heelDeg: 0 },
        { drainBackM3: drainBackL / 1000, flow: 1e-4, limit: { levelM: limitM, id: 'floor' } },
      ),
    ]);

  it('a float has a highest height from what its hose gives back', () => {
    // 30 mm of dead-band hold 18 L below 100 mm and 1.8 L above; 4 L ask for 6 L between on and off.
    const window = floatWindow(asked(4));
    expect(window.highBound?.rule).toBe('drain-back');
    // Six litres: 600 mm × 1 m below 100 mm, 60 mm × 1 m above it.
    const atMost = window.maxM ?? NaN;
    const [on, off] = [atMost + 0.055, atMost + 0.025];
    expect(0.6 * (0.1 - off) + 0.06 * (on - 0.1)).toBeCloseTo(0.006, 6);
    expect(isWithin(window, atMost)).toBe(true);
    expect(isWithin(window, atMost + 1e-4)).toBe(false);
  });

  it('a wide top above a neck gives a window in two pieces, of which the lower is meant', () => {
    const goblet: Well = {
      ...box,
      shape: {
        kind: 'table',
        rows: [
          { heightM: 0.1, areaM2: 0.06 },
          { heightM: 0.3, areaM2: 0.072 },
          { heightM: 0.5, areaM2: 0.192 },
        ],
      },
    };
    const window = floatWindow(
      questionOf([
        poseOf(
          goblet,
          hinged,
          { trimDeg: 0, heelDeg: 0 },
          { drainBackM3: 0.004, flow: 1e-4, limit: { levelM: 0.45, id: 'floor' } },
        ),
      ]),
    );
    expect(window.pieces).toHaveLength(2);
    expect(window.pieces.map(({ lowBound, highBound }) => [lowBound?.rule, highBound?.rule])).toEqual([
      ['floor', 'drain-back'],
      ['drain-back', 'limit'],
    ]);
    expect([window.minM, window.maxM]).toEqual([window.pieces[0]?.fromM, window.pieces[0]?.toM]);
    expect(window.recommendedM).toBeLessThan(0.1);
    const neck = ((window.pieces[0]?.toM ?? 0) + (window.pieces[1]?.fromM ?? 0)) / 2;
    expect(isWithin(window, neck)).toBe(false);
  });

  it('runs long enough end below where the neck begins, and the recommendation keeps clear of both ends', () => {
    const window = floatWindow(asked(0));
    expect(window.comfort.every(({ toM }) => Number.isFinite(toM))).toBe(true);
    const [comfort] = window.comfort;
    expect(window.recommendedM).toBeGreaterThanOrEqual(comfort?.fromM ?? NaN);
    expect(window.recommendedM).toBeLessThanOrEqual((comfort?.toM ?? NaN) - 0.01 + 1e-9);
  });

  it('that nowhere holds enough is open at no height, whatever the float’s place', () => {
    expect(floatWindow(asked(20))).toMatchObject({
      open: false,
      never: { rule: 'drain-back' },
      pieces: [],
      recommendedM: null,
    });
  });
});

describe('where no height serves', () => {
  const rest = { trimDeg: 0, heelDeg: 0 };

  it('the ends that clash are named, each by the rule and the pose that sets it furthest', () => {
    // Bow down 8°, a float 400 mm forward must hang 56 mm higher; 60 mm is where joints begin.
    const float = { ...hinged, xM: 0.4 };
    const poses = [rest, { trimDeg: 8, heelDeg: 0 }, { trimDeg: 2, heelDeg: 0 }].map((attitude) =>
      poseOf(box, float, attitude, { limit: { levelM: 0.08, id: 'joints' } }),
    );
    const window = floatWindow(questionOf(poses, float));
    expect(window).toMatchObject({
      open: false,
      never: null,
      pieces: [],
      comfort: [],
      comfortMinM: null,
      recommendedM: null,
      lowBound: { rule: 'prime', pose: '8 0' },
      highBound: { rule: 'limit', pose: '0 0', about: 'joints' },
    });
    expect(window.minM).toBeCloseTo(0.022 - 0.025 + 0.4 * Math.tan((8 * Math.PI) / 180), 12);
    expect(window.maxM).toBeCloseTo(0.08 - 0.055, 12);
  });

  it('one that touches is open at that height, and a hair less is not', () => {
    const at = (limitM: number) =>
      floatWindow(questionOf([poseOf(box, hinged, rest, { floorM: 0.025, limit: { levelM: limitM, id: 'joints' } })]));
    expect(at(0.08).open).toBe(true);
    expect(at(0.08).recommendedM).toBeCloseTo(0.025, 9);
    expect(at(0.08 - 1e-6).open).toBe(false);
  });
});

describe('a delay', () => {
  const rest = { trimDeg: 0, heelDeg: 0 };
  const windowOf = (more: Partial<PlacedFloat>) => {
    const float = { ...hinged, ...more };
    return floatWindow(questionOf([poseOf(box, float, rest)], float));
  };

  it('before it starts lets the water rise by what comes in meanwhile', () => {
    // 0.1 L/s for 20 s are 2 L: 5 mm of 0.4 m².
    expect(windowOf({ onDelayS: 20 }).maxM).toBeCloseTo(0.145 - 0.005, 9);
    expect(windowOf({ onDelayS: 0 }).maxM).toBeCloseTo(0.145, 12);
  });

  it('after it lets go takes more water out, which must still leave the prime', () => {
    // 1500 L/h for 24 s are 10 L: 25 mm; off at z + 25 mm less that leaves z.
    expect(windowOf({ runOnS: 24 }).minM).toBeCloseTo(0.022 - 0.025 + 0.025, 9);
    expect(windowOf({ runOnS: 24 }).lowBound?.rule).toBe('prime');
  });

  it('after it lets go counts to what lies between on and off', () => {
    // In a box of 16 mm by a metre 30 mm are 0.48 L, of which the hose gives back 0.75 L times as needed; run-on adds 0.42 L a second.
    const narrow = { ...box, shape: { kind: 'box' as const, widthM: 0.016 } };
    const never = (runOnS: number) => {
      const float = { ...hinged, runOnS };
      return floatWindow(questionOf([poseOf(narrow, float, rest, { flow: 1500 / 3.6e6 })], float)).never;
    };
    expect(never(0)?.rule).toBe('drain-back');
    expect(never(1)).toBeNull();
  });
});
