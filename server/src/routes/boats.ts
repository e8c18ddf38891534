import { readJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import { keptSchema, type Kept, type StoredBoat } from '@harbor-latch/core/wire/index';
import { createHash } from 'node:crypto';
import { Router, type Request, type Response } from 'express';
import { z } from 'zod';
import type { WriteResult } from '../db/boatStore';
import type { VersionStore } from '../db/versionStore';
import { Problem } from '../problem';
import type { Stores } from '../stores';
import { writerOf } from './writer';

/** Routes under /api/boats. */
export function boatRoutes({ boats, versions }: Pick<Stores, 'boats' | 'versions'>): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    if (request.query['ids'] !== undefined) {
      response.json({ boats: await boats.some(idsIn(request.query['ids'])) });
      return;
    }
    const limit = Math.min(numberIn(request.query['limit'], 'limit') ?? LINES_AT_ONCE, MOST_LINES);
    const { lines, next } = await boats.lines(pageIn(request.query['after']), Math.max(1, limit));
    sendTagged(request, response, { boats: lines, next });
  });
  router.get('/:id', async (request, response) => {
    const boat = await boats.find(idOf(request));
    if (!boat) throw absent();
    response.set('ETag', `"${boat.version}"`).json(boat);
  });
  router.put('/:id', async (request, response) => {
    const id = idOf(request);
    const basis = basisOf(request);
    const writer = writerOf(request);
    const job = jobOf(request, id);
    const result =
      basis.kind === 'new'
        ? await boats.create(id, job, writer)
        : await boats.save(id, job, basis.version, writer, keptIn(request));
    sendWritten(response, result);
  });
  router.post('/:id/asides', async (request, response) => {
    const id = idOf(request);
    sendWritten(response, await boats.aside(id, jobOf(request, id), versionIn(request), writerOf(request)));
  });
  router.delete('/:id', async (request, response) => {
    const result = await boats.remove(idOf(request), versionIn(request), writerOf(request));
    if (result.kind === 'stale') throw stale(result.current);
    if (result.kind === 'absent') throw absent();
    response.status(204).end();
  });
  router.use('/', versionRoutes(versions));
  return router;
}

/** The versions of a boat. */
function versionRoutes(versions: VersionStore): Router {
  const router = Router();
  router.get('/:id/revisions', async (request, response) => {
    const before = numberIn(request.query['before'], 'before') ?? MOST_VERSION;
    response.json({ revisions: await versions.sittings(idOf(request), before, REVISIONS_AT_ONCE) });
  });
  router.get('/:id/revisions/:version', async (request, response) => {
    const version = numberIn(request.params['version'], 'version') ?? 0;
    const boat = await versions.at(idOf(request), version);
    if (!boat) throw noSuchVersion();
    response.set('ETag', `"${boat.version}"`).json(boat);
  });
  router.post('/:id/revisions/:version', async (request, response) => {
    const version = numberIn(request.params['version'], 'version') ?? 0;
    const keep = keepSchema.safeParse(request.body);
    if (!keep.success)
      throw new Problem(400, 'bad-body', 'Say why it is kept, and a name of at most 80 characters.', {
        errors: keep.error.issues.map(({ path, message }) => ({ path: ['$', ...path].join('.'), message })),
      });
    if (!(await versions.keep(idOf(request), version, keep.data.kept, keep.data.name ?? null))) throw noSuchVersion();
    response.status(204).end();
  });
  return router;
}

const keepSchema = z.strictObject({ kept: keptSchema, name: z.string().trim().min(1).max(80).optional() });

const LINES_AT_ONCE = 100;
const MOST_LINES = 500;
const MOST_IDS = 50;
const REVISIONS_AT_ONCE = 50;
const MOST_VERSION = 2_147_483_647;

function sendWritten(response: Response, result: WriteResult): void {
  if (result.kind === 'stale') throw stale(result.current);
  const { version } = result;
  response
    .status(result.kind === 'created' ? 201 : 200)
    .set('ETag', `"${version.version}"`)
    .json(version);
}

