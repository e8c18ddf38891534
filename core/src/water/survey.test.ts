import type { Motor } from '../circuit';
import type { IngressSource, Pose } from '../job';
import { levelSensors } from '../reference';
import { mostInflow } from './ingress';
import { headAt, type PumpCurve } from './pumpCurve';
import {
  curveFrom,
  floatFrom,
  hoseFrom,
  ingressFrom,
  LITRE_PER_HOUR,
  posesOf,
  pumpPlaceOf,
  sensorOf,
  wellFrom,
} from './survey';

const headOf = (curve: PumpCurve | null, flow: number) => (curve ? headAt(curve, flow) : NaN);

const rest: Pose = { id: 'rest', name: 'At rest', trimDeg: 0, heelDeg: 0 };
/** L/h that a source brings in a pose. */
const flowOf = (source: IngressSource, pose = rest) => mostInflow(ingressFrom([source], pose)) / LITRE_PER_HOUR;

describe('a way in', () => {
  it('of each kind brings what is worked by hand', () => {
    expect(flowOf({ kind: 'steady', flowLPerH: 40 })).toBeCloseTo(40, 9);
    // A millimetre on a square metre is a litre.
    expect(flowOf({ kind: 'rain', areaM2: 6, rateMmPerH: 5 })).toBeCloseTo(30, 9);
    // 30 drops a minute of 0.05 mL are 1.5 mL a minute; half that of drops half as large.
    expect(flowOf({ kind: 'drip', perMinute: 30 })).toBeCloseTo(0.09, 9);
    expect(flowOf({ kind: 'drip', perMinute: 30, dropML: 0.025 })).toBeCloseTo(0.045, 9);
    expect(
      flowOf({
        kind: 'script',
        steps: [
          { fromS: 0, flowLPerH: 5 },
          { fromS: 60, flowLPerH: 12 },
          { fromS: 120, flowLPerH: 0 },
        ],
      }),
    ).toBeCloseTo(12, 9);
  });

  it('through an opening follows the water outside: that of the pose before its own, and none where neither is known', () => {
    const hole: IngressSource = { kind: 'opening', diameterM: 0.02, heightM: 0.1, outsideM: 0.5 };
    // 0.6 · πd²/4 · √(2g·h), 0.4 m over the opening.
    const jet = (headM: number) => (0.6 * Math.PI * 0.01 ** 2 * Math.sqrt(2 * 9.80665 * headM)) / LITRE_PER_HOUR;
    expect(flowOf(hole)).toBeCloseTo(jet(0.4), 6);
    expect(flowOf(hole, { ...rest, outsideM: 0.35 })).toBeCloseTo(jet(0.25), 6);
    expect(flowOf({ kind: 'opening', diameterM: 0.02, heightM: 0.1 })).toBe(0);
  });
});

describe('a pump’s curve', () => {
  const motor: Motor = { labelA: 5, labelV: 12, windingOhm: 0.48 };

  it('comes from its points where they fall, else from open flow and shut-off head, else it is not known', () => {
    const points = [
      { flowLPerH: 3000, headM: 0, volts: 12 },
      { flowLPerH: 1500, headM: 2, volts: 12 },
    ];
    const pump = { currentA: 5, openFlowLPerH: 2000, openFlowV: 12, shutOffHeadM: 4 };
    expect(headOf(curveFrom({ ...pump, curve: points }, motor), 1500 * LITRE_PER_HOUR)).toBeCloseTo(2, 9);
    const [open, ...risen] = points;
    const rising = open ? [{ ...open, headM: 3 }, ...risen.map((one) => ({ ...one, headM: 1 }))] : [];
    // Head that rises with the flow is no curve of a pump.
    expect(curveFrom({ ...pump, curve: rising }, motor)?.shutOffM).toBeCloseTo(4, 9);
    expect(curveFrom({ ...pump, curve: [] }, motor)?.openFlow).toBeCloseTo(2000 * LITRE_PER_HOUR, 12);
    expect(curveFrom({ currentA: 5, openFlowLPerH: 2000 }, motor)).toBeNull();
    expect(curveFrom({ currentA: 5 }, motor)).toBeNull();
  });

  it('brings figures taken at other volts to label speed: flow goes with speed, head with its square', () => {
    const at = (openFlowV: number) =>
      curveFrom({ currentA: 5, openFlowLPerH: 2000, openFlowV, shutOffHeadM: 4 }, motor);
    const [label, high] = [at(12), at(13.6)];
    const share = (high?.openFlow ?? NaN) / (label?.openFlow ?? NaN);
    expect(share).toBeLessThan(0.95);
    expect(share).toBeGreaterThan(12 / 13.6 - 0.05);
    expect((high?.shutOffM ?? NaN) / (label?.shutOffM ?? NaN)).toBeCloseTo(share ** 2, 9);
  });
});

