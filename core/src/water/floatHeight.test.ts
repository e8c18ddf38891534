import { floatWindow, isWithin, type WindowPose, type WindowQuestion } from './floatWindow';
import { hinged, poseOf, questionOf } from './floatWindow.fixture';
import { box } from './water.fixture';

describe('the height recommended', () => {
  const rest = { trimDeg: 0, heelDeg: 0 };
  const of = (more: Partial<WindowPose>, question: Partial<WindowQuestion> = {}) =>
    floatWindow({ ...questionOf([poseOf(box, hinged, rest, more)]), ...question });

  it('leaves a margin to the lower end, to whole millimetres', () => {
    expect(of({ floorM: 0.0203 }).recommendedM).toBe(0.031);
    expect(of({ floorM: 0.02 }).recommendedM).toBe(0.03);
  });

  it('lies in the middle where the margins do not both fit', () => {
    // From 20 to 36 mm: 10 mm from the lower end would be 6 from the upper.
    expect(of({ floorM: 0.02, limit: { levelM: 0.091, id: 'joints' } }).recommendedM).toBeCloseTo(0.028, 9);
    // From 20 to 35.2 mm: the middle, 27.6, to the millimetre.
    expect(of({ floorM: 0.02, limit: { levelM: 0.0902, id: 'joints' } }).recommendedM).toBeCloseTo(0.028, 9);
    // From 20.1 to 20.3 mm: the middle, since the millimetre lies below.
    expect(of({ floorM: 0.0201, limit: { levelM: 0.0753, id: 'joints' } }).recommendedM).toBeCloseTo(0.0202, 9);
    // From 20.2 to 20.8 no whole millimetre serves.
    expect(of({ floorM: 0.0202, limit: { levelM: 0.0758, id: 'joints' } }).recommendedM).toBeCloseTo(0.0205, 9);
  });

  it('is as low as nothing bounds it from above', () => {
    expect(of({ floorM: 0.02, limit: null })).toMatchObject({ recommendedM: 0.03, maxM: null, highBound: null });
  });

  it('of an alarm with no lower end keeps a margin to the upper', () => {
    expect(of({ floorM: -Infinity }, { pumps: false })).toMatchObject({
      minM: null,
      recommendedM: 0.135,
      comfortMinM: -5,
    });
    expect(of({ floorM: -Infinity, limit: null }, { pumps: false }).recommendedM).toBeNull();
  });

  it('of an alarm that nothing bounds from above keeps a margin to its lower end', () => {
    expect(of({ floorM: 0.02, limit: null }, { pumps: false }).recommendedM).toBe(0.03);
  });

  it('is where runs are long enough, if that is higher', () => {
    // In a V of 45° between off at h and on at h + 30 mm lie 30 mm · (2h + 30 mm) a metre.
    const vee = { ...box, shape: { kind: 'v' as const, deadriseDeg: 45, widthM: 2 } };
    const flow = 6e-4;
    const window = floatWindow(questionOf([poseOf(vee, hinged, rest, { flow, drainBackM3: 0 })]));
    // Ten seconds of it are 6 L: off at 85 mm, base at 60 mm.
    expect(window.comfortMinM).toBeCloseTo(0.06, 6);
    expect(window.recommendedM).toBeCloseTo(0.06, 6);
    expect(window.minM).toBe(0);
    expect(isWithin(window, 0.03)).toBe(true);
  });
});

test('in a trimmed V the water between on and off is counted where the float hangs', () => {
  const vee = { ...box, shape: { kind: 'v' as const, deadriseDeg: 45, widthM: 2 } };
  const float = { ...hinged, xM: 0.4 };
  const pose = poseOf(vee, float, { trimDeg: 5, heelDeg: 0 }, { flow: 6e-4, drainBackM3: 0 });
  const window = floatWindow(questionOf([pose], float));
  const atPump = (window.comfortMinM ?? NaN) - 0.4 * Math.tan((5 * Math.PI) / 180);
  expect(pose.well.volumeM3(atPump + 0.055) - pose.well.volumeM3(atPump + 0.025)).toBeCloseTo(0.006, 8);
  expect(window.comfortMinM).toBeGreaterThan((window.minM ?? NaN) + 0.005);
});

test('a pump’s float that comes after another hangs clear of slop above it, in whichever pose that is', () => {
  const [rest, heeled] = [
    { trimDeg: 0, heelDeg: 0 },
    { trimDeg: 0, heelDeg: 1 },
  ];
  const recommended = (after: readonly (number | null)[]) =>
    floatWindow(
      questionOf([rest, heeled].map((attitude, at) => poseOf(box, hinged, attitude, { afterM: after[at] ?? null }))),
    ).recommendedM;
  // On at 80 mm at the earliest: base at 25 mm, and 60 mm above that.
  expect(recommended([0.08, null])).toBeCloseTo(0.085, 9);
  expect(recommended([null, null])).toBeLessThan(0.03);
});

test('what a run-on takes out counts to the water between on and off', () => {
  // 30 mm over 0.4 m² are 12 L; four seconds at 0.5 L/s are 2 L more: 14 L, one and a half times 9.333 L.
  const float = { ...hinged, runOnS: 4 };
  const of = (drainBackM3: number) =>
    floatWindow(questionOf([poseOf(box, float, { trimDeg: 0, heelDeg: 0 }, { flow: 5e-4, drainBackM3 })], float));
  expect(of(0.00933).open).toBe(true);
  expect(of(0.00934)).toMatchObject({ open: false, never: { rule: 'drain-back' } });
});
