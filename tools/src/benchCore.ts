import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { assess } from '@harbor-latch/core/assess/index';
import { everySetting, solve } from '@harbor-latch/core/circuit/index';
import { readJobText, type Job } from '@harbor-latch/core/job/index';

export interface CoreFigures {
  /** Of each demo circuit, median, ms. */
  readonly assess: readonly {
    readonly boat: string;
    readonly circuit: string;
    readonly circuitsAssessed: number;
    readonly ms: number;
    readonly withFixesMs: number;
  }[];
  /** Of the slowest setting of any demo circuit, median, ms. */
  readonly solveMs: number;
}

/** Median of `times` runs after a warm-up, ms. */
function medianMs(work: () => void, times = 400): number {
  for (let warm = 0; warm < times; warm += 1) work();
  const taken = Array.from({ length: times }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  }).sort((a, b) => a - b);
  return taken[Math.floor(times / 2)] ?? NaN;
}

function demoJobs(folder: string): Job[] {
  return ['alder-wren', 'low-samphire', 'pinnock'].map((name) => {
    const read = readJobText(readFileSync(join(folder, `${name}.json`), 'utf8'));
    if (!read.ok) throw new Error(`${name}: ${read.problems[0].message}`);
    return read.job;
  });
}

// A circuit on a shared feed is assessed with the one whose feed it is.
const cases = demoJobs(process.argv[2] ?? 'examples').flatMap((job) =>
  job.circuits.map((circuit) => ({
    circuit: circuit.name,
    alone: circuit.sharesFeedWith === undefined,
    job: { ...job, circuits: job.circuits.filter(({ id }) => id === circuit.id || id === circuit.sharesFeedWith) },
  })),
);
const figures: CoreFigures = {
  assess: cases.map(({ job, circuit, alone }) => ({
    boat: job.boat.name,
    circuit,
    circuitsAssessed: alone ? 1 : 2,
    ms: medianMs(() => assess(job)),
    withFixesMs: medianMs(() => JSON.stringify(assess(job).map((one) => one.status === 'sized' && one.findings))),
  })),
  solveMs: Math.max(
    ...cases.flatMap(({ job }) => {
      const [assessed] = assess(job);
      if (assessed?.status !== 'sized') return [];
      const { netlist } = assessed;
      return everySetting(netlist).map((setting) => medianMs(() => solve(netlist, setting), 2000));
    }),
  ),
};
process.stdout.write(JSON.stringify(figures));
