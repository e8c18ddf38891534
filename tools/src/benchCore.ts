import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { assess, Assessor } from '@harbor-latch/core/assess/index';
import {
  everySetting,
  solve,
  SolverMemory,
  spiceText,
  type Netlist,
  type Setting,
} from '@harbor-latch/core/circuit/index';
import { readJobText } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import { buildFigures, type BuildFigures } from './benchBuild';
import { waterFigures, type WaterFigures } from './benchWater';
import { medianMs, roundsMs, type RoundsMs } from './median';

export interface CoreFigures {
  /** A fixed loop of plain arithmetic, median, ms: by it figures of other machines and moments can be compared. */
  readonly machineMs: number;
  /** Of each demo circuit, ms. */
  readonly assess: readonly (RoundsMs & {
    readonly boat: string;
    readonly circuit: string;
    readonly circuitsAssessed: number;
    readonly withFixesMs: number;
  })[];
  /** Of the slowest setting of any demo circuit, median, ms. */
  readonly solveMs: number;
  readonly water: WaterFigures;
  readonly build: BuildFigures;
  /** Every setting of every demo circuit, by this solver and by ngspice in one batch. */
  readonly besideNgspice: {
    readonly operatingPoints: number;
    readonly ownMs: number;
    readonly ngspiceMs: number;
    /** How many times longer ngspice took, its start counted and left out. */
    readonly ratio: number;
    readonly ratioWithoutStart: number;
  };
}

function demoJobs(folder: string): Job[] {
  return ['alder-wren', 'low-samphire', 'pinnock'].map((name) => {
    const read = readJobText(readFileSync(join(folder, `${name}.json`), 'utf8'));
    if (!read.ok) throw new Error(`${name}: ${read.problems[0].message}`);
    return read.job;
  });
}

// A circuit on a shared feed is assessed with the one whose feed it is.
const jobs = demoJobs(process.argv[2] ?? 'examples');
const cases = jobs.flatMap((job) =>
  job.circuits.map((circuit) => ({
    circuit: circuit.name,
    alone: circuit.sharesFeedWith === undefined,
    job: { ...job, circuits: job.circuits.filter(({ id }) => id === circuit.id || id === circuit.sharesFeedWith) },
  })),
);
/** Every setting of every demo circuit that is solved. */
const points: { readonly netlist: Netlist; readonly setting: Setting }[] = cases.flatMap(({ job }) => {
  const assessed = assess(job);
  const [first] = assessed;
  if (!first || first.status === 'incomplete') return [];
  return everySetting(first.netlist).map((setting) => ({ netlist: first.netlist, setting }));
});

/** The same operating points by ngspice, all in one process; its texts are written beforehand. */
function ngspiceMs(decks: readonly string[]): number {
  const folder = mkdtempSync(join(tmpdir(), 'latch-bench-'));
  try {
    const commands = decks.flatMap((deck, index) => {
      const file = join(folder, `${index}.cir`);
      writeFileSync(file, deck);
      return [`source ${file}`, 'op', 'destroy all', 'remcirc'];
    });
    const batch = join(folder, 'batch.cir');
    writeFileSync(batch, ['batch', '.control', ...commands, 'quit', '.endc', '.end', ''].join('\n'));
    const begun = performance.now();
    const { status, error } = spawnSync('ngspice', ['-b', batch], { stdio: 'ignore' });
    if (error || status === null) throw new Error('ngspice could not be run.');
    return performance.now() - begun;
  } finally {
    rmSync(folder, { recursive: true });
  }
}

function besideNgspice(): CoreFigures['besideNgspice'] {
  // Many times over, so that starting the process weighs little.
  const many = Array.from({ length: 20 }, () => points).flat();
  const decks = many.map(({ netlist, setting }) => spiceText(netlist, setting, 'bench'));
  const memory = new SolverMemory();
  const ownMs = medianMs(() => many.forEach(({ netlist, setting }) => solve(netlist, setting, memory)), 20);
  const taken = ngspiceMs(decks);
  const start = ngspiceMs(decks.slice(0, 1));
  return {
    operatingPoints: many.length,
    ownMs,
    ngspiceMs: taken,
    ratio: taken / ownMs,
    ratioWithoutStart: (taken - start) / ownMs,
  };
}

/** The job with other amperes each time, so that nothing known of it serves. */
function* everOther(job: Job): Generator<Job, never> {
  for (let round = 1; ; round += 1)
    yield {
      ...job,
      circuits: job.circuits.map((one) =>
        one.pump.currentA === undefined
          ? { ...one, name: `${one.name} ${round}` }
          : { ...one, pump: { ...one.pump, currentA: one.pump.currentA * (1 + 1e-9 * round) } },
      ),
    };
}

const assessor = new Assessor();
const assessMs = roundsMs(
  cases.map(({ job }) => {
    const jobs = everOther(job);
    return () => assessor.assess(jobs.next().value);
  }),
);

/** An assessment and the fix of every finding, each tried. */
function withFixes(job: Job): void {
  const own = new Assessor();
  for (const one of own.assess(job).circuits)
    if (one.status !== 'incomplete')
      for (const { id, mayHaveFix } of one.findings) if (mayHaveFix) own.fixOf(job, one.circuit.id, id);
}

/** Ten million steps that no compiler can leave out. */
function fixedLoop(): number {
  let state = 1;
  for (let step = 0; step < 1e7; step += 1) state = (Math.imul(state, 1_664_525) + 1_013_904_223) | 0;
  return state;
}

const figures: CoreFigures = {
  machineMs: medianMs(() => {
    if (fixedLoop() === 0) throw new Error('The loop was left out.');
  }, 15),
  assess: cases.map(({ job, circuit, alone }, index) => ({
    boat: job.boat.name,
    circuit,
    circuitsAssessed: alone ? 1 : 2,
    ...(assessMs[index] ?? { ms: NaN, slowestRoundMs: NaN }),
    withFixesMs: medianMs(() => withFixes(job), 40),
  })),
  solveMs: Math.max(
    ...points.map(({ netlist, setting }) => {
      const memory = new SolverMemory();
      return medianMs(() => solve(netlist, setting, memory), 1000);
    }),
  ),
  water: waterFigures(jobs),
  build: buildFigures(jobs),
  besideNgspice: besideNgspice(),
};
process.stdout.write(JSON.stringify(figures));
