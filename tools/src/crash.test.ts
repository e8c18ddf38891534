import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import {
  CHAIN_BEGIN,
  chainHash,
  entryHash,
  type ChainedEntry,
  type SignedEntry,
} from '@harbor-latch/core/records/index';
import type { RecordPage, RecordResult } from '@harbor-latch/core/wire/index';
import { newDevice } from '@harbor-latch/server/routes/signing.fixture';
import { newJob, type Job } from '@harbor-latch/core/job/index';
import { buildServer } from './build';
import { startCluster, type Cluster } from './cluster';
import { freePort } from './freePort';
import { root } from './places';
import { runServer, type RunningServer } from './runServer';

const folder = mkdtempSync(join(tmpdir(), 'latch-crash-'));
chmodSync(folder, 0o755);
// Beside the packages it asks for.
const bundle = join(root, 'server', 'dist', `crash-${process.pid}.js`);
let cluster: Cluster;
let server: RunningServer;
let port: number;
let acknowledgedSaves = 0;

const startDatabase = async () => {
  cluster = await startCluster({ folder, wantedPort: 0, durable: true });
};
const startServer = async () => {
  port = await freePort();
  server = await runServer(cluster, port, 'silent', { SERVER_BUNDLE: bundle, REQUESTS_PER_MINUTE: '1000000' });
};

beforeAll(async () => {
  await buildServer(bundle);
  await startDatabase();
  await startServer();
}, 60_000);

afterAll(async () => {
  await server.stop();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
  rmSync(bundle, { force: true });
  rmSync(`${bundle}.map`, { force: true });
}, 60_000);

/** So many kills of each kind; a drill makes more. */
const KILLS = Number(process.env['KILLS'] ?? 25);

interface Sent {
  readonly name: string;
  readonly basedOn: number | null;
  readonly key: string;
}

/** Sends a save under its key. @returns the version it came to, or null where no answer came */
async function save(id: string, { name, basedOn, key }: Sent): Promise<number | null> {
  try {
    const answer = await fetch(`${server.address}/api/boats/${id}`, {
      method: 'PUT',
      headers: {
        'Content-Type': 'application/json',
        'Idempotency-Key': key,
        ...(basedOn === null ? { 'If-None-Match': '*' } : { 'If-Match': `"${basedOn}"` }),
      },
      body: JSON.stringify(boatNamed(id, name)),
    });
    // A database that went away is told as such: the same is sent again.
    if (answer.status === 503) return null;
    expect(answer.ok).toBe(true);
    return ((await answer.json()) as { version: number }).version;
  } catch (error) {
    if (error instanceof TypeError || (error as { cause?: unknown }).cause !== undefined) return null;
    throw error;
  }
}

const boatNamed = (id: string, name: string): Job => newJob({ boatId: id, batteryId: 'house' }, name);

/** A boat that is saved on and on, and what of it was acknowledged. */
interface Burst {
  readonly id: string;
  readonly acknowledged: Map<number, string>;
  /** What was sent and not answered. */
  open: Sent | null;
}

async function saveOn(burst: Burst, until: () => boolean): Promise<void> {
  for (let count = burst.acknowledged.size; !until(); count += 1) {
    const last = Math.max(0, ...burst.acknowledged.keys());
    burst.open = { name: `Save ${count}`, basedOn: last === 0 ? null : last, key: randomUUID() };
    const version = await save(burst.id, burst.open);
    if (version === null) return;
    burst.acknowledged.set(version, burst.open.name);
    burst.open = null;
    acknowledgedSaves += 1;
  }
}

/** What was not answered is sent again under its key: then the boat has every change once, and the last is the last. */
async function expectEachOnce(burst: Burst): Promise<void> {
  if (burst.open) {
    const version = await save(burst.id, burst.open);
    expect(version).not.toBeNull();
    burst.acknowledged.set(version ?? 0, burst.open.name);
  }
  const versions = [...burst.acknowledged.keys()];
  if (versions.length === 0) return;
  expect(versions).toEqual(versions.map((_, index) => index + 1));
  const answer = await fetch(`${server.address}/api/boats/${burst.id}`);
  const kept = (await answer.json()) as { version: number; job: Job };
  expect([kept.version, kept.job.boat.name]).toEqual([versions.length, burst.acknowledged.get(versions.length)]);
}

