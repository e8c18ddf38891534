import {
  everyHeight,
  heightsOf,
  isAmong,
  whereEnough,
  within,
  type Bound,
  type Heights,
  type Interval,
  type Piece,
} from './intervals';
import { riseAt, type Slopes } from './pose';
import { rootOf } from './root';
import type { PosedWell } from './well';

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
  /** How far above the first pump's float this one is recommended to switch on, m. */
  readonly abovePrimaryM: number;
}

/** The heights of a float's base at which its pump cycles as it should in every attitude. */
export interface FloatWindow {
  /** Lowest and highest of the piece that is meant, m over the pump's base; null where nothing bounds that end. */
  readonly minM: number | null;
  readonly maxM: number | null;
  readonly lowBound: Bound | null;
  readonly highBound: Bound | null;
  /** Whether some height keeps every rule. */
  readonly open: boolean;
  /** Every piece of the window, the lowest first; the lowest is meant. A well that narrows upwards may have several. */
  readonly pieces: readonly (Heights & Pick<Piece, 'lowBound' | 'highBound'>)[];
  /** A rule that no height can keep: the float, hose or delay must change. */
  readonly never: Bound | null;
  /** Heights at which runs are not too short either, within the pieces. */
  readonly comfort: readonly Heights[];
  /** The lowest of them; null where no height reaches that. */
  readonly comfortMinM: number | null;
  readonly recommendedM: number | null;
}

/** Equal is kept. */
export const SLACK_M = 1e-9;
/** No float hangs higher than this over its pump, m. */
const HIGHEST_M = 5;
/** Steps in which a well that narrows is looked through, m. */
const STEP_M = 0.002;

interface Rule {
  readonly bound: Bound;
  readonly intervals: readonly Interval[];
}

const from = (fromM: number): Interval[] => [{ fromM, toM: Infinity }];
const upTo = (toM: number): Interval[] => [{ fromM: -Infinity, toM }];

/** The window of a float over all poses. */
export function floatWindow(question: WindowQuestion): FloatWindow {
  const bounded = question.poses.flatMap((pose) => levelRules(question, pose));
  const lowest = bounded.reduce((most, { intervals }) => Math.max(most, intervals[0]?.fromM ?? most), -HIGHEST_M);
  const spans = question.pumps ? spanRules(question, 0, lowest) : [];
  const rules = [...bounded, ...spans];
  const never = spans.find(({ intervals }) => intervals.length === 0)?.bound ?? null;
  const pieces = rules.reduce<readonly Piece[]>(
    (left, { intervals, bound }) => within(left, intervals, bound, SLACK_M),
    everyHeight,
  );
  const [meant] = pieces;
  const comfort = meant ? comfortOf(question, pieces) : [];
  const ends = meant ?? clashing(rules);
  const [minM, maxM] = [finite(ends.fromM), finite(ends.toM)];
  const open = meant !== undefined;
  const [inMeant] = comfort;
  const comfortMinM = inMeant ? Math.max(inMeant.fromM, -HIGHEST_M) : null;
  return {
    minM,
    maxM,
    lowBound: ends.lowBound,
    highBound: ends.highBound,
    open,
    pieces: open ? pieces.map((piece) => ({ ...piece, ...heightsOf(piece) })) : [],
    never,
    comfort: comfort.map(heightsOf),
    comfortMinM,
    recommendedM: open ? recommendedFor(question, minM, maxM, inMeant ?? null) : null,
  };
}

const finite = (metres: number) => (Number.isFinite(metres) ? metres : null);

/** The rules that bound a float by levels. */
function levelRules(question: WindowQuestion, pose: WindowPose): Rule[] {
  const { float, pumps } = question;
  const rise = riseOf(question, pose);
  return [
    ...(Number.isFinite(pose.floorM)
      ? [{ bound: { rule: 'floor', pose: pose.id } as const, intervals: from(pose.floorM) }]
      : []),
    ...(pumps ? [{ bound: { rule: 'prime', pose: pose.id } as const, intervals: from(primeMin(question, pose)) }] : []),
    ...(pose.afterM !== null
      ? [{ bound: { rule: 'order', pose: pose.id } as const, intervals: from(pose.afterM - float.onM + rise) }]
      : []),
    ...(pose.limit
      ? [
          {
            bound: { rule: 'limit', pose: pose.id, about: pose.limit.id } as const,
            intervals: upTo(limitMax(question, pose, pose.limit.levelM)),
          },
        ]
      : []),
  ];
}

/**
 * Where enough water lies between on and off, pose by pose. What one pose needs is the
 * least that is asked of the next: heights under it do not serve in any case, and most
 * poses then answer at once that they ask no more.
 */
function spanRules(question: WindowQuestion, shortestRunS: number, lowest: number): Rule[] {
  let fromM = lowest;
  return question.poses.map((pose) => {
    const found = spanRule(question, pose, shortestRunS, fromM);
    fromM = Math.max(fromM, found.intervals[0]?.fromM ?? -Infinity);
    return found;
  });
}