describe('a sensor', () => {
  it('is that of the scheme, or another kind where one may be fitted', () => {
    expect(sensorOf('hinged', undefined)).toBe('hinged');
    expect(sensorOf('hinged', { kind: 'enclosed' })).toBe('enclosed');
    // What is inside a pump, or feels for water on a timer, is not exchanged.
    expect(sensorOf('integral', { kind: 'enclosed' })).toBe('integral');
    expect(sensorOf('timer', { kind: 'enclosed' })).toBe('timer');
    expect(sensorOf(null, { kind: 'enclosed' })).toBeNull();
  });

  it('stands where it was put, and with levels of its kind unless they were measured', () => {
    const water = { wellId: 'bilge', float: { xM: 0.2, zM: 0.03, onM: 0.08 } };
    expect(floatFrom('hinged', water)).toMatchObject({
      xM: 0.2,
      yM: 0,
      zM: 0.03,
      onM: 0.08,
      offM: levelSensors.hinged.offM,
    });
    // One inside a pump stands where the pump does.
    const inside = floatFrom('integral', { ...water, pumpAt: { xM: -0.1, yM: 0.05, zM: 0.01 } });
    expect(inside).toMatchObject({ xM: -0.1, yM: 0.05, zM: 0.01 });
  });
});

describe('a hose', () => {
  const route = [
    { alongM: 0, heightM: 0 },
    { alongM: 2, heightM: 1 },
  ];

  it('adds up its bends, fittings and valve; what was not said is a smooth hose out through the side', () => {
    const bare = hoseFrom({ boreM: 0.025, route });
    const fitted = hoseFrom({ boreM: 0.025, route, bends90: 2, bends45: 1, checkValve: true });
    const plain = hoseFrom({ boreM: 0.025, route, skinFitting: false });
    // Exit 1, skin fitting 0.5; two bends of 0.9, one of 0.4, a check valve of 2.5.
    expect(fitted.minorK - bare.minorK).toBeCloseTo(2 * 0.9 + 0.4 + 2.5, 9);
    expect(plain.minorK).toBeLessThan(bare.minorK);
    expect(fitted.checkValve).toBe(true);
    expect(bare.checkValve).toBe(false);
    expect(hoseFrom({ boreM: 0.025, route, wall: 'corrugated' }).roughnessM).toBeGreaterThan(bare.roughnessM);
  });

  it('of one point is refused', () => {
    expect(() => hoseFrom({ boreM: 0.025, route: route.slice(0, 1) })).toThrow(/at least two points/);
  });
});

test('a boat without poses lies level', () => {
  expect(posesOf({}).map(({ trimDeg, heelDeg }) => [trimDeg, heelDeg])).toEqual([[0, 0]]);
  expect(posesOf({ poses: [] })).toHaveLength(1);
  expect(posesOf({ poses: [rest, { ...rest, id: 'way' }] }).map(({ id }) => id)).toEqual(['rest', 'way']);
});

describe('a well', () => {
  const survey = { id: 'w', name: 'Bilge', aftM: -0.5, foreM: 0.7, section: { kind: 'box' as const, widthM: 0.4 } };

  it('is as it was measured, and level about its pump in what was not', () => {
    expect(wellFrom(survey)).toEqual({
      aftM: -0.5,
      foreM: 0.7,
      centreYM: 0,
      floorM: 0,
      floorSlope: 0,
      shape: { kind: 'box', widthM: 0.4 },
      members: [],
    });
    const members = [{ id: 'm', xM: 0.2, limberHoles: false }];
    const whole = wellFrom({ ...survey, centreYM: 0.1, floorM: -0.02, slopeDeg: 5, members });
    expect(whole).toMatchObject({ centreYM: 0.1, floorM: -0.02, members });
    expect(whole.floorSlope).toBeCloseTo(Math.tan((5 * Math.PI) / 180), 12);
  });
});

