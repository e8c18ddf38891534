import type { Job } from '../job';
import { batteryChemistry, defaults, ourRules } from '../reference';
import { schemeOf } from '../schemes';
import { posesOf, type BatteryRun, type PumpRun, type WaterRun } from '../water';
import { assess, type AssessedCircuit } from '../assess';
import { runNeeds } from './runNeeds';
import { circuitsOf, ingressOf, waterOf } from './circuitsOf';
import { runWell, type WellRunQuestion } from './wellRun';

/** What a run shows that is not as it should be. */
export type Verdict =
  | 'never-stops'
  | 'own-water'
  | 'short-runs'
  | 'many-starts'
  | 'runs-dry'
  | 'loses-to-ingress'
  | 'reaches-limit'
  | 'battery-used-up';

/** A run of a well in one pose with one ingress, in the words of the contract. */
export interface RunReport {
  readonly well: string;
  readonly ingress: string;
  readonly pose: string;
  readonly hours: number;
  readonly starts: number;
  readonly startsPerHour: number;
  readonly runS: number | null;
  readonly longestRunS: number | null;
  readonly dutyShare: number;
  readonly pumpedL: number;
  readonly ampHours: number;
  readonly ampHoursPerDay: number;
  readonly batteryDays: number | null;
  readonly maxLevelM: number;
  /** When the well was full to its top, s; null where it never was. */
  readonly spillsAtS: number | null;
  readonly timeToLimitS: { readonly none: number | null; readonly primary: number | null; readonly all: number | null };
  readonly alarmAtS: number | null;
  readonly massErrorL: number;
  readonly verdicts: readonly Verdict[];
  /** Each pump's own part, the one that pumps first before the rest. */
  readonly circuits: readonly (Omit<PumpRun, 'pumpedM3' | 'runningS'> & {
    readonly pumpedL: number;
    readonly dutyShare: number;
  })[];
}

const DAY_S = 86400;
const LEAST_AH_PER_DAY = 1e-3;
/** How far ahead the limit is looked for, s. */
const LIMIT_WITHIN_S = 7 * DAY_S;

/** Pump figures at the three supplies, float windows, and runs in every pose with every ingress. */
export function waterReport(
  job: Job,
  { circuit, hours = 24 }: { readonly circuit?: string; readonly hours?: number } = {},
) {
  const assessed = assess(job);
  const asked = assessed.filter((one) => circuit === undefined || one.circuit.id === circuit);
  const wells = [...new Set(asked.flatMap((one) => one.circuit.water?.wellId ?? []))];
  return {
    operatingPoints: asked.flatMap((one) =>
      (waterOf(one)?.poses[0]?.operating ?? []).map((row) => ({ circuit: one.circuit.id, ...row })),
    ),
    windows: asked.flatMap(windowReport),
    runNeeds: wells.flatMap((wellId) =>
      runNeeds(job, assessed, wellId).map(({ circuitId, name, lacks }) => ({ circuit: circuitId, name, lacks })),
    ),
    runs: wells.flatMap((wellId) =>
      ingressOf(job, wellId).flatMap((ingress) =>
        posesOf(job).flatMap((pose) => runReport({ job, assessed, wellId, pose, ingress, hours }) ?? []),
      ),
    ),
  };
}

function windowReport(one: AssessedCircuit) {
  const water = waterOf(one);
  if (!water?.window) return [];
  const { minM, maxM, recommendedM, lowBound, highBound, open, never, comfortMinM } = water.window;
  return [
    {
      float: one.circuit.id,
      minM,
      maxM,
      recommendedM,
      lowBound,
      highBound,
      open,
      never,
      comfortMinM,
      zM: water.float?.zM,
    },
  ];
}

