import fc from 'fast-check';
import { frictionFactor } from './friction';
import {
  areaM2,
  climbM,
  drainBackM3,
  hasDip,
  headLossM,
  highestM,
  hoseLengthM,
  loopM,
  outletM,
  roughnessOf,
  viscosity,
  type Hose,
  type HosePoint,
} from './hose';
import { slopesOf } from './pose';
import { parabola, throughPoints, headAt } from './pumpCurve';
import { pumpPointAt } from './pumpPoint';
import { level } from './water.fixture';

const point = (alongM: number, heightM: number, xM = 0, yM = 0): HosePoint => ({ alongM, heightM, xM, yM });
const riser: Hose = {
  boreM: 0.025,
  roughnessM: 1e-5,
  route: [point(0, 0.1), point(1.2, 1.2), point(3, 1.2)],
  minorK: 1 + 2 * 0.9,
  checkValve: false,
};

/** Colebrook’s equation by plain substitution, a hundred times over. */
function iterated(re: number, relative: number): number {
  let f = 0.02;
  for (let step = 0; step < 100; step += 1) f = (-2 * Math.log10(relative / 3.7 + 2.51 / (re * Math.sqrt(f)))) ** -2;
  return f;
}

test('friction agrees with Colebrook’s equation iterated, and with Poiseuille’s law below', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 4000, max: 1e6, noNaN: true }),
      fc.double({ min: 0, max: 0.05, noNaN: true }),
      (re, rough) => {
        expect(frictionFactor(re, rough) / iterated(re, rough)).toBeCloseTo(1, 9);
      },
    ),
  );
  expect(frictionFactor(1000, 0.01)).toBeCloseTo(0.064, 12);
});

test('friction never jumps between laminar and turbulent', () => {
  const factors = Array.from({ length: 2400 }, (_, step) => frictionFactor(2000 + step, 0.002));
  const jumps = factors.map((factor, step) => Math.abs(factor / (factors[step - 1] ?? factor) - 1));
  expect(Math.max(...jumps)).toBeLessThan(0.002);
});

test('head loss of a known case: 1 L/s through 10 m of 25 mm smooth hose', () => {
  const hose = { ...riser, minorK: 0, route: [point(0, 0), point(10, 0)] as const };
  const speed = 0.001 / ((Math.PI * 0.025 ** 2) / 4);
  const f = iterated((speed * 0.025) / viscosity.fresh, 1e-5 / 0.025);
  expect(headLossM(hose, 0.001, 'fresh')).toBeCloseTo((f * 10 * speed ** 2) / (0.025 * 2 * 9.80665), 6);
});

test('the operating point is where a scan of both curves crosses', () => {
  const curve = parabola(4, 3000 / 3.6e6);
  fc.assert(
    fc.property(
      fc.double({ min: 0.6, max: 1.2, noNaN: true }),
      fc.double({ min: 0, max: 1.3, noNaN: true }),
      fc.constantFrom(0.013, 0.019, 0.025, 0.032),
      (speed, lift, boreM) => {
        const hose = { ...riser, boreM };
        const { flow, headM } = pumpPointAt(curve, hose, speed, lift, 'sea');
        const excess = (q: number) => speed ** 2 * headAt(curve, q / speed) - lift - headLossM(hose, q, 'sea');
        let [low, high] = [0, speed * curve.openFlow];
        for (let step = 0; step < 60; step += 1) {
          const middle = (low + high) / 2;
          if (excess(middle) > 0) low = middle;
          else high = middle;
        }
        expect(flow * 3.6e6).toBeCloseTo(low * 3.6e6, 4);
        expect(headM).toBeCloseTo(lift + headLossM(hose, flow, 'sea'), 9);
      },
    ),
  );
});

test('a pump whose shut-off head at its speed is below the lift moves nothing', () => {
  expect(pumpPointAt(parabola(2, 1e-3), riser, 0.7, 1.2, 'fresh').flow).toBe(0);
});

