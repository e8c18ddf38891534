import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync, chmodSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { startCluster, type Cluster } from './cluster';
import { freePort } from './freePort';

const folder = mkdtempSync(join(tmpdir(), 'latch-cluster-'));
chmodSync(folder, 0o755);
let running: Cluster | undefined;

const start = async (wantedPort: number): Promise<Cluster> => {
  running = await startCluster({ folder, wantedPort, durable: true });
  return running;
};

async function ask(cluster: Cluster, statement: string): Promise<unknown[]> {
  const client = new pg.Client({ connectionString: cluster.ownerUrl });
  await client.connect();
  try {
    return (await client.query(statement)).rows;
  } finally {
    await client.end();
  }
}

afterAll(async () => {
  await running?.stop();
  rmSync(folder, { recursive: true, force: true });
});

describe('the private database', () => {
  jest.setTimeout(60_000);

  it('starts where there is none, on loopback only, and is found again while it runs', async () => {
    const first = await start(0);
    expect(await ask(first, 'show listen_addresses')).toEqual([{ listen_addresses: '127.0.0.1' }]);
    expect(await ask(first, 'show fsync')).toEqual([{ fsync: 'on' }]);
    const second = await start(0);
    expect([second.pid, second.port]).toEqual([first.pid, first.port]);
  });

  it('keeps what was committed when its postmaster is killed, and starts again over the stale pid file', async () => {
    const before = await start(0);
    await ask(before, 'create table kept as select 41 + 1 as answer');
    process.kill(before.pid, 'SIGKILL');
    const after = await start(0);
    expect(after.pid).not.toBe(before.pid);
    expect(await ask(after, 'select answer from kept')).toEqual([{ answer: 42 }]);
  });

  it('gives the server an account that owns nothing', async () => {
    const cluster = await start(0);
    const rows = await ask(
      cluster,
      `select rolsuper, rolcreatedb, rolcreaterole from pg_roles where rolname = 'latch_server'`,
    );
    expect(rows).toEqual([{ rolsuper: false, rolcreatedb: false, rolcreaterole: false }]);
    const client = new pg.Client({ connectionString: cluster.url });
    await client.connect();
    await expect(client.query('create table own (one int)')).rejects.toThrow('permission denied');
    await client.end();
  });

  it('goes on while another process uses it, and stops with the last', async () => {
    const cluster = await start(0);
    const other = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)']);
    const mark = join(cluster.folder, 'users', String(other.pid));
    writeFileSync(mark, '');
    await cluster.stop();
    expect(await ask(cluster, 'select 1 as one')).toEqual([{ one: 1 }]);
    const gone = new Promise((resolve) => other.once('exit', resolve));
    other.kill('SIGKILL');
    await gone;
    await (await start(0)).stop();
    await expect(ask(cluster, 'select 1')).rejects.toThrow();
  });

  it('takes another port when the usual one is taken', async () => {
    await (await start(0)).stop();
    const port = await freePort();
    const squatter = createServer().listen(port, '127.0.0.1');
    const cluster = await start(port);
    expect(cluster.port).not.toBe(port);
    expect(await ask(cluster, 'select 1 as one')).toEqual([{ one: 1 }]);
    squatter.close();
  });

  it('is not misled by a pid file that names some other process', async () => {
    await (await start(0)).stop();
    const pidFile = join(folder, 'data', 'postmaster.pid');
    writeFileSync(pidFile, `${process.pid}\n${join(folder, 'data')}\n1\n5432\n\n127.0.0.1\n`);
    const cluster = await start(0);
    expect(readFileSync(pidFile, 'utf8').split('\n')[0]).toBe(String(cluster.pid));
  });
});
