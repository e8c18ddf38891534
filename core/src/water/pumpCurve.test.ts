import fc from 'fast-check';
import { parabola, throughPoints, headAt } from './pumpCurve';

/** 3.2 m shut off, 2 m at 2000 L/h, 0.8 m at 3000 L/h. */
const makers = [
  { flow: 0, headM: 3.2 },
  { flow: 2000 / 3.6e6, headM: 2 },
  { flow: 3000 / 3.6e6, headM: 0.8 },
];

/** Makers' points, the head falling as the flow grows. */
const anyPoints = fc
  .array(fc.tuple(fc.double({ min: 1e-5, max: 1e-3, noNaN: true }), fc.double({ min: 0.05, max: 2, noNaN: true })), {
    minLength: 1,
    maxLength: 6,
  })
  .map((steps) => {
    const points = [{ flow: 0, headM: steps.reduce((sum, [, fall]) => sum + fall, 0.1) }];
    for (const [more, fall] of steps) {
      const last = points[points.length - 1] ?? { flow: 0, headM: 0 };
      points.push({ flow: last.flow + more, headM: last.headM - fall });
    }
    return points;
  });

describe('a curve through a maker’s points', () => {
  it('passes through each of them, in whatever order they are given', () => {
    const curve = throughPoints([...makers].reverse());
    for (const { flow, headM } of makers) expect(headAt(curve, flow)).toBeCloseTo(headM, 12);
    expect(curve.shutOffM).toBeCloseTo(3.2, 12);
  });

  it('goes on straight beyond the last, to its open flow', () => {
    // The last chord falls 1.2 m in 1000 L/h, and the end takes its slope: 0.8 m more are gone after 667 L/h.
    const curve = throughPoints(makers);
    expect(curve.openFlow * 3.6e6).toBeCloseTo(3000 + (1000 * 0.8) / 1.2, 3);
    expect(headAt(curve, curve.openFlow)).toBeCloseTo(0, 6);
  });

  it('leaves a point out whose head does not fall', () => {
    // 3 m at 0 and at 1000 L/h: only the first counts, and the line to 1 m at 2000 L/h is straight.
    const level = throughPoints([
      { flow: 0, headM: 3 },
      { flow: 1000 / 3.6e6, headM: 3 },
      { flow: 2000 / 3.6e6, headM: 1 },
    ]);
    expect(headAt(level, 1000 / 3.6e6)).toBeCloseTo(2, 12);
  });

  it('never rises', () => {
    fc.assert(
      fc.property(anyPoints, fc.double({ min: 0, max: 1.2, noNaN: true }), (points, share) => {
        const curve = throughPoints(points);
        const span = points[points.length - 1]?.flow ?? 1;
        const flow = share * span;
        const step = span * 1e-5;
        const [before, after] = [headAt(curve, Math.max(0, flow - step)), headAt(curve, flow + step)];
        expect(after).toBeLessThanOrEqual(before + 1e-9);
      }),
    );
  });

  it('leaves out a point at which the head would rise with the flow', () => {
    const odd = throughPoints([...makers, { flow: 1000 / 3.6e6, headM: 3.5 }]);
    const plain = throughPoints(makers);
    for (const flow of [0, 500, 1000, 1500, 2500]) {
      expect(headAt(odd, flow / 3.6e6)).toBeCloseTo(headAt(plain, flow / 3.6e6), 12);
    }
  });

  it('takes two points at least', () => {
    expect(() => throughPoints([{ flow: 0, headM: 3 }])).toThrow(RangeError);
    expect(() =>
      throughPoints([
        { flow: 0, headM: 3 },
        { flow: 1e-4, headM: 3.1 },
      ]),
    ).toThrow(/at least two points/);
  });
});

test('the usual curve from two figures is a quarter of its head short at half the open flow', () => {
  const curve = parabola(4, 1e-3);
  expect([headAt(curve, 0), headAt(curve, 5e-4), headAt(curve, 1e-3)]).toEqual([4, 3, 0]);
});

describe('between its points a curve is a monotone cubic, worked by hand', () => {
  const at = (...points: readonly (readonly [tenthLitres: number, headM: number])[]) =>
    throughPoints(points.map(([flow, headM]) => ({ flow: flow * 1e-4, headM })));

  it('whose slopes are the means of the chords where these are alike', () => {
    // Chords −5000 and −7000: slopes −5000, −6000, −7000.
    const curve = at([0, 4], [1, 3.5], [2, 2.8]);
    expect(headAt(curve, 0.5e-4)).toBeCloseTo(3.75 + 0.0125, 12);
    expect(headAt(curve, 1.5e-4)).toBeCloseTo(3.15 + 0.0125, 12);
    expect(headAt(curve, 0.25e-4)).toBeCloseTo(3.8796875, 12);
    expect(headAt(curve, 2.5e-4)).toBeCloseTo(2.8 - 0.35, 12);
    expect(curve.openFlow).toBeCloseTo(2e-4 + 2.8 / 7000, 12);
  });

  it('whose slopes are held back where chords differ much, or it would rise again', () => {
    // Chords −1000, −29000, −1000; the means of −15000 would be 15 times the first chord: 3 are allowed, by root of squares.
    const curve = at([0, 4], [1, 3.9], [2, 1], [3, 0.9]);
    const [outer, inner] = [-3000 / Math.hypot(1, 15), -45_000 / Math.hypot(1, 15)];
    expect(headAt(curve, 0.5e-4)).toBeCloseTo(3.95 + (1e-4 * (outer - inner)) / 8, 12);
    expect(headAt(curve, 1.5e-4)).toBeCloseTo(2.45, 12);
    expect(headAt(curve, 2.5e-4)).toBeCloseTo(0.95 + (1e-4 * (inner - outer)) / 8, 12);
    expect(headAt(curve, 4e-4)).toBeCloseTo(0.9 + 1e-4 * outer, 12);
    const heads = Array.from({ length: 301 }, (_, step) => headAt(curve, step * 1e-6));
    expect(heads.every((head, step) => step === 0 || head <= (heads[step - 1] ?? 0))).toBe(true);
  });

  it('and straight before its first point and after its last, to no head', () => {
    const line = at([1, 3], [2, 2]);
    expect([line.shutOffM, line.openFlow]).toEqual([expect.closeTo(4, 12), expect.closeTo(4e-4, 12)]);
    expect(headAt(line, 0.5e-4)).toBeCloseTo(3.5, 12);
    expect(at([0, 4], [1, 2], [2, 0]).openFlow).toBeCloseTo(2e-4, 12);
    expect(at([0, 3], [1, 1], [2, -1]).openFlow).toBeCloseTo(1.5e-4, 12);
  });

  it('through points that fall: those of a flow or a head that was there are left out', () => {
    const kept = at([0, 4], [1, 3], [3, 2]);
    const odd = at([0, 4], [1, 3], [1, 2.5], [2, 3.5], [2.5, 3], [3, 2]);
    for (const flow of [0.5e-4, 1.7e-4, 2.6e-4, 4e-4]) expect(headAt(odd, flow)).toBeCloseTo(headAt(kept, flow), 12);
  });
});
