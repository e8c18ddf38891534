import { assess } from '@harbor-latch/core/assess/index';
import { runWell, simQuestionOf, waterOf, type WellRunQuestion } from '@harbor-latch/core/runs/index';
import type { Job } from '@harbor-latch/core/job/index';
import { defaults, ourRules } from '@harbor-latch/core/reference/index';
import {
  drainBackM3,
  floatWindow,
  hoseFrom,
  inflow,
  posedWell,
  posesOf,
  pumpPointAt,
  slopesOf,
  type SimPump,
  type SimQuestion,
} from '@harbor-latch/core/water/index';
import { medianMs } from './median';

const MONTH_H = 720;
const TRACE_PIECES = 2000;
const FIXED_STEP_H = 24;
/** Cycles of a few seconds a fixed step counts alike only when it is so fine that a day takes hours. */
const MOST_STARTS_A_MONTH = 10 * MONTH_H;

export interface MonthFigures {
  readonly boat: string;
  readonly well: string;
  readonly ingress: string;
  /** Whether water comes in through a hole or a failed fitting, whose flow depends on the level. */
  readonly opening: boolean;
  readonly pose: string;
  readonly starts: number;
  readonly ms: number;
  readonly massErrorL: number;
}

export interface WaterFigures {
  /** Thirty days of each demo well with each way of taking in water, in its busiest pose; median, ms. */
  readonly month: readonly MonthFigures[];
  /** The slowest of those without an opening again, with a trace. */
  readonly tracedMs: number;
  readonly besideFixedSteps: BesideFixedSteps;
  /** A float window over 200 poses, median, ms. */
  readonly window200PosesMs: number;
}

/** The busiest well for a while, against the same in fixed steps just fine enough to count the same. */
export interface BesideFixedSteps {
  readonly hours: number;
  readonly stepMs: number;
  readonly ownMs: number;
  readonly fixedMs: number;
  readonly ratio: number;
  readonly own: Counted;
  readonly fixed: Counted;
}

export interface Counted {
  readonly starts: number;
  readonly pumpedL: number;
}

/** Runs and windows of the demo wells as they are surveyed. */
export function waterFigures(jobs: readonly Job[]): WaterFigures {
  const asked = jobs.flatMap(months);
  const measured = asked.map(({ figures, question }) => ({
    question,
    figures: { ...figures, ms: medianMs(() => void runWell(question), 40) },
  }));
  const steady = measured.filter(({ figures }) => !figures.opening);
  const [slowest] = [...steady].sort((one, other) => other.figures.ms - one.figures.ms);
  const [countable] = steady
    .filter(({ figures }) => figures.starts >= MONTH_H && figures.starts <= MOST_STARTS_A_MONTH)
    .sort((one, other) => other.figures.ms - one.figures.ms);
  if (!slowest || !countable) throw new Error('No demo boat takes in water.');
  return {
    month: measured.map(({ figures }) => figures),
    tracedMs: medianMs(() => void runWell({ ...slowest.question, tracePieces: TRACE_PIECES }), 40),
    besideFixedSteps: besideFixedSteps({ ...countable.question, hours: FIXED_STEP_H }),
    window200PosesMs: window200(jobs),
  };
}

/** Each well of a boat with each of its ingresses, in the pose in which its pumps start most. */
function months(job: Job): { readonly figures: Omit<MonthFigures, 'ms'>; readonly question: WellRunQuestion }[] {
  const assessed = assess(job);
  return (job.wells ?? []).flatMap((well) =>
    (job.ingress ?? [])
      .filter(({ wellId }) => (wellId ?? well.id) === well.id)
      .flatMap((ingress) => {
        const inPoses = posesOf(job).flatMap((pose) => {
          const question = { job, assessed, wellId: well.id, pose, ingress, hours: MONTH_H };
          const run = runWell(question);
          if (!run || run.pumps.length === 0) return [];
          const starts = run.pumps.reduce((sum, pump) => sum + pump.starts, 0);
          return [{ question, pose, starts, massErrorL: 1000 * run.massErrorM3 }];
        });
        const [busiest] = inPoses.sort((one, other) => other.starts - one.starts);
        if (!busiest) return [];
        const { question, pose, starts, massErrorL } = busiest;
        const opening = ingress.sources.some(({ kind }) => kind === 'opening');
        const figures = { boat: job.boat.name, well: well.name, ingress: ingress.name, opening };
        return [{ question, figures: { ...figures, pose: pose.name, starts, massErrorL } }];
      }),
  );
}

/** So near must litres be for two ways of running a well to be called equally careful. */
const LITRES_AGREE = 1e-3;
const LONGEST_STEP_S = 0.016;
const SHORTEST_STEP_S = 0.001;

