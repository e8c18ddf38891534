import { riseAt, type Slopes } from './pose';
import { rootOf, type PosedWell } from './well';

/** A rule that bounds the height of a float. */
export type WindowRule = 'floor' | 'prime' | 'drain-back' | 'short-run' | 'limit' | 'order';

/** A level sensor as placed: its base over the pump's, forward of it and to starboard, m. */
export interface PlacedFloat {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  /** Water over its base at which it switches on and off, m. */
  readonly onM: number;
  readonly offM: number;
  readonly onDelayS: number;
  readonly runOnS: number;
}

/** An attitude with everything of it that bounds a float. Levels are of the surface at the pump, over its base, m. */
export interface WindowPose {
  readonly id: string;
  readonly slopes: Slopes;
  readonly well: PosedWell;
  /** Height of the hull under the float, m. */
  readonly floorM: number;
  /** Water that runs back from the hose at each stop, m³. */
  readonly drainBackM3: number;
  /** What the float's pump moves at 12.8 V, m³/s. */
  readonly flow: number;
  /** Level at which that pump loses its prime. */
  readonly primeLossM: number;
  /** The lowest level at which something is harmed, and what; none listed: null. */
  readonly limit: { readonly levelM: number; readonly id: string } | null;
  /** Level at which the primary's float switches on, for a float that must come after it. */
  readonly afterM: number | null;
}

export interface WindowQuestion {
  readonly float: PlacedFloat;
  /** A float with a pump must let it stop; an alarm alone need not. */
  readonly pumps: boolean;
  readonly poses: readonly WindowPose[];
  /** The largest listed ingress, m³/s: what comes in while a delayed sensor waits. */
  readonly mostIngress: number;
  readonly marginM: number;
  readonly drainBackFactor: number;
  readonly shortestRunS: number;
}

export interface Bound {
  readonly rule: WindowRule;
  readonly pose: string;
  /** What stands there, for a limit. */
  readonly about?: string;
}

/** The heights of a float's base at which its pump cycles as it should in every attitude. */
export interface FloatWindow {
  /** Lowest and highest, m over the pump's base; null where nothing bounds that end. */
  readonly minM: number | null;
  readonly maxM: number | null;
  readonly lowBound: Bound | null;
  readonly highBound: Bound | null;
  /** Whether some height keeps every rule. */
  readonly open: boolean;
  /** A rule that no height can keep: the float, hose or delay must change. */
  readonly never: Bound | null;
  /** From this height up runs are not too short either; null where no height reaches that. */
  readonly comfortMinM: number | null;
  readonly recommendedM: number | null;
}

/** Equal is kept. */
export const SLACK_M = 1e-9;
/** No float hangs higher than this over its pump, m. */
const HIGHEST_M = 5;

interface Low {
  zM: number;
  bound: Bound;
}

/** The window of a float over all poses. */
export function floatWindow(question: WindowQuestion): FloatWindow {
  let low: Low | null = null;
  let high: Low | null = null;
  let never: Bound | null = null;
  const raise = (zM: number, bound: Bound) => {
    if (!low || zM > low.zM + SLACK_M) low = { zM, bound };
  };
  const lower = (zM: number, bound: Bound) => {
    if (!high || zM < high.zM - SLACK_M) high = { zM, bound };
  };
  for (const pose of question.poses) {
    raise(pose.floorM, { rule: 'floor', pose: pose.id });
    if (question.pumps) raise(primeMin(question, pose), { rule: 'prime', pose: pose.id });
    if (pose.afterM !== null)
      raise(pose.afterM - question.float.onM + riseOf(question, pose), { rule: 'order', pose: pose.id });
    if (pose.limit)
      lower(limitMax(question, pose, pose.limit.levelM), { rule: 'limit', pose: pose.id, about: pose.limit.id });
  }
  if (question.pumps) {
    for (const pose of question.poses) {
      const needM3 = pose.drainBackM3 * question.drainBackFactor;
      const from = lowOf(low);
      const zM = spanMin(question, pose, needM3, from);
      if (zM === null) never ??= { rule: 'drain-back', pose: pose.id };
      else if (zM > from) raise(zM, { rule: 'drain-back', pose: pose.id });
    }
  }
  const minM = low ? lowOf(low) : null;
  const maxM = (high as Low | null)?.zM ?? null;
  const open = never === null && (minM === null || maxM === null || minM <= maxM + SLACK_M);
  const comfortMinM = comfortOf(question, minM ?? -HIGHEST_M);
  return {
    minM,
    maxM,
    lowBound: (low as Low | null)?.bound ?? null,
    highBound: (high as Low | null)?.bound ?? null,
    open,
    never,
    comfortMinM,
    recommendedM: open ? recommendedFor(question, minM, maxM, comfortMinM) : null,
  };
}