test('a curve goes through its points, falls everywhere and meets no head where it says', () => {
  const points = [
    { flow: 0, headM: 4 },
    { flow: 2e-4, headM: 3.8 },
    { flow: 5e-4, headM: 2.2 },
    { flow: 7e-4, headM: 0.5 },
  ];
  const curve = throughPoints(points);
  for (const { flow, headM } of points) expect(headAt(curve, flow)).toBeCloseTo(headM, 12);
  for (let flow = 0; flow < 8e-4; flow += 1e-6) {
    expect(headAt(curve, flow + 1e-6)).toBeLessThan(headAt(curve, flow) + 1e-12);
  }
  expect(headAt(curve, curve.openFlow)).toBeCloseTo(0, 9);
  expect(curve.shutOffM).toBe(4);
});

test('all of a hose that only rises runs back, and the level run at its top with it', () => {
  expect(drainBackM3(riser, level)).toBeCloseTo(((Math.PI * 0.025 ** 2) / 4) * 3, 12);
  expect(drainBackM3({ ...riser, checkValve: true }, level)).toBe(0);
});

test('what lies past a crest or in a dip stays there', () => {
  const dipped: Hose = { ...riser, route: [point(0, 0), point(1, 1), point(2, 0.5), point(4, 1.5), point(5, 1)] };
  // One metre to the crest, then what of the second rise stands above it; the rest is in the dip or over the top.
  expect(drainBackM3(dipped, level)).toBeCloseTo(((Math.PI * 0.025 ** 2) / 4) * (1 + 1), 12);
  expect(hasDip(dipped, level)).toBe(true);
  expect(hasDip(riser, level)).toBe(false);
  expect(climbM(dipped, level)).toBeCloseTo(1 + 1, 12);
  expect(highestM(dipped, level)).toBe(1.5);
});

test('heel lifts the outlet on the high side', () => {
  const port: Hose = { ...riser, route: [point(0, 0), point(2, 0.6, 0, -1.5)] };
  const heeled = slopesOf({ trimDeg: 0, heelDeg: 10 });
  expect(highestM(port, heeled)).toBeCloseTo(0.6 + 1.5 * Math.tan((10 * Math.PI) / 180), 12);
});

