import { createHash, randomUUID } from 'node:crypto';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { applyMigrations, connect, type Connection } from '@harbor-latch/server/db/connect';
import { newDevice } from '@harbor-latch/server/routes/signing.fixture';
import { storesOn, type Stores } from '@harbor-latch/server/stores';
import { newJob } from '@harbor-latch/core/job/index';
import { startCluster, type Cluster } from './cluster';
import { migrationsFolder, root } from './places';
import { backUp, restoreFrom } from './yardFile';

const folder = mkdtempSync(join(tmpdir(), 'latch-backup-'));
chmodSync(folder, 0o755);
let cluster: Cluster;
let connection: Connection;
let stores: Stores;

const named = (id: string, name: string) => newJob({ boatId: id, batteryId: 'house' }, name);

beforeAll(async () => {
  cluster = await startCluster({ folder, wantedPort: 0, durable: false });
  const owner = connect(cluster.ownerUrl, () => undefined, { patient: true });
  await applyMigrations(owner, migrationsFolder, 'latch_server');
  await owner.close();
  connection = connect(cluster.url, () => undefined);
  stores = storesOn(connection.database);
}, 60_000);

afterAll(async () => {
  await connection.close();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
});

describe('a backup', () => {
  it('brings the yard back as it was, with versions and photographs, and restoring again changes nothing', async () => {
    const id = randomUUID();
    const photo = Buffer.from([0, 92, 120, 255, 10]);
    await stores.boats.create(id, named(id, 'Kept'), {
      by: 'Wren, "Ålder"\n',
      device: randomUUID(),
      key: randomUUID(),
    });
    await stores.boats.save(id, named(id, 'Kept, newer'), 1);
    await stores.photos.add('a'.repeat(64), photo, 'Wren');
    const phone = newDevice();
    await stores.records.add(id, [phone.note(id), phone.note(id)]);
    const records = await stores.records.after(id, 0, 10);
    const before = { boat: await stores.boats.find(id), versions: await stores.versions.sittings(id, 99, 99) };
    const file = join(folder, 'yard.backup');
    const boats = await backUp(cluster.ownerUrl, file);
    const point = (await stores.changes.since(null, { jobs: false, stock: true, records: true })).next;
    await stores.boats.save(id, named(id, 'Spoilt'), 2);
    await stores.records.add(id, [phone.note(id)]);
    const added = randomUUID();
    await stores.boats.create(added, named(added, 'Added later'));
    for (const _again of [1, 2]) {
      expect(await restoreFrom(cluster.ownerUrl, file)).toBe(boats);
      expect({ boat: await stores.boats.find(id), versions: await stores.versions.sittings(id, 99, 99) }).toEqual(
        before,
      );
      expect(await stores.photos.find('a'.repeat(64))).toEqual(photo);
      // The chain is that of the file, link by link, and is guarded as before.
      expect(await stores.records.after(id, 0, 10)).toEqual(records);
      await expect(connection.database.execute('delete from records')).rejects.toThrow();
      expect(await stores.boats.find(added)).toBeNull();
    }
    // A device that read further than the backup is told all anew.
    const [feed = '', changed = '', last = ''] = point.split('.');
    const since = await stores.changes.since({ feed, changed, id: last }, { jobs: false, stock: true, records: true });
    expect(since).toMatchObject({ whole: true, boats });
  });

  it('is not written over another file', async () => {
    const file = join(folder, 'other');
    writeFileSync(file, 'mine');
    await expect(backUp(cluster.ownerUrl, file)).rejects.toThrow('there already');
    expect(readFileSync(file, 'utf8')).toBe('mine');
  });

  it.each([
    ['no backup', () => readFileSync(join(root, 'package.json'))],
    ['empty', () => Buffer.alloc(0)],
    ['cut short', (whole: Buffer) => whole.subarray(0, whole.length - 40)],
    [
      'without its last line',
      (whole: Buffer) => gzipSync(gunzipSync(whole).toString().split('\n').slice(0, -2).join('\n')),
    ],
    ['altered', (whole: Buffer) => gzipSync(gunzipSync(whole).toString().replace('Here still', 'Here never'))],
    [
      'of a newer release',
      (whole: Buffer) => gzipSync(gunzipSync(whole).toString().replace('"version":1', '"version":2')),
    ],
    ['a dump that is none', () => Buffer.from('PGDMP and nothing more')],
  ])('that is %s changes nothing', async (_what, spoil) => {
    const id = randomUUID();
    await stores.boats.create(id, named(id, 'Here still'));
    const file = join(folder, `${randomUUID()}.backup`);
    await backUp(cluster.ownerUrl, file);
    writeFileSync(file, spoil(readFileSync(file)));
    await stores.boats.save(id, named(id, 'Untouched'), 1);
    await expect(restoreFrom(cluster.ownerUrl, file)).rejects.toThrow('nothing was changed');
    expect((await stores.boats.find(id))?.job.boat.name).toBe('Untouched');
  });

  it('with rows of a table that is no yard’s is refused, and leaves nothing behind', async () => {
    const file = join(folder, 'foreign.backup');
    const lines = [
      JSON.stringify({ format: 'harbor-latch/yard', version: 1, boats: 0 }),
      JSON.stringify(['boats; drop table boats; --', { id: randomUUID() }]),
    ];
    const sha256 = createHash('sha256')
      .update(`${lines.join('\n')}\n`)
      .digest('hex');
    writeFileSync(file, gzipSync(`${[...lines, JSON.stringify({ sha256 })].join('\n')}\n`));
    const before = (await stores.changes.since(null, { jobs: false, stock: true, records: true })).boats;
    await expect(restoreFrom(cluster.ownerUrl, file)).rejects.toThrow('none of a yard');
    expect((await stores.changes.since(null, { jobs: false, stock: true, records: true })).boats).toBe(before);
  });

  it('of the first format opens, with all versions', async () => {
    const old = join(root, 'tools/src/kept/first-format.backup');
    expect(existsSync(old)).toBe(true);
    expect(await restoreFrom(cluster.ownerUrl, old)).toBe(3);
    const { lines } = await stores.boats.lines(null, 10);
    expect(lines.map(({ name }) => name).sort()).toEqual(['Alder Wren', 'Low Samphire', 'Pinnock']);
    for (const { id, note } of lines) {
      expect(note).toBe('tab\there\nand "line" \\ back');
      expect(await stores.versions.sittings(id, 99, 99)).toMatchObject([
        { version: 2, savedBy: '', changes: [{ path: ['boat', 'note'] }] },
        { version: 1, first: true },
      ]);
    }
  });
});
