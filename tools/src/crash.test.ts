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

async function save(job: Job, basedOn: number | null): Promise<number | null> {
  try {
    const answer = await fetch(`${server.address}/api/boats/${job.boat.id}`, {
      method: 'PUT',
      headers: {
        'Content-Type': 'application/json',
        ...(basedOn === null ? { 'If-None-Match': '*' } : { 'If-Match': `"${basedOn}"` }),
      },
      body: JSON.stringify(job),
    });
    return answer.ok ? ((await answer.json()) as { version: number }).version : null;
  } catch {
    return null;
  }
}

async function read(id: string): Promise<{ version: number; job: Job } | null> {
  const answer = await fetch(`${server.address}/api/boats/${id}`);
  return answer.ok ? ((await answer.json()) as { version: number; job: Job }) : null;
}

const boatNamed = (id: string, name: string): Job => newJob({ boatId: id, batteryId: 'house' }, name);

/** Saves on and on until nothing answers. @returns the last save that was acknowledged. */
async function burst(id: string, until: () => boolean): Promise<{ version: number; name: string } | null> {
  let acknowledged: { version: number; name: string } | null = null;
  for (let count = 0; !until(); count += 1) {
    const name = `Save ${count}`;
    const version = await save(boatNamed(id, name), acknowledged?.version ?? null);
    if (version === null) break;
    acknowledged = { version, name };
    acknowledgedSaves += 1;
  }
  return acknowledged;
}

/** The boat holds the last acknowledged save, or one sent after it whose answer was lost. */
async function expectKept(id: string, acknowledged: { version: number; name: string } | null): Promise<void> {
  const kept = await read(id);
  if (!acknowledged) return;
  expect(kept).not.toBeNull();
  expect(kept?.version).toBeGreaterThanOrEqual(acknowledged.version);
  expect(kept?.version).toBeLessThanOrEqual(acknowledged.version + 1);
  if (kept?.version === acknowledged.version) expect(kept.job.boat.name).toBe(acknowledged.name);
}

async function killedAmidSaves(kill: () => void): Promise<void> {
  let over = false;
  const begun = acknowledgedSaves;
  const ids = [randomUUID(), randomUUID(), randomUUID()];
  const bursts = ids.map((id) => burst(id, () => over));
  // Not before saves are under way.
  for (let tries = 0; tries < 200 && acknowledgedSaves < begun + 5; tries += 1) await wait(10);
  await wait(Math.random() * 60);
  kill();
  await wait(20);
  over = true;
  const acknowledged = await Promise.all(bursts);
  expect(acknowledged.some((one) => one !== null)).toBe(true);
  if (server.process.exitCode !== null || server.process.signalCode !== null) await startServer();
  else await startDatabase().then(untilReady);
  for (const [index, id] of ids.entries()) await expectKept(id, acknowledged[index] ?? null);
}

/** The database comes back on another port: the server is started anew on it, as `npm start` does. */
async function untilReady(): Promise<void> {
  await server.stop();
  await startServer();
}

describe('every acknowledged save is still there', () => {
  it('after the server was killed amid saves, 25 times', async () => {
    for (let round = 0; round < 25; round += 1) await killedAmidSaves(() => server.process.kill('SIGKILL'));
  }, 240_000);

  it('after the database was killed amid saves, 25 times', async () => {
    for (let round = 0; round < 25; round += 1) await killedAmidSaves(() => process.kill(cluster.pid, 'SIGKILL'));
  }, 240_000);
});
