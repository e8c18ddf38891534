import { motorAt, type Motor } from '../circuit';
import type { CircuitWater, FloatPlace, HoseSurvey, IngressSource, Job, Pose, Pump, WellSurvey } from '../job';
import { defaults, levelSensors, type LevelSensor } from '../reference';
import type { PlacedFloat } from './floatWindow';
import { minorLoss, roughnessOf, type Hose, type HosePoint } from './hose';
import type { Ingress } from './ingress';
import { riseAt, slopesOf } from './pose';
import { parabola, throughPoints, type PumpCurve } from './pumpCurve';
import type { Well } from './well';

/** Litres an hour as m³/s. */
export const LITRE_PER_HOUR = 1 / 3.6e6;

/** A boat without poses of its own is looked at as it lies: level. */
export const atRest: Pose = { id: 'at-rest', name: 'At rest', trimDeg: 0, heelDeg: 0 };

/** The poses a boat is looked at in, at least one. */
export function posesOf({ poses }: Pick<Job, 'poses'>): readonly [Pose, ...Pose[]] {
  const [first, ...rest] = poses ?? [];
  return first ? [first, ...rest] : [atRest];
}

export function wellFrom(survey: WellSurvey): Well {
  return {
    aftM: survey.aftM,
    foreM: survey.foreM,
    centreYM: survey.centreYM ?? 0,
    floorM: survey.floorM ?? 0,
    floorSlope: Math.tan(((survey.slopeDeg ?? 0) * Math.PI) / 180),
    shape: survey.section,
    members: survey.members ?? [],
  };
}

/** A hose with its minor losses added up, the exit counted. */
export function hoseFrom(survey: HoseSurvey): Hose {
  const { boreM, wall = 'smooth', bends90 = 0, bends45 = 0, checkValve = false, skinFitting = true } = survey;
  const [first, second, ...rest] = survey.route.map(({ alongM, heightM, xM = 0, yM = 0 }): HosePoint => ({
    alongM,
    heightM,
    xM,
    yM,
  }));
  if (!first || !second) throw new RangeError('A hose goes from the pump to its outlet: at least two points.');
  const points = [first, second, ...rest];
  const highest = points.reduce((top, point) => (point.heightM > top.heightM ? point : top), first);
  const { ventedLoop = false, ventedLoopM } = survey;
  return {
    boreM,
    roughnessM: roughnessOf(wall, boreM),
    route: [first, second, ...rest],
    minorK:
      minorLoss.exit +
      bends90 * minorLoss.bend90 +
      bends45 * minorLoss.bend45 +
      (checkValve ? minorLoss.checkValve : 0) +
      (skinFitting ? minorLoss.skinFitting : 0),
    checkValve,
    // A loop stands in the hose where that is highest, and lifts its top there.
    ...(ventedLoop && ventedLoopM !== undefined
      ? { loop: { heightM: ventedLoopM, xM: highest.xM, yM: highest.yM } }
      : {}),
  };
}

/**
 * A pump's curve at label speed, from its points, each brought there by its own
 * speed, or from open flow and shut-off head; null where neither is known.
 */
export function curveFrom(pump: Pump, motor: Motor): PumpCurve | null {
  const speedAt = (volts: number) => motorAt(motor, volts).speedRatio;
  const flowV = pump.openFlowV ?? defaults.openFlowV;
  const points = (pump.curve ?? []).map(({ flowLPerH, headM, volts = flowV }) => {
    const speed = speedAt(volts);
    return { flow: (flowLPerH * LITRE_PER_HOUR) / speed, headM: headM / (speed * speed) };
  });
  if (new Set(points.map(({ flow }) => flow)).size >= 2 && falls(points)) return throughPoints(points);
  if (pump.openFlowLPerH === undefined || pump.shutOffHeadM === undefined) return null;
  const speed = speedAt(flowV);
  return parabola(pump.shutOffHeadM / (speed * speed), (pump.openFlowLPerH * LITRE_PER_HOUR) / speed);
}

function falls(points: readonly { readonly flow: number; readonly headM: number }[]): boolean {
  const sorted = [...points].sort((one, other) => one.flow - other.flow);
  const [first, last] = [sorted[0], sorted[sorted.length - 1]];
  return first !== undefined && last !== undefined && first.headM > last.headM;
}

/** Where a circuit's pump stands in its well. */
export function pumpPlaceOf({ pumpAt }: CircuitWater) {
  return pumpAt ?? { xM: 0, yM: 0, zM: 0 };
}

/** Which sensor a circuit has: that of its scheme, or another kind fitted in its place. */
export function sensorOf(
  senses: LevelSensor | 'timer' | null,
  float: FloatPlace | undefined,
): LevelSensor | 'timer' | null {
  if (senses === null || senses === 'timer' || senses === 'integral') return senses;
  return float?.kind ?? senses;
}

/** A level sensor as placed; one inside a pump stands where the pump does. */
export function floatFrom(kind: LevelSensor, water: CircuitWater): PlacedFloat {
  const { onM, offM, onDelayS, runOnS } = levelSensors[kind];
  const { float = {} } = water;
  const place = kind === 'integral' ? pumpPlaceOf(water) : { xM: float.xM ?? 0, yM: float.yM ?? 0, zM: float.zM ?? 0 };
  return {
    onM: float.onM ?? onM,
    offM: float.offM ?? offM,
    onDelayS: float.onDelayS ?? onDelayS,
    runOnS: float.runOnS ?? runOnS,
    ...place,
  };
}

/** Where a pose or an opening says nothing of the water outside, nothing comes in by it. */
const DRY_OUTSIDE_M = -Infinity;

/** Ways of taking in water, in a pose. */
export function ingressFrom(sources: readonly IngressSource[], pose: Pose): Ingress[] {
  return sources.map((source): Ingress => {
    switch (source.kind) {
      case 'steady':
        return { kind: 'steady', flow: source.flowLPerH * LITRE_PER_HOUR };
      case 'rain':
        return { kind: 'steady', flow: (source.areaM2 * source.rateMmPerH) / 3.6e6 };
      case 'drip':
        return { kind: 'steady', flow: (source.perMinute / 60) * (source.dropML ?? defaults.dropML) * 1e-6 };
      case 'opening':
        return {
          kind: 'opening',
          areaM2: (Math.PI * source.diameterM ** 2) / 4,
          // Its level at the pump, where the surface slopes: inside and outside slope alike.
          heightM: source.heightM - riseAt(slopesOf(pose), { xM: source.xM ?? 0, yM: source.yM ?? 0 }),
          outsideM: pose.outsideM ?? source.outsideM ?? DRY_OUTSIDE_M,
        };
      case 'script':
        return {
          kind: 'script',
          steps: source.steps.map(({ fromS, flowLPerH }) => ({ fromS, flow: flowLPerH * LITRE_PER_HOUR })),
        };
      default:
        return source satisfies never;
    }
  });
}