/** Whether a float as placed keeps a window. */
export function isWithin({ minM, maxM, never }: FloatWindow, zM: number): boolean {
  return never === null && (minM === null || zM >= minM - SLACK_M) && (maxM === null || zM <= maxM + SLACK_M);
}

function lowOf(low: Low | null): number {
  return low?.zM ?? -HIGHEST_M;
}

/** How much higher the water stands at the float than at the pump. */
function riseOf({ float }: WindowQuestion, { slopes }: WindowPose): number {
  return riseAt(slopes, float);
}

/** The float lets go while the pump still has its prime and a margin; run-on takes more water out after that. */
function primeMin(question: WindowQuestion, pose: WindowPose): number {
  const { float, marginM } = question;
  const keptM = pose.primeLossM + marginM;
  const runOnM3 = float.runOnS * pose.flow;
  const offM = runOnM3 > 0 ? pose.well.levelM(pose.well.volumeM3(keptM) + runOnM3) : keptM;
  return Math.max(offM, keptM) - float.offM + riseOf(question, pose);
}

/** The float switches on before the water reaches a limit, what comes in during its delay counted. */
function limitMax(question: WindowQuestion, pose: WindowPose, limitM: number): number {
  const { float, mostIngress } = question;
  const duringM3 = float.onDelayS * mostIngress;
  const onM = duringM3 > 0 ? pose.well.levelM(Math.max(0, pose.well.volumeM3(limitM) - duringM3)) : limitM;
  return Math.min(onM, limitM) - float.onM + riseOf(question, pose);
}

/** Water between on and off with the float's base at a height, m³. */
function spanM3(question: WindowQuestion, pose: WindowPose, zM: number): number {
  const { float } = question;
  const atPump = zM - riseOf(question, pose);
  return pose.well.volumeM3(atPump + float.onM) - pose.well.volumeM3(atPump + float.offM) + float.runOnS * pose.flow;
}

/** The lowest height, from one upwards, at which a volume lies between on and off; null where none is. */
function spanMin(question: WindowQuestion, pose: WindowPose, needM3: number, fromM: number): number | null {
  const enough = (zM: number) => spanM3(question, pose, zM) - needM3;
  // A thousandth of a millilitre is kept as equal.
  const slackM3 = 1e-9 * Math.max(1e-3, needM3);
  if (enough(fromM) >= -slackM3) return fromM;
  if (enough(fromM + HIGHEST_M) >= -slackM3) return rootOf((zM) => enough(zM) + slackM3, fromM, fromM + HIGHEST_M);
  if (!pose.well.narrows) return null;
  // A well that narrows upwards may hold enough at some height between.
  for (let zM = fromM; zM <= fromM + HIGHEST_M; zM += 0.001)
    if (enough(zM) >= -slackM3) return rootOf((z) => enough(z) + slackM3, zM - 0.001, zM);
  return null;
}

function comfortOf(question: WindowQuestion, minM: number): number | null {
  if (!question.pumps) return minM;
  let zM = minM;
  for (const pose of question.poses) {
    const needM3 = pose.drainBackM3 * question.drainBackFactor + question.shortestRunS * pose.flow;
    const least = spanMin(question, pose, needM3, zM);
    if (least === null) return null;
    zM = least;
  }
  return zM;
}

/** An alarm with no pump’s float to come after would be heard at every rain if it hung low: it goes to the middle. */
function recommendedFor(
  { pumps, poses, marginM }: WindowQuestion,
  minM: number | null,
  maxM: number | null,
  comfortM: number | null,
): number | null {
  const free = !pumps && poses.every(({ afterM }) => afterM === null);
  if (free && minM !== null && maxM !== null) return Math.round(500 * (minM + maxM)) / 1000;
  return recommended(minM, maxM, comfortM, marginM);
}

/** As low as leaves a margin to the lower bound and a run that is long enough, and clear of the upper bound by the margin too. */
function recommended(
  minM: number | null,
  maxM: number | null,
  comfortM: number | null,
  marginM: number,
): number | null {
  if (minM === null) return maxM === null ? null : down(maxM - marginM);
  const wished = Math.max(minM + marginM, comfortM ?? 0);
  if (maxM === null || wished <= maxM - marginM) return up(wished);
  const middle = (minM + maxM) / 2;
  const clear = Math.max(middle, Math.min(wished, maxM - marginM));
  const rounded = Math.round(clear * 1000) / 1000;
  return rounded >= minM && rounded <= maxM ? rounded : clear;
}

const up = (metres: number) => Math.ceil(metres * 1000 - 1e-6) / 1000;
const down = (metres: number) => Math.floor(metres * 1000 + 1e-6) / 1000;
