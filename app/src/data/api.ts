import { type Job } from '@harbor-latch/core/job/index';
import { z } from 'zod';

/** A boat as the server holds it. */
export interface StoredBoat {
  readonly id: string;
  readonly version: number;
  readonly savedAt: string;
  readonly job: Job;
}

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

const problemShape = z.object({ code: z.string(), detail: z.string() });

async function call(path: string, init?: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, init);
  } catch {
    throw new ServerAway();
  }
  if (response.ok) return response;
  const body: unknown = await response.json().catch(() => null);
  const problem = problemShape.safeParse(body);
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

/** A version of a boat, without its contents. */
export type Version = Omit<StoredBoat, 'job'>;

/** The versions of a boat, newest first. */
export async function listVersions(id: string): Promise<Version[]> {
  const body = (await (await call(`/boats/${id}/revisions`)).json()) as { revisions: Version[] };
  return body.revisions;
}

/** A boat as it was at a version. */
export async function versionOf(id: string, version: number): Promise<StoredBoat> {
  return (await (await call(`/boats/${id}/revisions/${version}`)).json()) as StoredBoat;
}