/** Where enough water lies between on and off in a pose; in a well that narrows upwards that may end above, and begin again. */
function spanRule(question: WindowQuestion, pose: WindowPose, shortestRunS: number, fromM: number): Rule {
  const needM3 = pose.drainBackM3 * question.drainBackFactor + shortestRunS * pose.flow;
  return { bound: { rule: 'drain-back', pose: pose.id }, intervals: enoughFrom(question, pose, needM3, fromM) };
}

/** Where no height serves: the highest of what bounds it below against the lowest of what bounds it above. */
function clashing(rules: readonly Rule[]): Piece {
  let ends: Piece = { fromM: -Infinity, toM: Infinity, lowBound: null, highBound: null };
  for (const { intervals, bound } of rules) {
    const [first, last] = [intervals[0], intervals[intervals.length - 1]];
    if (!first || !last) continue;
    if (first.fromM > ends.fromM + SLACK_M) ends = { ...ends, fromM: first.fromM, lowBound: bound };
    if (last.toM < ends.toM - SLACK_M) ends = { ...ends, toM: last.toM, highBound: bound };
  }
  return ends;
}

/** Whether a float as placed keeps a window. */
export function isWithin({ pieces }: FloatWindow, zM: number): boolean {
  return isAmong(pieces, zM, SLACK_M);
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

/** The heights from one upwards at which a volume lies between on and off. */
function enoughFrom(question: WindowQuestion, pose: WindowPose, needM3: number, fromM: number): Interval[] {
  // A thousandth of a millilitre is kept as equal.
  const slackM3 = 1e-9 * Math.max(1e-3, needM3);
  const enough = (zM: number) => spanM3(question, pose, zM) - needM3 + slackM3;
  if (pose.well.narrows) {
    const topM = Math.max(fromM, pose.well.evenFromM + riseOf(question, pose) - question.float.offM) + STEP_M;
    const found = whereEnough(enough, fromM, Math.min(topM, fromM + HIGHEST_M), STEP_M, true);
    return found.map((one, index) => (index === 0 && one.fromM === fromM ? { ...one, fromM: -Infinity } : one));
  }
  // Elsewhere a well only widens upwards: what is enough once is enough above.
  if (enough(fromM) >= 0) return [{ fromM: -Infinity, toM: Infinity }];
  if (enough(fromM + HIGHEST_M) < 0) return [];
  return from(rootOf(enough, fromM, fromM + HIGHEST_M));
}

/** Within the window, where runs are long enough as well. */
function comfortOf(question: WindowQuestion, pieces: readonly Piece[]): Interval[] {
  if (!question.pumps) return [...pieces];
  const lowest = Math.max(-HIGHEST_M, pieces[0]?.fromM ?? -HIGHEST_M);
  return spanRules(question, question.shortestRunS, lowest)
    .reduce<readonly Piece[]>((left, { intervals, bound }) => within(left, intervals, bound, SLACK_M), pieces)
    .map(({ fromM, toM }) => ({ fromM, toM }));
}

/** An alarm with no pump’s float to come after would be heard at every rain if it hung low: it goes to the middle. */
function recommendedFor(
  { pumps, poses, marginM, abovePrimaryM }: WindowQuestion,
  minM: number | null,
  maxM: number | null,
  comfort: Interval | null,
): number | null {
  const after = poses.some(({ afterM }) => afterM !== null);
  if (!pumps && !after && minM !== null && maxM !== null) return Math.round(500 * (minM + maxM)) / 1000;
  // A float that comes after another hangs so far above it that slop does not call.
  const marginBelowM = after ? Math.max(marginM, abovePrimaryM) : marginM;
  return recommended(minM, maxM, comfort, marginM, marginBelowM);
}

/** As low as leaves a margin to the lower bound and a run that is long enough, and clear of the upper bound by the margin too. */
function recommended(
  minM: number | null,
  maxM: number | null,
  comfort: Interval | null,
  marginM: number,
  marginBelowM: number,
): number | null {
  if (minM === null) return maxM === null ? null : down(maxM - marginM);
  const wished = Math.max(minM + marginBelowM, comfort && Number.isFinite(comfort.fromM) ? comfort.fromM : 0);
  const mostM = Math.min(maxM ?? Infinity, comfort?.toM ?? Infinity) - marginM;
  if (wished <= mostM) return up(wished);
  const highestM = maxM ?? Infinity;
  const middle = Number.isFinite(highestM) ? (minM + highestM) / 2 : wished;
  const clear = Math.min(highestM, Math.max(middle, Math.min(wished, highestM - marginM)));
  const rounded = Math.round(clear * 1000) / 1000;
  return rounded >= minM && rounded <= highestM ? rounded : clear;
}

const up = (metres: number) => Math.ceil(metres * 1000 - 1e-6) / 1000;
const down = (metres: number) => Math.floor(metres * 1000 + 1e-6) / 1000;
