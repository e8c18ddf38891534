/** @jest-environment node */
import { newJob } from '@harbor-latch/core/job/index';
import { setImmediate as nextTurn, setTimeout as later } from 'node:timers/promises';
import { v7 } from 'uuid';
import { Channels, lastingTables, Tab, YardServer } from '../testing/world.fixture';
import type { Hand } from './changes';
import { deviceKeyOf } from './deviceKey';
import { keepRecord, signedRow } from './recordRows';
import type { Tables } from './tables';

const boat = '6d1f0f6e-0d5c-4a55-9a0e-0000000000b1';

/** Tables that answer in a later turn, as a browser’s do, and count what is changed in them. */
function countedTables() {
  const under = lastingTables();
  const counted = {
    ...under,
    changes: 0,
    change: async <T>(work: Parameters<Tables['change']>[0]) => {
      counted.changes += 1;
      await nextTurn();
      return (await under.change((change) => work(change))) as T;
    },
  };
  return counted as typeof counted & Tables;
}

/** Waits until something is so. @throws where it never is */
async function until(so: () => boolean): Promise<void> {
  for (let tries = 0; !so(); tries += 1) {
    if (tries > 400) throw new Error('It never came to be.');
    await later(10);
  }
}

const tabs: Tab[] = [];
afterEach(() => tabs.splice(0).forEach((tab) => tab.close()));

/** A device whose server is away: one tab leads, and another shows the same. */
async function twoTabs() {
  const server = new YardServer();
  server.away = true;
  const tables = countedTables();
  const channels = new Channels();
  const [leader, other] = [new Tab(server, tables, channels), new Tab(server, tables, channels)];
  tabs.push(leader, other);
  await leader.open();
  await other.open(false);
  return { server, tables, leader, other };
}

/** The other tab takes over, with the server there again. @returns how often it changed what lies on the device until nothing waited */
async function changesToRest({ server, tables, other }: Awaited<ReturnType<typeof twoTabs>>): Promise<number> {
  server.away = false;
  const before = tables.changes;
  other.sender.start();
  await until(() => other.aboard.waiting.length === 0);
  await later(100);
  return tables.changes - before;
}

describe('what another tab sent before it was ended, and never told of', () => {
  // The browser ends a page between what it writes and what it says of it.
  it('is a boat: she waits no longer, is not sent again, and the tab that takes over comes to rest', async () => {
    const devices = await twoTabs();
    const { tables, leader, other } = devices;
    leader.store.add(newJob({ boatId: boat, batteryId: 'house' }, 'Tern'));
    await until(() => other.aboard.waiting.some(({ sent }) => sent !== null));
    leader.close();
    const [save] = other.aboard.waiting;
    expect(save?.kind).toBe('save');
    await tables.change(async (change) => change.waiting.delete(save?.id ?? ''));

    expect(await changesToRest(devices)).toBeLessThan(5);
    expect(devices.server.puts).toHaveLength(0);
  });

  it('is an entry of the records: likewise', async () => {
    const devices = await twoTabs();
    const { tables, leader, other } = devices;
    const key = await deviceKeyOf(leader.aboard);
    const hand: Hand = { by: 'Wren', now: Date.now(), newId: () => v7() };
    const of = { boat: { id: boat, name: 'Tern' }, circuit: null };
    const row = await signedRow({ ...of, kind: 'note', body: { words: 'Sent', of: undefined } }, key, hand);
    await leader.aboard.change((change) => keepRecord(change, row, 'Tern', hand));
    await until(() => other.aboard.waiting.length > 0);
    leader.close();
    expect(other.aboard.waiting.map(({ id }) => id)).toEqual([row.id]);
    await tables.change(async (change) => {
      await change.records.delete(row.id);
      await change.waiting.delete(row.id);
    });

    expect(await changesToRest(devices)).toBeLessThan(5);
    expect(devices.server.records).toHaveLength(0);
  });
});
