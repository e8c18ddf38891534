/** @jest-environment node */
import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openDB } from 'idb';
import { JOB_VERSION } from '@harbor-latch/core/job/index';
import { openTables } from './tables';

const kept = JSON.parse(readFileSync(join(__dirname, '../../../core/src/file/kept/v2-pinnock.json'), 'utf8')) as {
  boat: { id: string; name: string };
};
const row = { id: kept.boat.id, job: kept, base: kept, basedOn: 4, typed: { a: 'four' }, rev: 7, trouble: null };
const save = { id: 'change-1', boatId: kept.boat.id, kind: 'save', name: 'Pinnock', sent: { job: kept, basedOn: 4 } };

async function asFirstReleased(name: string): Promise<void> {
  const first = await openDB(name, 1, {
    upgrade: (fresh) => {
      for (const table of ['boats', 'lines', 'waiting', 'photos']) fresh.createObjectStore(table, { keyPath: 'id' });
      fresh.createObjectStore('feed', { keyPath: 'key' });
    },
  });
  await first.put('boats', { ...row, trouble: { kind: 'conflict', current: { job: kept, version: 5 } } });
  await first.put('waiting', save);
  await first.put('feed', { key: 'feed', point: 'f.1', boats: 1, whole: true });
  first.close();
}

describe('what an earlier release kept on the device', () => {
  it('opens with every job in it as one of today, and nothing else changed', async () => {
    await asFirstReleased('earlier');
    const there = await (await openTables('earlier', () => undefined)).read();
    const today = { ...kept, version: JOB_VERSION };
    expect(there.boats).toEqual([
      { ...row, job: today, base: today, trouble: { kind: 'conflict', current: { job: today, version: 5 } } },
    ]);
    expect(there.waiting).toEqual([{ ...save, sent: { job: today, basedOn: 4 } }]);
    // What that release did not keep comes with the whole of the yard: it is read anew.
    expect([there.feed, there.stock]).toEqual([null, []]);
  });

  it('is let go by a tab of the earlier release when a newer one opens it', async () => {
    let taken = false;
    await openTables('both', () => (taken = true));
    const newer = await openDB('both', JOB_VERSION + 5);
    newer.close();
    expect(taken).toBe(true);
  });
});
