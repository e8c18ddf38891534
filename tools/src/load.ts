import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { readJobText } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import { BoatStore } from '@harbor-latch/server/db/boatStore';
import { connect } from '@harbor-latch/server/db/connect';
import pg from 'pg';
import type { Cluster } from './cluster';
import { examplesFolder } from './places';
import type { RunningServer } from './runServer';

/** How long answers took, ms. */
export interface Took {
  readonly count: number;
  readonly failed: number;
  readonly medianMs: number;
  readonly p99Ms: number;
  readonly longestMs: number;
}

/** The demo's largest boat under an id and a name of her own. */
function boatLike(name: string, id: string = randomUUID()): Job {
  const read = readJobText(readFileSync(join(examplesFolder, 'low-samphire.json'), 'utf8'));
  if (!read.ok) throw new Error(read.problems[0].message);
  return { ...read.job, boat: { ...read.job.boat, id, name } };
}

function tookOf(ms: readonly number[], failed: number): Took {
  const sorted = [...ms].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
  return { count: ms.length, failed, medianMs: at(0.5), p99Ms: at(0.99), longestMs: at(1) };
}

/** Does something at an even rate, whether or not what was begun before has ended. */
async function atRate(perSecond: number, seconds: number, work: (index: number) => Promise<boolean>): Promise<Took> {
  const ms: number[] = [];
  let failed = 0;
  const begun = performance.now();
  const all: Promise<void>[] = [];
  for (let index = 0; index < perSecond * seconds; index += 1) {
    const dueMs = begun + (index * 1000) / perSecond;
    const early = dueMs - performance.now();
    if (early > 1) await wait(early);
    const from = performance.now();
    all.push(
      work(index).then((good) => {
        ms.push(performance.now() - from);
        if (!good) failed += 1;
      }),
    );
  }
  await Promise.all(all);
  return tookOf(ms, failed);
}

const agent = new Agent({ keepAlive: true, maxSockets: 64 });

function put(address: string, job: Job, headers: Readonly<Record<string, string>>): Promise<number> {
  return new Promise((resolve, reject) => {
    const body = JSON.stringify(job);
    const sent = request(
      `${address}/api/boats/${job.boat.id}`,
      {
        method: 'PUT',
        agent,
        headers: { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body), ...headers },
      },
      (answer) => {
        answer.resume();
        answer.on('end', () => resolve(answer.statusCode ?? 0));
      },
    );
    sent.on('error', reject);
    sent.end(body);
  });
}

/** CPU a process has used with all its threads, ms. */
function cpuMs(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
  const TICKS_PER_SECOND = 100;
  return ((Number(fields[11]) + Number(fields[12])) * 1000) / TICKS_PER_SECOND;
}

export interface SaveFigures {
  readonly perSecond: number;
  readonly saves: Took;
  readonly serverCpuMsPerSave: number;
  /** The same statements through a pool like the server's, without a server. */
  readonly sameStatements: Took;
  /** One row into a bare table, durably. */
  readonly bareInsert: Took;
  readonly p99TimesSameStatements: number;
  readonly p99TimesBareInsert: number;
}

/** Saves at a rate over as many boats of one yard, and what the same costs without a server. */
export async function saveFigures(
  server: RunningServer,
  cluster: Cluster,
  {
    perSecond,
    seconds,
    boats,
    restSeconds,
  }: {
    readonly perSecond: number;
    readonly seconds: number;
    readonly boats: number;
    readonly restSeconds: number;
  },
): Promise<SaveFigures> {
  const device = randomUUID();
  const jobs = Array.from({ length: boats }, (_, index) => boatLike(`Loaded ${index}`));
  for (const job of jobs) await put(server.address, job, { 'If-None-Match': '*', 'X-Device': device });
  const versions = jobs.map(() => 1);
  const noted = (job: Job, note: string): Job => ({ ...job, boat: { ...job.boat, note } });
  const save = async (index: number) => {
    const at = index % boats;
    const [job, version] = [jobs[at], versions[at]];
    if (!job || version === undefined) return false;
    versions[at] = version + 1;
    const status = await put(server.address, noted(job, `save ${index} ${randomUUID()}`), {
      'If-Match': `"${version}"`,
      'X-Device': device,
      'Idempotency-Key': randomUUID(),
    });
    return status === 200;
  };
  // The boats that were just added are judged before it begins.
  await wait(restSeconds * 1000);
  await atRate(perSecond, Math.min(3, seconds), save);
  const pid = server.process.pid ?? 0;
  const before = cpuMs(pid);
  const saves = await atRate(perSecond, seconds, save);
  const serverCpuMsPerSave = (cpuMs(pid) - before) / saves.count;

  const connection = connect(cluster.url, () => undefined);
  const store = new BoatStore(connection.database);
  const sameStatements = await atRate(perSecond, seconds, async (index) => {
    const at = index % boats;
    const [job, version] = [jobs[at], versions[at]];
    if (!job || version === undefined) return false;
    versions[at] = version + 1;
    const writer = { by: '', device, key: randomUUID() };
    return (await store.save(job.boat.id, noted(job, `bare ${index}`), version, writer)).kind === 'saved';
  });
  await connection.close();

  const pool = new pg.Pool({ connectionString: cluster.ownerUrl, max: 8, idleTimeoutMillis: 0 });
  await pool.query('create table if not exists bare (id uuid primary key, job jsonb not null)');
  const bareInsert = await atRate(perSecond, seconds, async (index) => {
    const job = jobs[index % boats];
    return (await pool.query('insert into bare values ($1, $2)', [randomUUID(), JSON.stringify(job)])).rowCount === 1;
  });
  await pool.query('drop table bare');
  await pool.end();
  return {
    perSecond,
    saves,
    serverCpuMsPerSave,
    sameStatements,
    bareInsert,
    p99TimesSameStatements: saves.p99Ms / sameStatements.p99Ms,
    p99TimesBareInsert: saves.p99Ms / bareInsert.p99Ms,
  };
}

/** Fills a yard up to so many boats, straight into the database. */
export async function fillYard(cluster: Cluster, boats: number): Promise<void> {
  const connection = connect(cluster.url, () => undefined);
  const store = new BoatStore(connection.database);
  const rows = await connection.database.execute<{ count: string }>('select count(*) from boats where not removed');
  const missing = Array.from({ length: Math.max(0, boats - Number(rows.rows[0]?.count ?? 0)) });
  const add = async () => {
    while (missing.length > 0) {
      missing.pop();
      const job = boatLike(`Filled ${missing.length}`);
      await store.create(job.boat.id, job);
    }
  };
  await Promise.all(Array.from({ length: 8 }, add));
  await connection.close();
}

/** Waits until the server has judged every boat for its lists. */
export async function allJudged(cluster: Cluster): Promise<void> {
  const client = new pg.Client({ connectionString: cluster.url });
  await client.connect();
  for (;;) {
    const { rows } = await client.query<{ left: string }>(
      `select count(*) as left from boats where not removed and (rules is null or rules not like '%:' || version)`,
    );
    if (Number(rows[0]?.left) === 0) break;
    await wait(500);
  }
  await client.end();
}
