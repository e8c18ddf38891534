import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { Channels, lastingTables, Tab } from '../../app/src/testing/world.fixture';
import {
  changesSince,
  deleteBoat,
  putAside,
  putBoat,
  putPhoto,
  putRecords,
  putStock,
  someBoats,
} from '../../app/src/data/api';
import { newCircuit, newJob, type Job } from '@harbor-latch/core/job/index';
import { buildServer } from './build';
import { startCluster, type Cluster } from './cluster';
import { freePort } from './freePort';
import { root } from './places';
import { runServer, type RunningServer } from './runServer';

/** So many changes on three devices; a drill makes more. */
const CHANGES = Number(process.env['CHANGES'] ?? 150);

const folder = mkdtempSync(join(tmpdir(), 'latch-offline-'));
chmodSync(folder, 0o755);
const bundle = join(root, 'server', 'dist', `offline-${process.pid}.js`);
const wholeFetch = globalThis.fetch;
let cluster: Cluster;
let server: RunningServer;
/** What becomes of a request on its way. */
let way: () => 'through' | 'request lost' | 'answer lost' = () => 'through';

beforeAll(async () => {
  await buildServer(bundle);
  cluster = await startCluster({ folder, wantedPort: 0, durable: false });
  server = await runServer(cluster, await freePort(), 'silent', {
    SERVER_BUNDLE: bundle,
    REQUESTS_PER_MINUTE: '1000000',
  });
  globalThis.fetch = async (path, init) => {
    const fate = way();
    if (fate === 'request lost') throw new TypeError('no signal');
    const answer = await wholeFetch(`${server.address}${String(path)}`, init);
    if (fate === 'through') return answer;
    await answer.arrayBuffer();
    throw new TypeError('no signal');
  };
}, 120_000);

afterAll(async () => {
  for (const device of devices) device.tab?.close();
  await wait(100);
  globalThis.fetch = wholeFetch;
  await server.stop();
  await cluster.stop();
  for (const file of [folder, bundle, `${bundle}.map`]) rmSync(file, { recursive: true, force: true });
}, 60_000);

/** Waits until something is so. @throws where it never is */
async function until(so: () => boolean): Promise<void> {
  for (let tries = 0; !so(); tries += 1) {
    if (tries > 200) throw new Error('It never came to be.');
    await wait(50);
  }
}

const devices: Device[] = [];

/** A device that may be closed and opened again: what lies on it stays. */
class Device {
  private readonly tables = lastingTables();
  private readonly channels = new Channels();
  tab: Tab | undefined;

  constructor(readonly person: string) {}

  async open(): Promise<Tab> {
    this.tab?.close();
    const source = { changes: changesSince, boats: someBoats, listen: () => () => undefined };
    const receiver = {
      put: putBoat,
      remove: deleteBoat,
      aside: putAside,
      photo: putPhoto,
      stock: putStock,
      records: putRecords,
    };
    this.tab = new Tab({ source, receiver }, this.tables, this.channels, this.person);
    return this.tab.open();
  }
}

const job = (id: string): Job => ({
  ...newJob({ boatId: id, batteryId: 'house' }, 'Shared'),
  circuits: ['a', 'b', 'c'].map((one) => newCircuit(one, one, 'three-way-float', 'house')),
});

it('three devices that lose requests and answers at random, and are closed and opened, end alike with nothing lost or twice', async () => {
  const ids = [randomUUID(), randomUUID()];
  const people = ['Wren', 'Samphire', 'Dunlin'];
  for (const person of people) devices.push(new Device(person));
  const [first, ...others] = devices;
  if (!first) throw new Error('no device');
  const tab = await first.open();
  for (const id of ids) tab.store.add(job(id));
  await until(() => ids.every((id) => tab.draft(id)?.save.kind === 'saved'));
  for (const device of others) await device.open();
  await until(() => devices.every((device) => ids.every((id) => device.tab?.draft(id) !== undefined)));

  way = () => {
    const dice = Math.random();
    return dice < 0.25 ? 'request lost' : dice < 0.5 ? 'answer lost' : 'through';
  };
  // Each device writes fields of its own: a count, that must never fall or be lost.
  const counts = new Map<string, number>();
  const added = new Set<string>();
  for (let change = 0; change < CHANGES; change += 1) {
    const at = change % devices.length;
    const device = devices[at];
    if (!device?.tab) throw new Error('no device');
    const id = ids[Math.floor(Math.random() * ids.length)] ?? '';
    const { store } = device.tab;
    const now = store.all().get(id)?.job;
    if (!now) throw new Error('The boat is gone.');
    const circuits = now.circuits.map((one, index) => (index === at ? { ...one, note: `${change}` } : one));
    store.change(id, { ...now, circuits });
    counts.set(`${id} ${at}`, change);
    if (Math.random() < 0.05) {
      const own = job(randomUUID());
      store.add(own);
      added.add(own.boat.id);
    }
    await wait(Math.random() * 40);
    if (Math.random() < 0.08) await device.open();
    if (Math.random() < 0.1) store.saveAll();
  }

  way = () => 'through';
  for (let round = 0; round < 200; round += 1) {
    for (const device of devices) {
      device.tab?.store.saveAll();
      await device.tab?.feed.ask();
    }
    await wait(50);
    if (round > 3 && devices.every(({ tab: one }) => one?.aboard.waiting.length === 0)) break;
  }
  for (const device of devices) await device.tab?.feed.ask();
  await wait(100);

  const stored = new Map((await someBoats(ids)).map((boat) => [boat.id, boat]));
  for (const [key, count] of counts) {
    const [id = '', at] = key.split(' ');
    expect([key, stored.get(id)?.job.circuits[Number(at)]?.note]).toEqual([key, `${count}`]);
  }
  expect((await someBoats([...added])).length).toBe(added.size);
  for (const { tab: one } of devices) {
    for (const id of ids) {
      const draft = one?.store.all().get(id);
      expect(draft?.save).toEqual({ kind: 'saved' });
      expect(draft?.basedOn).toBe(stored.get(id)?.version);
      expect(draft?.job).toEqual(stored.get(id)?.job);
    }
    expect([...(one?.store.all().keys() ?? [])].sort()).toEqual([...ids, ...added].sort());
    one?.close();
  }
}, 600_000);

it('the server judges every boat for the yard’s list, in a thread apart, once she rests', async () => {
  const unjudged = async () => {
    const { changes } = await changesSince(null, false);
    expect(changes.length).toBeGreaterThan(2);
    return changes.filter((one) => one.kind === 'boat' && one.line.summary?.version !== one.line.version).length;
  };
  for (let tries = 0; (await unjudged()) > 0; tries += 1) {
    expect(tries).toBeLessThan(100);
    await wait(300);
  }
}, 60_000);
