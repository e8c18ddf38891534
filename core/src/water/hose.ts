import { frictionFactor } from './friction';
import { riseAt, type Slopes } from './pose';

/** A point of a hose's route. */
export interface HosePoint {
  /** Along the hose from the pump, m. */
  readonly alongM: number;
  /** Above the pump's base, m. */
  readonly heightM: number;
  /** Forward of the pump and to starboard of it, m. */
  readonly xM: number;
  readonly yM: number;
}

export interface Hose {
  readonly boreM: number;
  /** Absolute roughness of its wall, m. */
  readonly roughnessM: number;
  /** From the pump to the outlet, at least two points. */
  readonly route: readonly [HosePoint, HosePoint, ...HosePoint[]];
  /** Sum of the minor losses' coefficients, the exit counted. */
  readonly minorK: number;
  readonly checkValve: boolean;
  /** Top of its vented loop, where it has one of known height. */
  readonly loop?: Omit<HosePoint, 'alongM'>;
}

export const GRAVITY = 9.80665;

/** Minor losses as multiples of the velocity head. */
export const minorLoss = { bend90: 0.9, bend45: 0.4, exit: 1, checkValve: 2.5, skinFitting: 0.5 } as const;

/** Roughness of a smooth wall, m; of a corrugated one as a share of its bore. */
const SMOOTH_M = 1e-5;
const CORRUGATED_SHARE = 0.05;

/** Roughness of a hose's wall, m. */
export function roughnessOf(wall: 'smooth' | 'corrugated', boreM: number): number {
  return wall === 'smooth' ? SMOOTH_M : CORRUGATED_SHARE * boreM;
}

/** Kinematic viscosity of fresh and sea water, m²/s. */
export const viscosity = { fresh: 1.004e-6, sea: 1.05e-6 } as const;
export type Water = keyof typeof viscosity;

/** Length of the hose, m. */
export function hoseLengthM({ route }: Hose): number {
  return (route[route.length - 1]?.alongM ?? 0) - route[0].alongM;
}

/**
 * Head lost in a hose, m, by Darcy–Weisbach with the minor losses.
 * @param flow m³/s, 0 or more
 */
export function headLossM(hose: Hose, flow: number, water: Water): number {
  if (flow <= 0) return 0;
  const { boreM, roughnessM, minorK } = hose;
  const speed = flow / areaM2(boreM);
  const friction = frictionFactor((speed * boreM) / viscosity[water], roughnessM / boreM);
  return ((friction * hoseLengthM(hose)) / boreM + minorK) * ((speed * speed) / (2 * GRAVITY));
}

/** Section of a bore, m². */
export function areaM2(boreM: number): number {
  return (Math.PI * boreM * boreM) / 4;
}

/** Height of a point above the pump with the boat in an attitude, measured square to the water's surface's slopes, m. */
function heightIn(slopes: Slopes, point: Omit<HosePoint, 'alongM'>): number {
  return point.heightM - riseAt(slopes, point);
}

/** Height of the hose's highest point over the pump's own water, m: take the water's level off it to get the lift. */
export function highestM({ route, loop }: Hose, slopes: Slopes): number {
  const heights = route.map((point) => heightIn(slopes, point));
  return Math.max(...heights, ...(loop ? [loopM(loop, slopes)] : []));
}

/** Height of a vented loop's top over the pump's own water, m. */
export function loopM(loop: NonNullable<Hose['loop']>, slopes: Slopes): number {
  return heightIn(slopes, loop);
}

/** Height of the outlet over the pump's own water, m. */
export function outletM({ route }: Hose, slopes: Slopes): number {
  const last = route[route.length - 1] ?? route[1];
  return heightIn(slopes, last);
}

/** What an empty hose must climb from the pump's base, m: the sum of its rises, as every dip keeps its water. */
export function climbM({ route }: Hose, slopes: Slopes): number {
  const heights = route.map((point) => heightIn(slopes, point));
  let climb = 0;
  for (let at = 1; at < heights.length; at += 1) {
    const [from, to] = [Math.max(heights[at - 1] ?? 0, 0), Math.max(heights[at] ?? 0, 0)];
    climb += Math.max(0, to - from);
  }
  return climb;
}

/** Whether the hose goes down and up again on its way, so that it holds water. */
export function hasDip({ route }: Hose, slopes: Slopes): boolean {
  const heights = route.map((point) => heightIn(slopes, point));
  return heights.some(
    (height, at) =>
      at > 0 && heights.slice(0, at).some((h) => h > height + 1e-9) && heights.slice(at).some((h) => h > height + 1e-9),
  );
}

/**
 * Water that runs back into the well when the pump stops, m³: bore times all of
 * the hose, up to its highest point, that stands at or above every point between
 * it and the pump; what lies lower than a crest before it stays in the dip.
 */
export function drainBackM3(hose: Hose, slopes: Slopes): number {
  if (hose.checkValve) return 0;
  const heights = hose.route.map((point) => heightIn(slopes, point));
  const highest = Math.max(...heights);
  // A level run at the top drains as well.
  const top = heights.findLastIndex((height) => height >= highest - 1e-9);
  let crest = heights[0] ?? 0;
  let lengthM = 0;
  for (let at = 1; at <= top; at += 1) {
    const [from, to] = [heights[at - 1] ?? 0, heights[at] ?? 0];
    const runM = (hose.route[at]?.alongM ?? 0) - (hose.route[at - 1]?.alongM ?? 0);
    // Of a piece that rises past the crest only what is at or above it runs back.
    if (from >= crest && to >= from) lengthM += runM;
    else if (to > crest && to > from) lengthM += (runM * (to - Math.max(from, crest))) / (to - from);
    crest = Math.max(crest, to);
  }
  return areaM2(hose.boreM) * lengthM;
}
