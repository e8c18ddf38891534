import { stat } from 'node:fs/promises';
import { assessReport, jobJsonSchema, waterReport, type Job } from '@harbor-latch/core';
import { buildable, buildList, buildReport, cutReport } from '@harbor-latch/core/build/index';
import { CircuitError, solveReport, spiceText } from '@harbor-latch/core/circuit/index';
import { otherPumps } from '@harbor-latch/core/prove/proving';
import { proveTests } from '@harbor-latch/core/prove/proveTests';
import { Command, CommanderError } from 'commander';
import { format } from 'date-fns';
import { bundleIn, verified } from './bundleFile';
import { benchCase, BenchAskError, type BenchOptions } from './benchCase';
import { SheetAskError, type SheetOptions } from './sheetAsk';
import { drilled, type DrillOptions } from './drillAsk';
import { BadInput, readJobFile, readJsonFile, readStockFile } from './filesGiven';
import { identified, type IdentifyOptions } from './identifyAsk';
import { diagnosis, TraceAskError, type DiagnoseOptions } from './traceAsk';

/** What the command answers: what is printed where, and how it ends: 1 where records were altered, 2 for bad input. */
export interface Answer {
  readonly status: 0 | 1 | 2;
  readonly stdout: string;
  readonly stderr: string;
}

/** What a verb has to say while it works. */
class Answering {
  stdout = '';
  status: 0 | 1 = 0;

  readonly write = (text: string): void => {
    this.stdout += text;
  };

  readonly print = (value: unknown): void => this.write(`${JSON.stringify(value, null, 2)}\n`);
}