/** The longest step, halved again and again, that counts the same starts and as good as the same litres. */
function besideFixedSteps(question: WellRunQuestion): BesideFixedSteps {
  const asked = simQuestionOf(question);
  const run = runWell(question);
  const [pump] = asked?.pumps ?? [];
  if (!asked || !run || !pump) throw new Error('The busiest demo well has no pump.');
  const own = { starts: run.pumps[0]?.starts ?? 0, pumpedL: 1000 * (run.pumps[0]?.pumpedM3 ?? 0) };
  const ownMs = medianMs(() => void runWell(question), 101);
  for (let stepS = LONGEST_STEP_S; stepS >= SHORTEST_STEP_S; stepS /= 2) {
    const begun = performance.now();
    const fixed = fixedSteps(asked, pump, stepS);
    const fixedMs = performance.now() - begun;
    if (own.starts === fixed.starts && Math.abs(own.pumpedL / fixed.pumpedL - 1) <= LITRES_AGREE)
      return { hours: question.hours, stepMs: 1000 * stepS, ownMs, fixedMs, ratio: fixedMs / ownMs, own, fixed };
  }
  throw new Error(`No step down to ${1000 * SHORTEST_STEP_S} ms counts ${own.starts} starts and ${own.pumpedL} l.`);
}

/** The same well stepped through at a fixed length of time, as one would first write it, its flow an exact root. */
function fixedSteps({ well, ingress, seconds, batteries }: SimQuestion, pump: SimPump, stepS: number): Counted {
  const { sensor, moves, drive } = pump;
  const battery = batteries.find(({ id }) => id === pump.batteryId);
  if (!battery || sensor?.kind !== 'float' || typeof moves === 'function')
    throw new Error('The busiest demo well has no float, battery or hose.');
  const [onM3, offM3] = [well.volumeM3(sensor.onM), well.volumeM3(sensor.offM)];
  let [volumeM3, charge, running, starts, inHoseM3, pumpedM3, postsV] = [0, battery.startCharge, false, 0, 0, 0, 12];
  let [aboveSinceS, belowSinceS] = [Infinity, Infinity];
  const steps = Math.round(seconds / stepS);
  for (let step = 0; step < steps; step += 1) {
    const now = step * stepS;
    aboveSinceS = volumeM3 >= onM3 ? Math.min(aboveSinceS, now) : Infinity;
    belowSinceS = volumeM3 <= offM3 ? Math.min(belowSinceS, now) : Infinity;
    if (!running && now >= aboveSinceS + sensor.onDelayS) {
      running = true;
      starts += 1;
    } else if (running && now >= belowSinceS + sensor.runOnS) {
      running = false;
      volumeM3 += inHoseM3;
      pumpedM3 -= inHoseM3;
      inHoseM3 = 0;
    }
    const curve = running ? drive.running : drive.waiting;
    const { amps, speedRatio } = curve(postsV);
    postsV = battery.emfV(charge) - battery.internalOhm * amps;
    // What comes in here does not depend on the level, so it is looked for only while the pump runs.
    const levelM = running ? well.levelM(volumeM3) : 0;
    const takenM3 = running
      ? pumpPointAt(moves.curve, moves.hose, speedRatio, moves.topM - levelM, moves.water).flow * stepS
      : 0;
    inHoseM3 = running ? Math.min(pump.drainBackM3, inHoseM3 + takenM3) : inHoseM3;
    pumpedM3 += takenM3;
    volumeM3 += inflow(ingress, levelM, now) * stepS - takenM3;
    charge = Math.min(1, charge - ((amps - battery.chargeA) * stepS) / (3600 * battery.capacityAh));
  }
  return { starts, pumpedL: 1000 * pumpedM3 };
}

function window200(jobs: readonly Job[]): number {
  const job = jobs.find(({ circuits }) => circuits.some(({ water }) => water?.float !== undefined));
  const assessed = job && assess(job)[0];
  const water = assessed && waterOf(assessed);
  const survey = assessed?.circuit.water?.hose;
  if (!water?.float || !survey) throw new Error('No demo boat has a float.');
  const { float, pool, curve } = water;
  const hose = hoseFrom(survey);
  const flow = curve ? 0.5 * curve.openFlow : 0;
  const attitudes = Array.from({ length: 200 }, (_, index) => ({
    trimDeg: -4 + (8 * (index % 20)) / 19,
    heelDeg: -10 + (20 * Math.floor(index / 20)) / 9,
  }));
  return medianMs(() => {
    const poses = attitudes.map((attitude, index) => {
      const slopes = slopesOf(attitude);
      return {
        id: String(index),
        slopes,
        well: posedWell(pool, slopes),
        floorM: 0,
        drainBackM3: drainBackM3(hose, slopes),
        flow,
        primeLossM: defaults.primeLossM,
        limit: { levelM: 0.25, id: 'limit' },
        afterM: null,
      };
    });
    floatWindow({
      float,
      pumps: true,
      poses,
      mostIngress: 1e-4,
      marginM: ourRules.windowMarginM.value,
      drainBackFactor: ourRules.drainBackFactor.value,
      shortestRunS: ourRules.shortestRunS.value,
      abovePrimaryM: ourRules.backupAboveLeastM.value,
    });
  }, 101);
}