/** A boat whose records are written on and on, some entries at once. */
interface Written {
  readonly id: string;
  readonly acknowledged: Set<string>;
  open: readonly SignedEntry[] | null;
}

const phone = newDevice();

/** Sends a batch. @returns whether it was answered */
async function sendBatch(entries: readonly SignedEntry[]): Promise<boolean> {
  try {
    const answer = await fetch(`${server.address}/api/records`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ entries }),
    });
    if (answer.status === 503) return false;
    expect(answer.ok).toBe(true);
    const { results } = (await answer.json()) as { results: RecordResult[] };
    expect(results.map(({ kind }) => kind)).toEqual(entries.map(() => 'taken'));
    return true;
  } catch (error) {
    if (error instanceof TypeError || (error as { cause?: unknown }).cause !== undefined) return false;
    throw error;
  }
}

async function recordOn(written: Written, until: () => boolean): Promise<void> {
  while (!until()) {
    written.open = Array.from({ length: 3 }, () => phone.note(written.id));
    if (!(await sendBatch(written.open))) return;
    for (const { entry } of written.open) written.acknowledged.add(entry.id);
    written.open = null;
  }
}

/** Every acknowledged entry is in the chain, and each once; what was not answered is, once it is sent again. */
async function expectChained(written: Written): Promise<void> {
  if (written.open) {
    expect(await sendBatch(written.open)).toBe(true);
    for (const { entry } of written.open) written.acknowledged.add(entry.id);
  }
  const links: ChainedEntry[] = [];
  for (let more = true; more;) {
    const answer = await fetch(`${server.address}/api/records?boat=${written.id}&after=${links.length}`);
    const page = (await answer.json()) as RecordPage;
    links.push(...page.records);
    ({ more } = page);
  }
  expect(links.map(({ entry }) => entry.id).sort()).toEqual([...written.acknowledged].sort());
  let previous = CHAIN_BEGIN;
  for (const [at, { entry, number, receivedAt, chainHash: own }] of links.entries()) {
    expect([number, own]).toEqual([at + 1, chainHash(previous, { entryHash: entryHash(entry), number, receivedAt })]);
    previous = own;
  }
}

async function killedAmidSaves(kill: () => void): Promise<void> {
  let over = false;
  const begun = acknowledgedSaves;
  const bursts = [1, 2, 3].map((): Burst => ({ id: randomUUID(), acknowledged: new Map(), open: null }));
  const written: Written = { id: randomUUID(), acknowledged: new Set(), open: null };
  const all = [...bursts.map((burst) => saveOn(burst, () => over)), recordOn(written, () => over)];
  // Not before saves are under way.
  for (let tries = 0; tries < 200 && acknowledgedSaves < begun + 5; tries += 1) await wait(10);
  await wait(Math.random() * 60);
  kill();
  await wait(20);
  over = true;
  await Promise.all(all);
  expect(bursts.some(({ acknowledged }) => acknowledged.size > 0)).toBe(true);
  if (server.process.exitCode !== null || server.process.signalCode !== null) await startServer();
  else await startDatabase().then(untilReady);
  for (const burst of bursts) await expectEachOnce(burst);
  await expectChained(written);
}

/** The database comes back on another port: the server is started anew on it, as `npm start` does. */
async function untilReady(): Promise<void> {
  await server.stop();
  await startServer();
}

describe('every acknowledged save and entry is there once, and what was not answered is once it is sent again', () => {
  it('after the server was killed amid saves', async () => {
    for (let round = 0; round < KILLS; round += 1) await killedAmidSaves(() => server.process.kill('SIGKILL'));
  }, 1_800_000);

  it('after the database was killed amid saves', async () => {
    for (let round = 0; round < KILLS; round += 1) await killedAmidSaves(() => process.kill(cluster.pid, 'SIGKILL'));
  }, 1_800_000);
});
