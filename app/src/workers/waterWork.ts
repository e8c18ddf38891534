import { assess } from '@harbor-latch/core/assess/index';
import {
  hoseChoices,
  type HoseChoice,
  ingressOf,
  lastingFindings,
  type RunFinding,
  type RunFault,
  type RunReport,
  runWell,
  seededDeviates,
  type Spread,
  spreadOf,
  type SpreadQuestion,
  throwDays,
  wellRuns,
} from '@harbor-latch/core/runs/index';
import type { Job } from '@harbor-latch/core/job/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { posesOf, type WaterRun } from '@harbor-latch/core/water/index';

export type OnPart = (done: number, of: number) => void;

export interface WellRuns {
  readonly reports: readonly RunReport[];
  readonly findings: readonly RunFinding[];
}

export interface CycleQuestion {
  readonly job: Job;
  readonly wellId: string;
  readonly poseId: string;
  readonly ingressId: string | null;
  readonly hours: number;
  readonly pieces: number;
  readonly faults: Readonly<Record<string, RunFault>>;
}

/** Long runs of a well: what the worker does, apart from the page. */
export const waterWork = {
  /** Every pose with every ingress, and what they say together. */
  runs(job: Job, wellId: string, hours: number, units: UnitSystem, onPart: OnPart): WellRuns {
    const reports: RunReport[] = [];
    const total = ingressOf(job, wellId).length * posesOf(job).length;
    for (const report of wellRuns(job, wellId, hours)) {
      reports.push(report);
      onPart(reports.length, total);
    }
    return { reports, findings: lastingFindings(job, wellId, reports, units) };
  },

  /** Other hoses and cables beside a circuit as it is. */
  hoses(job: Job, circuitId: string, units: UnitSystem): readonly HoseChoice[] {
    const circuit = job.circuits.find(({ id }) => id === circuitId);
    return circuit ? hoseChoices(job, circuit, units) : [];
  },

  /** One run with its trace. */
  cycle({ job, wellId, poseId, ingressId, hours, pieces, faults }: CycleQuestion): WaterRun | null {
    const pose = posesOf(job).find(({ id }) => id === poseId) ?? posesOf(job)[0];
    const ingress = ingressOf(job, wellId).find(({ id }) => id === ingressId) ?? null;
    return runWell({ job, assessed: assess(job), wellId, pose, ingress, hours, tracePieces: pieces, faults });
  },

  /** How long the battery lasts when what was surveyed is a little off. */
  spread(question: SpreadQuestion, throws: number, onPart: OnPart): Spread {
    const deviate = seededDeviates(1);
    const days: (number | null)[] = [];
    for (let thrown = 0; thrown < throws; thrown += 1) {
      days.push(throwDays(question, deviate));
      onPart(thrown + 1, throws);
    }
    return spreadOf(days);
  },
};

export type WaterWork = typeof waterWork;