/** One pose with one ingress: the run, and how long until the limit without pumps, with the first, with all. */
export function runReport(question: WellRunQuestion): RunReport | null {
  const run = runWell(question);
  if (!run) return null;
  const { pose, ingress, wellId, hours } = question;
  const own = circuitsOf(question.assessed, wellId);
  const [first] = run.pumps;
  const battery = run.batteries.find(({ id }) =>
    own.some(({ circuit }) => circuit.id === first?.id && circuit.batteryId === id),
  );
  const days = run.seconds / DAY_S;
  const limit = timeToLimit(question, run);
  return {
    well: wellId,
    ingress: ingress?.id ?? '',
    pose: pose.id,
    hours,
    starts: first?.starts ?? 0,
    startsPerHour: (first?.starts ?? 0) / (run.seconds / 3600),
    runS: first?.runS ?? null,
    longestRunS: first?.longestRunS ?? null,
    dutyShare: (first?.runningS ?? 0) / run.seconds,
    pumpedL: 1000 * run.pumpedM3,
    ampHours: battery?.ampHours ?? 0,
    ampHoursPerDay: (battery?.ampHours ?? 0) / days,
    batteryDays: battery ? batteryDays(question, battery, days) : null,
    maxLevelM: run.maxLevelM,
    spillsAtS: run.spillsAtS,
    timeToLimitS: limit,
    alarmAtS: run.alarmAtS,
    massErrorL: 1000 * run.massErrorM3,
    verdicts: verdictsOf(run, question),
    circuits: run.pumps.map(({ pumpedM3, runningS, ...pump }) => ({
      ...pump,
      pumpedL: 1000 * pumpedM3,
      dutyShare: runningS / run.seconds,
    })),
  };
}

/** Looked for as far as a week ahead, or as long as the run. */
function timeToLimit(question: WellRunQuestion, run: WaterRun): RunReport['timeToLimitS'] {
  const hours = Math.max(LIMIT_WITHIN_S / 3600, question.hours);
  const reached = (only?: 'none' | 'primary') => {
    if (only === undefined && run.limitAtS !== null) return run.limitAtS;
    return (
      runWell({ ...question, hours, tracePieces: 0, stopAtLimit: true, ...(only ? { only } : {}) })?.limitAtS ?? null
    );
  };
  if (!hasLimit(question) || question.withoutLimits === true) return { none: null, primary: null, all: null };
  const all = reached();
  // Where no backup comes to help, the first pump is all there is.
  const helped = run.pumps.length > primaries(question);
  return { none: reached('none'), primary: helped ? reached('primary') : all, all };
}

/** How many circuits of the well pump first. */
function primaries({ assessed, wellId }: WellRunQuestion): number {
  return circuitsOf(assessed, wellId).filter(
    ({ status, circuit }) => status === 'sized' && schemeOf(circuit).duty === 'primary',
  ).length;
}

function hasLimit({ job, wellId }: WellRunQuestion): boolean {
  return (job.wells?.find(({ id }) => id === wellId)?.limits ?? []).length > 0;
}

/**
 * Days from full until the usable charge is gone: when the run got there, else at
 * the rate at which it used what it did; null where the trickle makes up for that.
 */
function batteryDays({ job }: WellRunQuestion, { id, ampHours, usedUpAtS }: BatteryRun, days: number): number | null {
  if (usedUpAtS !== null) return usedUpAtS / DAY_S;
  const battery = job.batteries.find((one) => one.id === id);
  const capacityAh = battery?.capacityAh ?? defaults.capacityAh;
  const { usableTo } = batteryChemistry[battery?.chemistry ?? 'lead-acid'];
  const netPerDay = ampHours / days - 24 * (battery?.chargeA ?? 0);
  // A thousandth of an ampere-hour a day is no drain.
  return netPerDay > LEAST_AH_PER_DAY ? ((1 - usableTo) * capacityAh) / netPerDay : null;
}

function verdictsOf(run: WaterRun, { hours }: WellRunQuestion): Verdict[] {
  const any = (test: (pump: PumpRun) => boolean) => run.pumps.some(test);
  const found: readonly (readonly [Verdict, boolean])[] = [
    ['never-stops', any(({ neverStops }) => neverStops)],
    ['own-water', any(({ ownWaterRuns }) => ownWaterRuns > 0)],
    ['short-runs', any(({ shortestRunS }) => shortestRunS !== null && shortestRunS < ourRules.shortestRunS.value)],
    ['many-starts', any(({ starts }) => starts / hours > ourRules.mostStartsPerHour.value)],
    ['runs-dry', any(({ drySecondsLongest }) => drySecondsLongest > ourRules.dryRunS.value)],
    ['loses-to-ingress', run.loses || (run.limitAtS !== null && run.pumps.length > 0)],
    ['reaches-limit', run.limitAtS !== null],
    ['battery-used-up', run.batteries.some(({ usedUpAtS }) => usedUpAtS !== null)],
  ];
  return found.filter(([, holds]) => holds).map(([verdict]) => verdict);
}
