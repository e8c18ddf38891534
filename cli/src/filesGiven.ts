import { readFile, stat } from 'node:fs/promises';
import { MAX_JOB_BYTES, readJob, readJobText, type Job } from '@harbor-latch/core';
import { readStock, type Drum } from '@harbor-latch/core/build/index';
import { bundleIn } from './bundleFile';

/** Something the caller got wrong: printed as one JSON object on stderr, exit code 2. */
export class BadInput extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path: string,
    readonly others: readonly { readonly path: string; readonly message: string }[] = [],
  ) {
    super(message);
  }
}

/** The job of a job file, or of a boat with her records in one file. @throws BadInput where there is none that can be read */
export async function readJobFile(file: string): Promise<Job> {
  const bundle = await bundleIn(file);
  if (bundle) {
    if (!bundle.ok) throw new BadInput(bundle.code, bundle.message, bundle.path);
    const inside = readJob(bundle.bundle.job);
    if (inside.ok) return inside.job;
    const [first, ...others] = inside.problems;
    throw new BadInput(inside.code, first.message, first.path, others);
  }
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

/** A small JSON file of the caller’s. @throws BadInput where it cannot be read or is not JSON */
export async function readJsonFile(file: string): Promise<unknown> {
  const found = await stat(file).catch(() => null);
  if (!found?.isFile()) throw new BadInput('unreadable', `"${file}" cannot be read. Check the name of the file.`, '$');
  if (found.size > MAX_JOB_BYTES) throw new BadInput('too-large', `"${file}" is larger than 5 MiB.`, '$');
  try {
    return JSON.parse(await readFile(file, 'utf8'));
  } catch {
    throw new BadInput('not-json', `"${file}" is not JSON.`, '$');
  }
}

/** The drums of a stock file. @throws BadInput where it is none */
export async function readStockFile(file: string): Promise<readonly Drum[]> {
  const read = readStock(await readJsonFile(file));
  if (!read.ok) throw new BadInput('invalid-stock', read.message, read.path);
  return read.drums;
}