describe('a hose by its points', () => {
  const by = (...heights: number[]): Hose => {
    const [first = 0, second = 0, ...rest] = heights;
    return {
      ...riser,
      route: [point(0.5, first), point(1.5, second), ...rest.map((height, at) => point(2.5 + at, height))],
    };
  };

  it('is as long as from its first to its last', () => {
    expect(hoseLengthM(by(0, 1, 2))).toBe(2);
    expect(roughnessOf('corrugated', 0.02)).toBeCloseTo(0.001, 12);
    expect(roughnessOf('smooth', 0.02)).toBe(1e-5);
  });

  it('has a dip where it goes down and up again, by more than a hair', () => {
    expect([by(0, 1, 0.5, 0.8), by(0, 1, 0.5, 1), by(1, 0.5, 0.8)].map((hose) => hasDip(hose, level))).toEqual([
      true,
      true,
      true,
    ]);
    expect(
      [by(0, 0.5, 1), by(0, 1, 1, 0.4), by(1, 0.5, 0.2), by(0, 1, 1, 1)].map((hose) => hasDip(hose, level)),
    ).toEqual([false, false, false, false]);
  });

  it('climbs each of its rises that is not under water', () => {
    expect(climbM(by(0.1, 1, 0.5, 1.2), level)).toBeCloseTo(0.9 + 0.7, 12);
    // What lies under the pump's base is full of water already.
    expect(climbM(by(-0.2, 1, 0.5, 1.2), level)).toBeCloseTo(1 + 0.7, 12);
    expect(climbM(by(1, 0.5), level)).toBe(0);
  });

  it('gives back what lies above every crest before it, up to its highest point', () => {
    const metresBack = (...heights: number[]) => drainBackM3(by(...heights), level) / areaM2(0.025);
    expect(metresBack(0, 1)).toBeCloseTo(1, 12);
    expect(metresBack(0, 1, 0.2)).toBeCloseTo(1, 12);
    expect(metresBack(0, 1, 0.5, 1.5)).toBeCloseTo(1 + 0.5, 12);
    expect(metresBack(0, 1, 0.5, 1)).toBeCloseTo(1, 12);
    expect(metresBack(0.4, 0.2, 0.6)).toBeCloseTo(0.5, 12);
    expect(metresBack(0.4, 0.2, 0.1)).toBe(0);
    // A level run as high as the crest drains with it.
    expect(metresBack(0, 1, 1, 1.5)).toBeCloseTo(3, 12);
  });

  it('ends at its outlet, and is as high as its loop where that is higher', () => {
    const heeled = slopesOf({ trimDeg: 0, heelDeg: 10 });
    const out: Hose = { ...riser, route: [point(0, 0), point(2, 0.6, 0, -1.5), point(3, 0.4, 0, 1)] };
    const tan = Math.tan((10 * Math.PI) / 180);
    expect(outletM(out, level)).toBe(0.4);
    expect(outletM(out, heeled)).toBeCloseTo(0.4 - tan, 12);
    const loop = { heightM: 1.1, xM: 0, yM: 0.5 };
    expect(highestM({ ...out, loop }, level)).toBe(1.1);
    expect(highestM({ ...out, loop: { ...loop, heightM: 0.5 } }, level)).toBe(0.6);
    expect(loopM(loop, heeled)).toBeCloseTo(1.1 - 0.5 * tan, 12);
  });
});

describe('where a pump and its hose agree', () => {
  const curve = parabola(4, 1e-3);

  it('is nothing where the pump does not reach, and the lift is then the head', () => {
    expect(pumpPointAt(curve, riser, 1, 4, 'sea')).toEqual({ flow: 0, headM: 4 });
    expect(pumpPointAt(curve, riser, 0.5, 1.001, 'sea')).toEqual({ flow: 0, headM: 1.001 });
    expect(pumpPointAt(curve, riser, 0, 0, 'sea')).toEqual({ flow: 0, headM: 0 });
    expect(pumpPointAt(curve, riser, 0.5, 0.999, 'sea').flow).toBeGreaterThan(0);
  });

  it('is where lift and losses take what the pump gives at its speed', () => {
    for (const [speed, liftM] of [
      [1, 1.2],
      [0.8, 0.4],
      [1.1, -0.5],
    ] as const) {
      const { flow, headM } = pumpPointAt(curve, riser, speed, liftM, 'fresh');
      expect(headM).toBeCloseTo(Math.max(0, liftM) + headLossM(riser, flow, 'fresh'), 12);
      expect(headM).toBeCloseTo(speed ** 2 * headAt(curve, flow / speed), 6);
    }
  });
});

test('of a hose that dips only what lies above the crest before it runs back', () => {
  const through = (...heights: readonly [number, number, ...number[]]): Hose['route'] => {
    const [first, second, ...rest] = heights.map((heightM, at) => point(at, heightM));
    if (!first || !second) throw new Error('A route has two points.');
    return [first, second, ...rest];
  };
  // One metre up to the crest, and half of the last piece: from 1 m of its 0.8 to 1.2 m.
  expect(drainBackM3({ ...riser, route: through(0, 1, 0.5, 0.8, 1.2) }, level)).toBeCloseTo(
    ((Math.PI * 0.025 ** 2) / 4) * 1.5,
    12,
  );
  // What falls away behind the highest point runs out.
  expect(drainBackM3({ ...riser, route: through(0, 1, 0.2, 0.9) }, level)).toBeCloseTo((Math.PI * 0.025 ** 2) / 4, 12);
});
