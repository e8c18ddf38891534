import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { newJob } from '@harbor-latch/core/job/index';
import { buildServer } from './build';
import { startCluster, type Cluster } from './cluster';
import { freePort } from './freePort';
import { root } from './places';
import { runServer, type RunningServer } from './runServer';

const folder = mkdtempSync(join(tmpdir(), 'latch-live-'));
chmodSync(folder, 0o755);
const bundle = join(root, 'server', 'dist', `live-${process.pid}.js`);
let cluster: Cluster;
let servers: RunningServer[];

beforeAll(async () => {
  await buildServer(bundle);
  cluster = await startCluster({ folder, wantedPort: 0, durable: false });
  const one = async () => runServer(cluster, await freePort(), 'silent', { SERVER_BUNDLE: bundle });
  // Both bring the tables up to date: one does, the other finds it done.
  servers = await Promise.all([one(), one()]);
}, 120_000);

afterAll(async () => {
  await Promise.all(servers.map((server) => server.stop()));
  await cluster.stop();
  for (const file of [folder, bundle, `${bundle}.map`]) rmSync(file, { recursive: true, force: true });
}, 60_000);

/** A page that listens. */
async function listen(address: string): Promise<{ heard: number[]; end(): void }> {
  const ending = new AbortController();
  const answer = await fetch(`${address}/api/events`, { signal: ending.signal });
  expect(answer.headers.get('content-type')).toBe('text/event-stream');
  const heard: number[] = [];
  const reading = async () => {
    for await (const piece of answer.body ?? [])
      if (Buffer.from(piece).includes('event: change')) heard.push(Date.now());
  };
  reading().catch(() => undefined);
  return { heard, end: () => ending.abort() };
}

it('what is saved through one process is told to a page that listens to another', async () => {
  const [one, other] = servers;
  if (!one || !other) throw new Error('no server');
  const page = await listen(other.address);
  for (let tries = 0; page.heard.length === 0 && tries < 100; tries += 1) await wait(20);
  await wait(1500);
  const before = page.heard.length;
  const id = randomUUID();
  const answer = await fetch(`${one.address}/api/boats/${id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-None-Match': '*' },
    body: JSON.stringify(newJob({ boatId: id, batteryId: 'house' }, 'Told')),
  });
  expect(answer.status).toBe(201);
  for (let tries = 0; page.heard.length === before && tries < 250; tries += 1) await wait(20);
  expect(page.heard.length).toBeGreaterThan(before);
  // What was told can be asked for there.
  const changes = (await (await fetch(`${other.address}/api/changes`)).json()) as {
    changes: { line?: { id: string } }[];
  };
  expect(changes.changes.map(({ line }) => line?.id)).toContain(id);
  page.end();
}, 60_000);

it('a page that stays is told again after the database was away', async () => {
  const [, other] = servers;
  if (!other) throw new Error('no server');
  const page = await listen(other.address);
  await wait(500);
  const before = page.heard.length;
  process.kill(cluster.pid, 'SIGKILL');
  await wait(300);
  // It comes back under the same port.
  cluster = await startCluster({ folder, wantedPort: cluster.port, durable: false });
  for (let tries = 0; page.heard.length === before && tries < 600; tries += 1) await wait(50);
  expect(page.heard.length).toBeGreaterThan(before);
  page.end();
}, 90_000);

it('health says that a database that hangs is away, and does not hang with it', async () => {
  const [one] = servers;
  if (!one) throw new Error('no server');
  process.kill(cluster.pid, 'SIGSTOP');
  try {
    const answer = await fetch(`${one.address}/api/health`, { signal: AbortSignal.timeout(20_000) });
    expect([answer.status, await answer.json()]).toEqual([503, { status: 'database-away' }]);
  } finally {
    process.kill(cluster.pid, 'SIGCONT');
  }
}, 30_000);
