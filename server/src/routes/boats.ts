import { readJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import type { StoredBoat } from '@harbor-latch/core/wire/index';
import { Router, type Request, type Response } from 'express';
import { z } from 'zod';
import type { BoatStore } from '../db/boatStore';
import { Problem } from '../problem';

/** Routes under /api/boats. */
export function boatRoutes(store: BoatStore): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json({ boats: await store.list() });
  });
  router.get('/:id', async (request, response) => {
    const boat = await store.find(idOf(request));
    if (!boat) throw absent();
    sendBoat(response, 200, boat);
  });
  router.get('/:id/revisions', async (request, response) => {
    const before = numberIn(request.query['before'], 'before') ?? MOST_VERSION;
    response.json({ revisions: await store.revisions(idOf(request), before, REVISIONS_AT_ONCE) });
  });
  router.get('/:id/revisions/:version', async (request, response) => {
    const version = numberIn(request.params['version'], 'version') ?? 0;
    const boat = await store.revision(idOf(request), version);
    if (!boat) throw new Problem(404, 'no-such-revision', 'This boat never had that version.');
    sendBoat(response, 200, boat);
  });
  router.put('/:id', async (request, response) => {
    const id = idOf(request);
    const basis = basisOf(request);
    const job = jobOf(request, id);
    const result = basis.kind === 'new' ? await store.create(id, job) : await store.save(id, job, basis.version);
    if (result.kind === 'stale') throw stale(result.current);
    sendBoat(response, result.kind === 'created' ? 201 : 200, result.boat);
  });
  router.delete('/:id', async (request, response) => {
    const id = idOf(request);
    const basis = basisOf(request);
    if (basis.kind === 'new')
      throw new Problem(400, 'bad-precondition', 'A removal says which version it saw: send If-Match.');
    const result = await store.remove(id, basis.version);
    if (result.kind === 'stale') throw stale(result.current);
    if (result.kind === 'absent') throw absent();
    response.status(204).end();
  });
  return router;
}

const REVISIONS_AT_ONCE = 100;
const MOST_VERSION = 2_147_483_647;

function numberIn(text: unknown, name: string): number | undefined {
  if (text === undefined) return undefined;
  if (typeof text === 'string' && /^\d{1,9}$/.test(text)) return Number(text);
  throw new Problem(400, 'bad-number', `"${name}" is a whole number.`, {
    errors: [{ path: `$.${name}`, message: 'Not a whole number.' }],
  });
}

function sendBoat(response: Response, status: number, boat: StoredBoat): void {
  response.status(status).set('ETag', `"${boat.version}"`).json(boat);
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
