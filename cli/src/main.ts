import { readFile, stat } from 'node:fs/promises';
import { assessReport, jobJsonSchema, MAX_JOB_BYTES, readJobText, type Job } from '@harbor-latch/core';
import { Command, CommanderError } from 'commander';

/** Something the caller got wrong: printed as one JSON object on stderr, exit code 2. */
class BadInput extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path: string,
    readonly others: readonly { readonly path: string; readonly message: string }[] = [],
  ) {
    super(message);
  }
}

async function readJobFile(file: string): Promise<Job> {
  const found = await stat(file).catch(() => null);
  if (!found?.isFile()) throw new BadInput('unreadable', `"${file}" cannot be read. Check the name of the file.`, '$');
  if (found.size > MAX_JOB_BYTES) throw new BadInput('too-large', `"${file}" is larger than 5 MiB.`, '$');
  const text = await readFile(file, 'utf8').catch(() => {
    throw new BadInput('unreadable', `"${file}" cannot be read. Check its permissions.`, '$');
  });
  const read = readJobText(text);
  if (read.ok) return read.job;
  const [first, ...others] = read.problems;
  throw new BadInput(read.code, first.message, first.path, others);
}

function print(value: unknown): void {
  process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);
}

function program(): Command {
  const latch = new Command('latch')
    .description('Sizes and judges the circuits of a job file, without a server.')
    .exitOverride()
    .configureOutput({ writeErr: () => undefined });
  latch
    .command('assess <file>')
    .description('every circuit: sizes, drop, pump volts, protection, findings')
    .action(async (file: string) => print(assessReport(await readJobFile(file))));
  latch
    .command('schema')
    .description('the JSON Schema of the job file')
    .action(() => print(jobJsonSchema()));
  return latch;
}

function asBadInput(error: unknown): BadInput {
  if (error instanceof BadInput) return error;
  if (error instanceof CommanderError)
    return new BadInput('usage', `${error.message.replace(/^error: /, '')}. Verbs: assess FILE, schema.`, '$');
  const detail = error instanceof Error ? error.message : String(error);
  return new BadInput('failed', `The job could not be assessed: ${detail}`, '$');
}

async function main(): Promise<void> {
  try {
    await program().parseAsync();
  } catch (error) {
    if (error instanceof CommanderError && error.exitCode === 0) return;
    const { code, message, path, others } = asBadInput(error);
    process.stderr.write(
      `${JSON.stringify({ error: { code, message, path, ...(others.length > 0 ? { others } : {}) } })}\n`,
    );
    process.exitCode = 2;
  }
}

await main();