/** A list with its mark, or word that it is still the one that the caller holds. */
function sendTagged(request: Request, response: Response, body: object): void {
  const text = JSON.stringify(body);
  const tag = `"${createHash('sha256').update(text).digest('base64url').slice(0, 27)}"`;
  response.set('ETag', tag).set('Cache-Control', 'no-cache');
  if (request.get('If-None-Match') === tag) response.status(304).end();
  else response.type('json').send(text);
}

function idsIn(text: unknown): string[] {
  const ids = typeof text === 'string' ? text.split(',') : [];
  const read = z.array(z.uuid()).min(1).max(MOST_IDS).safeParse(ids);
  if (!read.success)
    throw new Problem(400, 'bad-ids', `"ids" holds one to ${MOST_IDS} UUIDs with commas between.`, {
      errors: [{ path: '$.ids', message: 'Not UUIDs.' }],
    });
  return read.data;
}

function pageIn(text: unknown): string | null {
  if (text === undefined || text === '') return null;
  const [time = '', id] = typeof text === 'string' ? text.split('_') : [];
  if (z.iso.datetime({ precision: 6 }).safeParse(time).success && z.uuid().safeParse(id).success)
    return `${time}_${id}`;
  throw new Problem(400, 'bad-page', '"after" is what this address gave as "next".', {
    errors: [{ path: '$.after', message: 'Not a page.' }],
  });
}

function keptIn(request: Request): Kept | null {
  const text = request.get('X-Kept');
  if (text === undefined) return null;
  const kept = keptSchema.safeParse(text);
  if (kept.success) return kept.data;
  throw new Problem(400, 'bad-header', `X-Kept is one of: ${keptSchema.options.join(', ')}.`);
}

function versionIn(request: Request): number {
  const basis = basisOf(request);
  if (basis.kind === 'version') return basis.version;
  throw new Problem(400, 'bad-precondition', 'Say which version was seen: send If-Match.');
}

function noSuchVersion(): Problem {
  return new Problem(404, 'no-such-revision', 'No version of this boat has that number.');
}

function numberIn(text: unknown, name: string): number | undefined {
  if (text === undefined) return undefined;
  if (typeof text === 'string' && /^\d{1,9}$/.test(text)) return Number(text);
  throw new Problem(400, 'bad-number', `"${name}" is a whole number.`, {
    errors: [{ path: `$.${name}`, message: 'Not a whole number.' }],
  });
}

function absent(): Problem {
  return new Problem(404, 'no-such-boat', 'No boat has this id. It may have been removed.');
}

function stale(current: StoredBoat | null): Problem {
  return new Problem(
    412,
    'stale',
    current
      ? 'The boat was changed elsewhere since this copy was read. Nothing was overwritten; the current copy is attached.'
      : 'The boat was removed elsewhere. Nothing was written.',
    { current },
  );
}

function idOf(request: Request): string {
  const id = z.uuid().safeParse(request.params['id']);
  if (!id.success)
    throw new Problem(400, 'bad-id', 'The id of a boat is a UUID.', {
      errors: [{ path: '$.id', message: 'Not a UUID.' }],
    });
  return id.data.toLowerCase();
}

type Basis = { readonly kind: 'new' } | { readonly kind: 'version'; readonly version: number };

function basisOf(request: Request): Basis {
  if (request.get('If-None-Match') === '*') return { kind: 'new' };
  const header = request.get('If-Match');
  if (header === undefined) {
    throw new Problem(
      428,
      'no-precondition',
      'Say which version this is based on: If-Match with its ETag, or If-None-Match: * for a new boat.',
    );
  }
  const match = /^"(\d{1,9})"$/.exec(header.trim());
  if (!match) throw new Problem(400, 'bad-precondition', 'If-Match holds one quoted version number, such as "3".');
  return { kind: 'version', version: Number(match[1]) };
}

function jobOf(request: Request, id: string): Job {
  if (!request.is('application/json')) throw new Problem(415, 'not-json', 'Send the job as application/json.');
  const read = readJob(request.body);
  if (!read.ok) {
    const [first] = read.problems;
    throw new Problem(400, read.code, `${first.path}: ${first.message}`, { errors: read.problems });
  }
  if (read.job.boat.id.toLowerCase() !== id) {
    throw new Problem(400, 'id-differs', 'The boat’s id in the body differs from the one in the address.', {
      errors: [{ path: '$.boat.id', message: `Must be ${id}.` }],
    });
  }
  return read.job;
}
