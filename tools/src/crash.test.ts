import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
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

async function killedAmidSaves(kill: () => void): Promise<void> {
  let over = false;
  const begun = acknowledgedSaves;
  const bursts = [1, 2, 3].map((): Burst => ({ id: randomUUID(), acknowledged: new Map(), open: null }));
  const all = bursts.map((burst) => saveOn(burst, () => over));
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
}

/** The database comes back on another port: the server is started anew on it, as `npm start` does. */
async function untilReady(): Promise<void> {
  await server.stop();
  await startServer();
}

describe('every acknowledged save is there once, and what was not answered is once it is sent again', () => {
  it('after the server was killed amid saves', async () => {
    for (let round = 0; round < KILLS; round += 1) await killedAmidSaves(() => server.process.kill('SIGKILL'));
  }, 1_800_000);

  it('after the database was killed amid saves', async () => {
    for (let round = 0; round < KILLS; round += 1) await killedAmidSaves(() => process.kill(cluster.pid, 'SIGKILL'));
  }, 1_800_000);
});
