import { closest, distance } from 'fastest-levenshtein';
import { z } from 'zod';
import { JOB_FORMAT, JOB_VERSION, type Job } from '../job';
import { jobSchema } from './jobSchema';
import { migrate } from './migrate';
import { oddities, oddKeyMessage } from './oddities';

/** One thing wrong with a job: where (JSON path from `$`), and what to do about it. */
export interface JobProblem {
  readonly path: string;
  readonly message: string;
}

export type JobErrorCode = 'not-json' | 'not-a-job' | 'newer-version' | 'invalid-job' | 'too-large';

export type ReadJob =
  | { readonly ok: true; readonly job: Job }
  | { readonly ok: false; readonly code: JobErrorCode; readonly problems: readonly [JobProblem, ...JobProblem[]] };

/** A job file is at most this large, bytes of UTF-8. */
export const MAX_JOB_BYTES = 5 * 1024 * 1024;

/**
 * Reads a job file's text.
 * @returns the job, or every problem found, each with its JSON path.
 */
export function readJobText(text: string): ReadJob {
  if (utf8Length(text) > MAX_JOB_BYTES) {
    return refuse(
      'too-large',
      '$',
      'The file is larger than 5 MiB. A job file holds one boat and is a few kilobytes long.',
    );
  }
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    const detail = error instanceof Error ? error.message : 'it could not be read';
    return refuse('not-json', '$', `This is not a JSON file (${detail}). Choose a file exported by this application.`);
  }
  return readJob(data);
}

/**
 * Reads a job from parsed JSON: checks the format's name and version, migrates
 * older versions, then validates every value.
 */
export function readJob(data: unknown): ReadJob {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return refuse('not-a-job', '$', 'A job file holds one JSON object.');
  }
  const { format, version } = data as { format?: unknown; version?: unknown };
  if (format !== JOB_FORMAT) {
    return refuse('not-a-job', '$.format', `This is not a job file: its "format" must be "${JOB_FORMAT}".`);
  }
  if (typeof version === 'number' && Number.isInteger(version) && version > JOB_VERSION) {
    return refuse(
      'newer-version',
      '$.version',
      `The file was written by a newer version (${version}); this one reads up to ${JOB_VERSION}. Update the application, then open it again.`,
    );
  }
  const { keys, data: kept } = oddities(data);
  const [odd, ...others] = keys.map(({ holder, key }) => ({ path: jsonPath(holder), message: oddKeyMessage(key) }));
  if (odd) return { ok: false, code: 'invalid-job', problems: [odd, ...others] };
  const parsed = jobSchema.safeParse(migrate(kept));
  if (parsed.success) return { ok: true, job: parsed.data };
  const [first, ...rest] = problemsOf(parsed.error);
  if (!first) return refuse('invalid-job', '$', 'The job could not be read.');
  return { ok: false, code: 'invalid-job', problems: [first, ...rest] };
}

/** A Zod error as problems with paths; unknown keys come one by one, with the nearest known key. */
export function problemsOf(error: z.ZodError): JobProblem[] {
  const problems: JobProblem[] = [];
  for (const issue of error.issues) {
    if (problems.length >= MOST_PROBLEMS) break;
    if (issue.code !== 'unrecognized_keys') problems.push({ path: jsonPath(issue.path), message: wording(issue) });
    else
      for (const key of issue.keys.slice(0, MOST_PROBLEMS - problems.length))
        problems.push({ path: jsonPath([...issue.path, shortened(key)]), message: unknownKeyMessage(key) });
  }
  return problems;
}

/** So many problems are told at once: more are no help, and take their time. */
const MOST_PROBLEMS = 50;
/** A longer key is no slip of the pen: nothing like it is looked for. */
const MOST_KEY_LETTERS = 40;

function shortened(key: string): string {
  return key.length > MOST_KEY_LETTERS ? `${[...key.slice(0, MOST_KEY_LETTERS)].join('')}…` : key;
}

function wording(issue: z.core.$ZodIssue): string {
  const missing =
    issue.code === 'invalid_type' && issue.input === undefined && /received undefined/.test(issue.message);
  return missing ? 'This is missing.' : issue.message;
}

function unknownKeyMessage(key: string): string {
  if (key.length > MOST_KEY_LETTERS) return `Unknown key "${shortened(key)}". Remove it.`;
  const nearest = nearestKey(key);
  const near = distance(key.toLowerCase(), nearest.toLowerCase()) <= Math.max(2, key.length / 3);
  return `Unknown key "${key.slice(0, 60)}".${near ? ` Did you mean "${nearest}"?` : ' Remove it, or correct its spelling.'}`;
}

/** The known key with the fewest letters to change; of several, one with the same letters in another order. */
function nearestKey(key: string): string {
  const first = closest(key, knownKeys());
  const least = distance(key, first);
  const letters = (text: string) => [...text].sort().join('');
  return knownKeys().find((known) => distance(key, known) === least && letters(known) === letters(key)) ?? first;
}

let keysOnce: string[] | undefined;
function knownKeys(): string[] {
  keysOnce ??= [...new Set(collectKeys(jobJsonSchema()))];
  return keysOnce;
}

function collectKeys(schema: unknown): string[] {
  if (typeof schema !== 'object' || schema === null) return [];
  return Object.entries(schema).flatMap(([key, value]) =>
    key === 'properties' && typeof value === 'object' && value !== null
      ? [...Object.keys(value), ...Object.values(value).flatMap(collectKeys)]
      : collectKeys(value),
  );
}

/** `['circuits', 0, 'pump']` → `$.circuits[0].pump`; keys that are not plain words are quoted. */
export function jsonPath(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, step) => {
    if (typeof step === 'number') return `${text}[${step}]`;
    const key = String(step);
    return /^[A-Za-z_][A-Za-z0-9_]*$/.test(key) ? `${text}.${key}` : `${text}[${JSON.stringify(key)}]`;
  }, '$');
}

/** The JSON Schema of the job file, generated from the one Zod definition. */
export function jobJsonSchema(): Record<string, unknown> {
  return { ...z.toJSONSchema(jobSchema, { io: 'input' }), title: 'Harbor Latch job file' };
}

/** The job as the text of a job file. */
export function writeJobText(job: Job): string {
  return `${JSON.stringify(job, null, 2)}\n`;
}

function refuse(code: JobErrorCode, path: string, message: string): ReadJob {
  return { ok: false, code, problems: [{ path, message }] };
}

function utf8Length(text: string): number {
  return text.length > MAX_JOB_BYTES ? text.length : new TextEncoder().encode(text).length;
}
