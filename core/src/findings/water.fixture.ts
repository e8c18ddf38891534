import type { FloatWindow, PlacedFloat } from '../water';
import { hoseFrom, parabola, wellFrom } from '../water';
import type { Circuit, HoseSurvey, WellSurvey } from '../job';
import type { Change } from './facts.fixture';
import type { Means } from './finding';
import type { OperatingFacts, PoseFacts, WaterFacts } from './waterFacts';

const wellSurvey: WellSurvey = {
  id: 'bilge',
  name: 'Bilge',
  aftM: -0.5,
  foreM: 0.5,
  section: { kind: 'box', widthM: 0.4 },
  limits: [{ id: 'floor', name: 'Floorboards', zM: 0.3 }],
};

export const hoseSurvey: HoseSurvey = {
  boreM: 0.025,
  route: [
    { alongM: 0, heightM: 0.05 },
    { alongM: 1.5, heightM: 1.2 },
  ],
};

export const float: PlacedFloat = { xM: 0, yM: 0, zM: 0.03, onM: 0.055, offM: 0.025, onDelayS: 0, runOnS: 0 };

/** A window from 20 mm to 200 mm, all of it comfortable. */
export function windowOf(more: Partial<FloatWindow> = {}): FloatWindow {
  const piece = {
    fromM: 0.02,
    toM: 0.2,
    lowBound: { rule: 'prime', pose: 'rest' } as const,
    highBound: { rule: 'limit', pose: 'rest', about: 'floor' } as const,
  };
  return {
    minM: 0.02,
    maxM: 0.2,
    lowBound: piece.lowBound,
    highBound: piece.highBound,
    open: true,
    pieces: [piece],
    never: null,
    comfort: [piece],
    comfortMinM: 0.02,
    recommendedM: 0.03,
    ...more,
  };
}

export const operatingOf = (flowLPerH: number): OperatingFacts[] =>
  [12, 12.8, 13.6].map((supplyV) => ({ supplyV, flowLPerH, headM: 1.5 }));

export function poseOf(id: string, more: Change<PoseFacts> = {}): PoseFacts {
  return {
    pose: { id, name: id === 'rest' ? 'At rest' : id, trimDeg: 0, heelDeg: 0 },
    liftM: 1.2,
    drainBackL: 0.5,
    climbM: 1.2,
    dips: false,
    outletOverM: 0.6,
    loopOverM: null,
    aboveFirstM: null,
    operating: operatingOf(2000),
    primeLossM: 0.012,
    limit: { levelM: 0.3, id: 'floor', name: 'Floorboards' },
    ...(more as Partial<PoseFacts>),
  };
}

const meansByWater = new WeakMap<WaterFacts, Means>();

/** What ideas may ask of a test's water: nothing, where the test says nothing of it. */
export function meansOf(water: WaterFacts | null): Means {
  return (water && meansByWater.get(water)) ?? { waterAs: () => null };
}

/** A fix as it is worked out for a test's water. */
export const asked =
  <Fixes>(fix: (circuit: Circuit, water: WaterFacts, means: Means) => Fixes) =>
  (circuit: Circuit, water: WaterFacts) =>
    fix(circuit, water, meansOf(water));

/**
 * A pump, hose and float in a well that nothing is wrong with.
 * @param as the same water with another place, float or hose
 */
export function waterOf({ as, ...more }: Change<WaterFacts> & { readonly as?: Means['waterAs'] } = {}): WaterFacts {
  const water = plainWater(more);
  if (as) meansByWater.set(water, { waterAs: as });
  return water;
}

function plainWater(more: Change<WaterFacts>): WaterFacts {
  return {
    units: 'metric',
    survey: wellSurvey,
    pool: wellFrom(wellSurvey),
    sensor: 'hinged',
    float,
    window: windowOf(),
    hose: hoseFrom(hoseSurvey),
    curve: parabola(4, 8e-4),
    lowestShutOffM: 3,
    wall: null,
    poses: [poseOf('rest')],
    waterIn: 'sea',
    hullLengthM: null,
    ingress: [],
    reprimes: false,
    ...(more as Partial<WaterFacts>),
  };
}