test('a vented loop stands where its hose is highest, if its top is known', () => {
  const route = [
    { alongM: 0, heightM: 0 },
    { alongM: 1, heightM: 0.8, xM: 0.2, yM: 0.3 },
    { alongM: 2, heightM: 0.6, xM: 0.5, yM: 0.9 },
  ];
  const loopOf = (more: object) => hoseFrom({ boreM: 0.025, route, ...more }).loop;
  expect(loopOf({ ventedLoop: true, ventedLoopM: 1.4 })).toEqual({ heightM: 1.4, xM: 0.2, yM: 0.3 });
  expect([loopOf({ ventedLoop: true }), loopOf({ ventedLoopM: 1.4 }), loopOf({})]).toEqual([
    undefined,
    undefined,
    undefined,
  ]);
  expect(hoseFrom({ boreM: 0.025, route }).route).toEqual([{ alongM: 0, heightM: 0, xM: 0, yM: 0 }, ...route.slice(1)]);
});

test('a hole off the middle of a heeled boat is higher or lower in the water', () => {
  const hole: IngressSource = { kind: 'opening', diameterM: 0.02, heightM: 0.1, outsideM: 0.5, xM: 0.2, yM: 1 };
  const [opening] = ingressFrom([hole], { ...rest, trimDeg: 5, heelDeg: 10 });
  // To starboard and forward with both down: the water stands higher there, the hole lower in it.
  const rise = 0.2 * Math.tan((5 * Math.PI) / 180) + Math.tan((10 * Math.PI) / 180);
  expect(opening).toMatchObject({ kind: 'opening', outsideM: 0.5, heightM: expect.closeTo(0.1 - rise, 12) });
});

describe('points of a maker’s curve', () => {
  const motor: Motor = { labelA: 5, labelV: 12, windingOhm: 0.48 };
  const curve = (volts: number) => [
    { flowLPerH: 3000, headM: 0.5, volts },
    { flowLPerH: 1500, headM: 2, volts },
  ];

  it('taken at other volts come to label speed each by its own', () => {
    const label = curveFrom({ currentA: 5, curve: curve(12) }, motor);
    const high = curveFrom({ currentA: 5, curve: curve(13.6) }, motor);
    const share =
      (curveFrom({ currentA: 5, openFlowLPerH: 1, openFlowV: 13.6, shutOffHeadM: 1 }, motor)?.openFlow ?? NaN) /
      LITRE_PER_HOUR;
    expect(headOf(high, 1500 * share * LITRE_PER_HOUR)).toBeCloseTo(2 * share ** 2, 9);
    expect(headOf(label, 1500 * LITRE_PER_HOUR)).toBeCloseTo(2, 9);
  });

  it('of one flow, or level, are no curve', () => {
    const same = curve(12).map((point) => ({ ...point, flowLPerH: 2000 }));
    const flat = curve(12).map((point) => ({ ...point, headM: 2 }));
    expect([curveFrom({ currentA: 5, curve: same }, motor), curveFrom({ currentA: 5, curve: flat }, motor)]).toEqual([
      null,
      null,
    ]);
    expect(curveFrom({ currentA: 5, shutOffHeadM: 3 }, motor)).toBeNull();
    const falling = [3, 2].map((headM) => ({ flowLPerH: 2000, headM, volts: 12 }));
    expect(curveFrom({ currentA: 5, curve: falling }, motor)).toBeNull();
  });
});

test('a sensor’s delays are those measured, or of its kind; a pump without a place stands at the zero', () => {
  const own = floatFrom('probe', { wellId: 'w', float: { onDelayS: 7, runOnS: 9 } });
  expect([own.onDelayS, own.runOnS]).toEqual([7, 9]);
  const kind = floatFrom('probe', { wellId: 'w' });
  expect([kind.onDelayS, kind.runOnS]).toEqual([levelSensors.probe.onDelayS, levelSensors.probe.runOnS]);
  expect(pumpPlaceOf({ wellId: 'w' })).toEqual({ xM: 0, yM: 0, zM: 0 });
});
