import { JOB_VERSION, type Job } from '@harbor-latch/core/job/index';
import {
  changesSchema,
  problemSchema,
  sittingsSchema,
  recordPageSchema,
  recordResultsSchema,
  writtenSchema,
  type Changes,
  type Kept,
  type RecordPage,
  type RecordResult,
  type Sitting,
  type StockEntry,
  type StoredBoat,
  type Version,
} from '@harbor-latch/core/wire/index';
import type { SignedEntry } from '@harbor-latch/core/records/entry';
import { deviceId } from './deviceId';

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

/** The server handed out what a newer version of the application wrote: this one cannot read it. */
export class ServerNewer extends Error {
  constructor() {
    super('The yard holds boats written by a newer version. Load it, then go on.');
  }
}

/** @throws ServerNewer */
function readable<Boat extends StoredBoat | { readonly job?: Job | undefined }>(boat: Boat): Boat {
  const version: number = boat.job?.version ?? 0;
  if (version > JOB_VERSION) throw new ServerNewer();
  return boat;
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
  if (response.ok || response.status === 304) return response;
  const body: unknown = await response.json().catch(() => null);
  const problem = problemSchema.safeParse(body);
  if (!problem.success || response.status === 503 || response.status === 429) throw new ServerAway();
  const current = (body as { current?: StoredBoat | null }).current;
  if (current) readable(current);
  throw new ServerProblem(response.status, problem.data.code, problem.data.detail, current);
}

/** What every write says of itself: its own key, by which it is known again, and who made it where. */
export interface Sent {
  readonly key: string;
  readonly by: string;
}

const marks = ({ key, by }: Sent): Record<string, string> => ({
  'Idempotency-Key': key,
  'X-Device': deviceId(),
  ...(by === '' ? {} : { 'X-Person': encodeURIComponent(by) }),
});
const json = { 'Content-Type': 'application/json' };

/** What changed in the yard after a point; all of it where there is none. @param jobs whether boats come whole */
export async function changesSince(after: string | null, jobs: boolean): Promise<Changes> {
  const query = new URLSearchParams({
    stock: 'all',
    // A large yard's records come boat by boat.
    ...(jobs ? { records: 'all' } : {}),
    ...(after === null ? {} : { after }),
    ...(jobs ? { jobs: 'all' } : {}),
  });
  const body: unknown = await (await call(`/changes?${query}`)).json();
  // Whole boats were checked when they were saved: here only what is around them is.
  const changes = jobs ? (body as Changes) : changesSchema.parse(body);
  for (const one of changes.changes) if (one.kind === 'boat') readable(one);
  return changes;
}

/** Some boats whole; those that are no more are left out. */
export async function someBoats(ids: readonly string[]): Promise<StoredBoat[]> {
  return ((await (await call(`/boats?ids=${ids.join(',')}`)).json()) as { boats: StoredBoat[] }).boats.map(readable);
}

/**
 * Writes a boat; `basedOn` is the version it was changed from, null for a new boat.
 * @param sent.kept why the version that comes of it stays for good
 */
export async function putBoat(
  job: Job,
  basedOn: number | null,
  sent: Sent & { readonly kept: Kept | null },
): Promise<Version> {
  const basis: Record<string, string> = basedOn === null ? { 'If-None-Match': '*' } : { 'If-Match': `"${basedOn}"` };
  const response = await call(`/boats/${job.boat.id}`, {
    method: 'PUT',
    headers: { ...json, ...basis, ...marks(sent), ...(sent.kept === null ? {} : { 'X-Kept': sent.kept }) },
    body: JSON.stringify(job),
  });
  return writtenSchema.parse(await response.json());
}

/** Removes a boat that is still at the version seen; one that is gone already is as good. */
export async function deleteBoat(id: string, basedOn: number, sent: Sent): Promise<void> {
  try {
    await call(`/boats/${id}`, { method: 'DELETE', headers: { 'If-Match': `"${basedOn}"`, ...marks(sent) } });
  } catch (error) {
    if (!(error instanceof ServerProblem && error.status === 404)) throw error;
  }
}

/** Keeps a copy that lost against the one that is there. */
export async function putAside(lost: Job, basedOn: number, sent: Sent): Promise<Version> {
  const response = await call(`/boats/${lost.boat.id}/asides`, {
    method: 'POST',
    headers: { ...json, 'If-Match': `"${basedOn}"`, ...marks(sent) },
    body: JSON.stringify(lost),
  });
  return writtenSchema.parse(await response.json());
}

/** Keeps a photograph under the hash of what it holds. */
export async function putPhoto(id: string, bytes: Blob, sent: Sent): Promise<void> {
  await call(`/photos/${id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'image/jpeg', ...marks(sent) },
    body: bytes,
  });
}

/** Keeps an entry of the yard's stock. */
export async function putStock(entry: StockEntry): Promise<void> {
  await call('/stock', {
    method: 'POST',
    headers: { ...json, 'X-Device': deviceId() },
    body: JSON.stringify({ entries: [entry] }),
  });
}

/** Adds entries to the records of boats. @returns what became of each */
export async function putRecords(entries: readonly SignedEntry[]): Promise<readonly RecordResult[]> {
  const response = await call('/records', { method: 'POST', headers: json, body: JSON.stringify({ entries }) });
  return recordResultsSchema.parse(await response.json()).results;
}

/** Links of a boat's records after a number. */
export async function recordsAfter(boat: string, after: number): Promise<RecordPage> {
  return recordPageSchema.parse(await (await call(`/records?boat=${boat}&after=${after}`)).json());
}

/** A boat, her records and photographs in one ZIP. */
export async function bundleOf(boat: string): Promise<Blob> {
  return (await call(`/records/bundle?boat=${boat}`)).blob();
}

/** A photograph's bytes. */
export async function pictureOf(id: string): Promise<Blob> {
  return (await call(`/photos/${id}`)).blob();
}

/** Calls whenever the server has something new. @returns what ends that */
export function listenToServer(onNews: () => void, onEnd: () => void): () => void {
  const stream = new EventSource('/api/events');
  stream.addEventListener('change', onNews);
  stream.addEventListener('error', () => {
    stream.close();
    onEnd();
  });
  return () => stream.close();
}

/** The versions of a boat, one a sitting, newest first, before a version. */
export async function listVersions(id: string, before: number | null): Promise<readonly Sitting[]> {
  const query = before === null ? '' : `?before=${before}`;
  return sittingsSchema.parse(await (await call(`/boats/${id}/revisions${query}`)).json()).revisions;
}

/** A boat as it was at a version. */
export async function versionOf(id: string, version: number): Promise<StoredBoat> {
  return readable((await (await call(`/boats/${id}/revisions/${version}`)).json()) as StoredBoat);
}

/** Keeps a version for good under a name. */
export async function nameVersion(id: string, version: number, name: string): Promise<void> {
  await call(`/boats/${id}/revisions/${version}`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({ kept: 'named', name }),
  });
}