function program(answering: Answering): Command {
  const { print, write } = answering;
  const latch = new Command('latch')
    .description('Sizes and judges the circuits of a job file, without a server.')
    .exitOverride()
    .configureOutput({ writeOut: write, writeErr: () => undefined });
  latch
    .command('assess <file>')
    .description('every circuit: sizes, drop, pump volts, protection, findings')
    .action(async (file: string) => print(assessReport(await readJobFile(file))));
  withBenchOptions(
    latch.command('solve <file>').description('volts, amperes and states of a circuit in one setting'),
  ).action(async (file: string, options: BenchOptions) => {
    const { netlist, setting } = benchCase(await readJobFile(file), options);
    print(solveReport(netlist, setting));
  });
  withBenchOptions(latch.command('spice <file>').description('the same setting as a SPICE netlist')).action(
    async (file: string, options: BenchOptions) => {
      const { netlist, setting, title } = benchCase(await readJobFile(file), options);
      write(spiceText(netlist, setting, title));
    },
  );
  latch
    .command('water <file>')
    .description('pump figures, float windows and runs in every pose with every ingress')
    .option('--circuit <id>', 'id of the one circuit asked for')
    .option('--hours <hours>', 'how long each run lasts', '24')
    .action(async (file: string, options: { readonly circuit?: string; readonly hours: string }) => {
      const job = await readJobFile(file);
      const hours = Number(options.hours);
      if (!(hours > 0 && hours <= MOST_HOURS))
        throw new BadInput('bad-hours', `Hours must be a number above 0 and at most ${MOST_HOURS}.`, '$.hours');
      const { circuit } = options;
      if (circuit !== undefined && !job.circuits.some(({ id }) => id === circuit))
        throw new BadInput('no-such-circuit', `No circuit has the id "${circuit}".`, '$.circuits');
      print(waterReport(job, { hours, ...(circuit === undefined ? {} : { circuit }) }));
    });
  latch
    .command('build <file>')
    .description('cut list, joints, labels, parts, steps and order of a circuit')
    .requiredOption('--circuit <id>', 'id of the circuit')
    .action(async (file: string, { circuit }: { readonly circuit: string }) => {
      const job = await readJobFile(file);
      const assessed = buildableIn(job, circuit);
      print(buildReport(buildList(job, assessed)));
    });
  latch
    .command('cut <file>')
    .description('what to cut from which drum for all circuits, with the least waste')
    .requiredOption(
      '--stock <file>',
      'JSON file of drums: {"drums": [{id, size, colour, insulationC, metres, opened}]}',
    )
    .action(async (file: string, { stock }: { readonly stock: string }) => {
      const job = await readJobFile(file);
      print(cutReport(job, await readStockFile(stock)));
    });
  latch
    .command('sheet <file>')
    .description('writes a paper as PDF: of one circuit, or of all')
    .option('--circuit <id>', 'id of the one circuit asked for')
    .requiredOption('--paper <paper>', 'a4 or letter')
    .requiredOption('--out <file>', 'where the PDF is written')
    .option('--kind <kind>', 'job, cuts, labels, template, parts or proof', 'job')
    .action(async (file: string, options: SheetOptions) => {
      const job = await readJobFile(file);
      const today = format(new Date(), 'd MMM yyyy');
      // The PDF maker is read only by those who print.
      print(await import('./writeSheet').then(({ writeSheet }) => writeSheet(job, options, today)));
    });
  latch
    .command('prove <file>')
    .description('every test of a circuit in the boat, with what a meter must show on it')
    .requiredOption('--circuit <id>', 'id of the circuit')
    .option('--phase <phase>', 'bench or commission', 'commission')
    .option('--resting <volts>', 'the battery as read at rest')
    .option('--running <volts>', 'the battery as read at its posts while the pump runs')
    .action(async (file: string, options: ProveOptions) => {
      const job = await readJobFile(file);
      const assessed = buildableIn(job, options.circuit);
      const resting = voltsIn(options.resting, '--resting');
      const running = voltsIn(options.running, '--running');
      const read = {
        ...(resting === null ? {} : { restingV: resting }),
        ...(running === null ? {} : { runningV: running }),
      };
      const phase = options.phase ?? 'commission';
      if (phase !== 'bench' && phase !== 'commission')
        throw new BadInput('bad-phase', `--phase is bench or commission, not "${phase}".`, '$.phase');
      const others = otherPumps(job, options.circuit);
      print({ tests: proveTests(assessed, { phase, battery: read, others }) });
    });
  latch
    .command('diagnose <file>')
    .description('what is likely wrong with a circuit, and what to test next')
    .requiredOption('--circuit <id>', 'id of the circuit')
    .option('--symptoms', 'list the symptoms that can be stated of it')
    .option('--symptom <code>', 'what it does or does not')
    .option('--readings <file>', 'JSON: [{test, value | outcome, batteryV?}]')
    .option('--access <access>', 'easy or hard: how the bilge is reached')
    .option('--instruments <list>', 'voltmeter,ohmmeter,clamp or none; all where left out')
    .option('--model', 'print hypotheses and tests with sharp outcomes')
    .option('--tree', 'print the whole decision tree')
    .option('--order <order>', 'best or textbook', 'best')
    .action(async (file: string, options: DiagnoseOptions) => {
      const assessed = buildableIn(await readJobFile(file), options.circuit);
      const given = options.readings === undefined ? undefined : await readJsonFile(options.readings);
      print(diagnosis(assessed, options, given));
    });
  latch
    .command('identify <file>')
    .description('which post of a panel, or which wire out of a bilge, is which, by the fewest questions')
    .requiredOption('--circuit <id>', 'id of the circuit')
    .requiredOption('--kind <kind>', 'posts or harness')
    .option('--count <n>', 'how many posts or wires there are')
    .option('--readings <file>', 'JSON: [{a, b, lever | lifted, reads: none|some|beeps}]')
    .action(async (file: string, options: IdentifyOptions) => {
      const job = await readJobFile(file);
      const assessed = buildableIn(job, options.circuit);
      const given = options.readings === undefined ? undefined : await readJsonFile(options.readings);
      print(identified(job, assessed, options, given));
    });
  latch
    .command('drill')
    .description('a hidden fault on a made-up boat, the same for the same number')
    .requiredOption('--seed <n>', 'a whole number from 0')
    .option('--level <level>', '1 to 4', '1')
    .option('--reveal', 'print what it hides, and what the best hunt takes')
    .action((options: DrillOptions) => print(drilled(options)));
  latch
    .command('verify <file>')
    .description('whether anything in the records of a bundle was altered, removed, moved or added')
    .option('--key <fingerprint>', 'the yard’s public key, as it was written down')
    .option('--head <hash>', 'a fingerprint or chain hash that was written down, as on a certificate')
    .action(async (file: string, options: { readonly key?: string; readonly head?: string }) => {
      const bundle = await bundleIn(file);
      if (!bundle) {
        const found = await stat(file).catch(() => null);
        throw found?.isFile()
          ? new BadInput('not-a-bundle', `"${file}" is no bundle of a boat.`, '$')
          : new BadInput('unreadable', `"${file}" cannot be read. Check the name of the file.`, '$');
      }
      if (!bundle.ok) throw new BadInput(bundle.code, bundle.message, bundle.path);
      const kept = { ...hashIn(options.key, 'key'), ...hashIn(options.head, 'head') };
      const verdict = await verified(bundle, kept);
      print(verdict);
      if (!('ok' in verdict && verdict.ok === true)) answering.status = 1;
    });
  latch
    .command('schema')
    .description('the JSON Schema of the job file')
    .action(() => print(jobJsonSchema()));
  return latch;
}

