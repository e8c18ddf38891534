import { STATUS_CODES } from 'node:http';
import type { ErrorRequestHandler, Response } from 'express';
import type { ProblemDocument } from '@harbor-latch/core/wire/index';

export type ProblemExtras = {
  readonly errors?: readonly { readonly path: string; readonly message: string }[];
} & Readonly<Record<string, unknown>>;

/** An answer that is not success, in words for the person at the other end. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    detail: string,
    readonly extras: ProblemExtras = {},
  ) {
    super(detail);
  }
}

function documentOf({ status, code, message }: Problem): ProblemDocument {
  return { type: 'about:blank', title: STATUS_CODES[status] ?? 'Error', status, detail: message, code };
}

function sendProblem(response: Response, problem: Problem): void {
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify({ ...documentOf(problem), ...problem.extras }));
}

/** Codes by which the body parser and the database driver tell what happened. */
interface CodedError {
  readonly type?: string;
  readonly status?: number;
  readonly code?: string;
  readonly cause?: unknown;
}

function coded(error: unknown): CodedError {
  return typeof error === 'object' && error !== null ? error : {};
}

const CONNECTION_LOST = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  '57P01',
  '57P02',
  '57P03',
  '08006',
  '08003',
  '08001',
]);

/** The database is there and cannot take anything now: read-only, full, out of memory or connections, or too slow. */
const DATABASE_BUSY = new Set(['25006', '53100', '53200', '53300', '55P03', '57014']);

function databaseBusy(error: unknown): boolean {
  const { code, cause } = coded(error);
  return (code !== undefined && DATABASE_BUSY.has(code)) || (cause !== undefined && databaseBusy(cause));
}

/** So long a caller waits before it tries again, s. */
const RETRY_AFTER_S = 2;

/** What is logged of a failure: its kind and place, never what was being stored. */
function withoutContents(error: unknown): object {
  const { code, cause } = coded(error);
  const { name, stack } = error instanceof Error ? error : { name: typeof error, stack: '' };
  const at = (stack ?? '')
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 6);
  return { name, code, at, ...(cause === undefined ? {} : { cause: withoutContents(cause) }) };
}

function databaseAway(error: unknown): boolean {
  const { code, cause } = coded(error);
  if (code !== undefined && CONNECTION_LOST.has(code)) return true;
  if (
    error instanceof Error &&
    /Connection terminated|timeout exceeded when trying to connect|connection error and is not queryable/.test(
      error.message,
    )
  )
    return true;
  return cause !== undefined && databaseAway(cause);
}

/** Any error as a problem, without a word of its inside. */
function asProblem(error: unknown, reads: boolean): Problem {
  if (error instanceof Problem) return error;
  if (databaseAway(error)) {
    // A connection that is lost in the middle of a write does not tell whether that was kept.
    const kept = reads ? '' : ' Whether the change was kept is not known:';
    return new Problem(503, 'database-away', `The database does not answer just now.${kept} Try again in a moment.`);
  }
  if (databaseBusy(error))
    return new Problem(
      503,
      'database-busy',
      'The database can take nothing just now. Nothing was changed; try again in a moment.',
    );
  const { type, status } = coded(error);
  if (type === 'entity.too.large') return new Problem(413, 'too-large', 'The body is larger than 5 MiB.');
  if (type === 'entity.parse.failed')
    return new Problem(400, 'not-json', 'The body is not JSON.', { errors: [{ path: '$', message: 'Not JSON.' }] });
  if (status !== undefined && status >= 400 && status < 500)
    return new Problem(status, 'bad-request', 'The request could not be read.');
  return new Problem(500, 'failed', 'Something went wrong on the server.');
}

/** The last handler: every error leaves as a problem document. */
export const problemHandler: ErrorRequestHandler = (error, request, response, next) => {
  const problem = asProblem(error, request.method === 'GET' || request.method === 'HEAD');
  if (problem.status >= 500) request.log.error({ failure: withoutContents(error) }, problem.code);
  if (response.headersSent) {
    next(error);
    return;
  }
  if (problem.status === 503) response.set('Retry-After', String(RETRY_AFTER_S));
  sendProblem(response, problem);
};
