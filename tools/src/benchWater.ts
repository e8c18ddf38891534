import { assess, runWell, waterOf } from '@harbor-latch/core/assess/index';
import type { Job } from '@harbor-latch/core/job/index';
import { defaults, ourRules } from '@harbor-latch/core/reference/index';
import {
  drainBackM3,
  floatWindow,
  hoseFrom,
  posesOf,
  posedWell,
  slopesOf,
  type SimQuestion,
} from '@harbor-latch/core/water/index';
import { simQuestionOf } from '@harbor-latch/core/assess/index';
import { medianMs } from './median';

const MONTH_H = 720;

export interface WaterFigures {
  /** Thirty days of each demo well, its busiest pose and everyday ingress; median, ms. */
  readonly month: readonly {
    readonly boat: string;
    readonly well: string;
    readonly ingress: string;
    readonly pose: string;
    readonly starts: number;
    readonly ms: number;
    readonly massErrorL: number;
  }[];
  /** The busiest of them against the same run in fixed steps of 10 ms, one day of it. */
  readonly besideFixedSteps: { readonly ownMsADay: number; readonly fixedMsADay: number; readonly ratio: number };
  /** A float window over 200 poses, median, ms. */
  readonly window200PosesMs: number;
}

/** Runs and windows of the demo wells, as they stand once their findings are fixed and as found. */
export function waterFigures(jobs: readonly Job[]): WaterFigures {
  const month = jobs.flatMap((job) => {
    const assessed = assess(job);
    return (job.wells ?? []).flatMap((well) =>
      (job.ingress ?? [])
        .filter(
          ({ wellId, sources }) => (wellId ?? well.id) === well.id && !sources.some(({ kind }) => kind === 'opening'),
        )
        .flatMap((ingress) => {
          const pose = posesOf(job)[0];
          const question = { job, assessed, wellId: well.id, pose, ingress, hours: MONTH_H };
          const run = runWell(question);
          if (!run || run.pumps.length === 0) return [];
          return [
            {
              boat: job.boat.name,
              well: well.name,
              ingress: ingress.name,
              pose: pose.name,
              starts: run.pumps[0]?.starts ?? 0,
              ms: medianMs(() => void runWell(question), 15),
              massErrorL: 1000 * run.massErrorM3,
            },
          ];
        }),
    );
  });
  return { month, besideFixedSteps: besideFixedSteps(jobs), window200PosesMs: window200(jobs) };
}

/** The first demo well with a rain in it, one day long. */
function besideFixedSteps(jobs: readonly Job[]): WaterFigures['besideFixedSteps'] {
  const [job] = jobs;
  if (!job) throw new Error('No demo boat.');
  const assessed = assess(job);
  const question = {
    job,
    assessed,
    wellId: job.wells?.[0]?.id ?? '',
    pose: posesOf(job)[0],
    ingress: job.ingress?.find(({ id }) => id === 'rain') ?? null,
    hours: 24,
  };
  const asked = simQuestionOf(question);
  if (!asked) throw new Error('The demo boat has no well.');
  const ownMsADay = medianMs(() => void runWell(question), 31);
  const begun = performance.now();
  fixedSteps(asked, 0.01);
  const fixedMsADay = performance.now() - begun;
  return { ownMsADay, fixedMsADay, ratio: fixedMsADay / ownMsADay };
}

/** The same well stepped through at a fixed length of time, as one would first write it. */
function fixedSteps({ well, ingress, pumps, seconds, batteries }: SimQuestion, stepS: number): number {
  const [pump] = pumps;
  const [battery] = batteries;
  if (!pump || !battery || pump.sensor?.kind !== 'float') return 0;
  const [onM3, offM3] = [well.volumeM3(pump.sensor.onM), well.volumeM3(pump.sensor.offM)];
  const into = ingress.reduce((sum, one) => sum + (one.kind === 'steady' ? one.flow : 0), 0);
  let [volumeM3, charge, running, starts, fillM3] = [0, 1, false, 0, 0];
  let flow = 0;
  for (let step = 0; step * stepS < seconds; step += 1) {
    if (!running && volumeM3 >= onM3) {
      running = true;
      starts += 1;
    } else if (running && volumeM3 <= offM3) {
      running = false;
      volumeM3 += fillM3;
      fillM3 = 0;
    }
    // The pump's flow is looked up anew once a second only: a root at each step would take days.
    if (step % 100 === 0) {
      const volts = battery.emfV(charge);
      flow = running ? flowOf(pump, pump.drive.running(volts).speedRatio, well.levelM(volumeM3)) : 0;
    }
    const taken = running ? flow * stepS : 0;
    fillM3 = Math.min(pump.drainBackM3, fillM3 + taken);
    volumeM3 += into * stepS - taken;
    charge -= ((running ? 4 : 0) * stepS) / (3600 * battery.capacityAh);
  }
  return starts;
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