interface ProveOptions {
  readonly circuit: string;
  readonly phase?: string;
  readonly resting?: string;
  readonly running?: string;
}

/** A sized circuit of a job. @throws BadInput where it is not there, or lacks figures */
function buildableIn(job: Job, circuit: string): NonNullable<ReturnType<typeof buildable>> {
  if (!job.circuits.some(({ id }) => id === circuit))
    throw new BadInput('no-such-circuit', `No circuit has the id "${circuit}".`, '$.circuits');
  const assessed = buildable(job, circuit);
  if (!assessed)
    throw new BadInput('not-sized', 'The circuit lacks figures of its survey: `assess` says which.', '$.circuits');
  return assessed;
}

/** A hash as it was written down, with or without spaces. */
function hashIn(text: string | undefined, name: 'key' | 'head'): { readonly key?: string; readonly head?: string } {
  if (text === undefined) return {};
  const hash = text.replace(/\s/g, '').toLowerCase();
  if (!/^[0-9a-f]{64}$/.test(hash))
    throw new BadInput(`bad-${name}`, `--${name} is 64 hexadecimal digits, not "${text}".`, `$.${name}`);
  return { [name]: hash };
}

/** Volts of a 12 V battery as typed; null where none were. */
function voltsIn(text: string | undefined, option: string): number | null {
  if (text === undefined) return null;
  const volts = Number(text);
  if (volts >= LEAST_V && volts <= MOST_V) return volts;
  throw new BadInput(
    'bad-volts',
    `${option} is what a 12 V battery reads, ${LEAST_V} to ${MOST_V} V; not "${text}".`,
    `$.${option.slice(2)}`,
  );
}

const LEAST_V = 6;
const MOST_V = 16;

/** A year. */
const MOST_HOURS = 8784;

const VERBS =
  'assess FILE, solve FILE, spice FILE, water FILE, build FILE, cut FILE, sheet FILE, prove FILE, diagnose FILE, identify FILE, drill, verify FILE, schema';

const collect = (value: string, before: readonly string[]) => [...before, value];

function withBenchOptions(command: Command): Command {
  return command
    .requiredOption('--circuit <id>', 'id of the circuit')
    .option('--switch <position>', 'off, auto or manual', 'off')
    .option('--float <id=position>', 'up or down; id may be all', collect, [])
    .option('--set <part=position>', 'any switch, mute, fuse (in, out) or isolator (on, off)', collect, [])
    .option(
      '--fault <code@part>',
      'a fault and where it sits; code=degree@part for a worse or milder one',
      collect,
      [],
    );
}

function asBadInput(error: unknown): BadInput {
  if (error instanceof BadInput) return error;
  if (error instanceof CommanderError) {
    // Of its own: help asked for or no verb given.
    const message = error.code.startsWith('commander.help') ? 'Say what to do' : error.message.replace(/^error: /, '');
    return new BadInput('usage', `${message}. Verbs: ${VERBS}.`, '$');
  }
  if (error instanceof BenchAskError || error instanceof SheetAskError || error instanceof TraceAskError)
    return new BadInput(error.code, error.message, error.path);
  if (error instanceof CircuitError)
    return new BadInput(error.code, error.message, `$.parts[${JSON.stringify(error.about ?? '')}]`);
  const detail = error instanceof Error ? error.message : String(error);
  return new BadInput('failed', `The job could not be worked out: ${detail}`, '$');
}

/**
 * The headless command.
 * @param args verb and options as typed
 * @returns what it answers, also to what is no verb, no job or no option: a refusal says what, where and what to do
 */
export async function latch(args: readonly string[]): Promise<Answer> {
  const answering = new Answering();
  try {
    await program(answering).parseAsync(args, { from: 'user' });
  } catch (error) {
    if (!(error instanceof CommanderError && error.exitCode === 0)) {
      const { code, message, path, others } = asBadInput(error);
      const said = { error: { code, message, path, ...(others.length > 0 ? { others } : {}) } };
      return { status: 2, stdout: answering.stdout, stderr: `${JSON.stringify(said)}\n` };
    }
  }
  const { status, stdout } = answering;
  return { status, stdout, stderr: '' };
}
