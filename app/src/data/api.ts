import type { Job } from '@harbor-latch/core/job/index';
import { problemSchema, versionsSchema, type StoredBoat, type Version } from '@harbor-latch/core/wire/index';

export type { StoredBoat, Version };

/** The server said no: a problem document. */
export class ServerProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    detail: string,
    /** The current copy, on a stale write; null when the boat is gone. */
    readonly current?: StoredBoat | null,
  ) {
    super(detail);
  }
}

/** The server was not reached, or not in a state to answer. */
export class ServerAway extends Error {
  constructor() {
    super('The server cannot be reached just now.');
  }
}

/** An answer that takes longer is not waited for, ms: what was asked is asked again later. */
const LONGEST_MS = 30_000;

async function call(path: string, init?: RequestInit): Promise<Response> {
  const giveUp = new AbortController();
  const timer = setTimeout(() => giveUp.abort(), LONGEST_MS);
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { ...init, signal: giveUp.signal });
  } catch {
    throw new ServerAway();
  } finally {
    clearTimeout(timer);
  }
  if (response.ok) return response;
  const body: unknown = await response.json().catch(() => null);
  const problem = problemSchema.safeParse(body);
  if (!problem.success || response.status === 503 || response.status === 429) throw new ServerAway();
  const current = (body as { current?: StoredBoat | null }).current;
  throw new ServerProblem(response.status, problem.data.code, problem.data.detail, current);
}

/** All boats of the yard. */
export async function listBoats(): Promise<StoredBoat[]> {
  const body = (await (await call('/boats')).json()) as { boats: StoredBoat[] };
  return body.boats;
}

/** Writes a boat; `basedOn` is the version it was changed from, null for a new boat. */
export async function putBoat(job: Job, basedOn: number | null): Promise<StoredBoat> {
  const precondition: Record<string, string> =
    basedOn === null ? { 'If-None-Match': '*' } : { 'If-Match': `"${basedOn}"` };
  const response = await call(`/boats/${job.boat.id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', ...precondition },
    body: JSON.stringify(job),
  });
  return (await response.json()) as StoredBoat;
}

/** Removes a boat that is still at the version seen. */
export async function deleteBoat(id: string, basedOn: number): Promise<void> {
  await call(`/boats/${id}`, { method: 'DELETE', headers: { 'If-Match': `"${basedOn}"` } });
}

/** The versions of a boat, newest first. */
export async function listVersions(id: string): Promise<Version[]> {
  return versionsSchema.parse(await (await call(`/boats/${id}/revisions`)).json()).revisions;
}

/** A boat as it was at a version. */
export async function versionOf(id: string, version: number): Promise<StoredBoat> {
  return (await (await call(`/boats/${id}/revisions/${version}`)).json()) as StoredBoat;
}
