/** @jest-environment node */
import { ed25519 } from '@noble/curves/ed25519.js';
import { hexToBytes } from '@harbor-latch/core/records/canonical';
import { entryHash } from '@harbor-latch/core/records/entry';
import { v7 } from 'uuid';
import { Channels, lastingTables, Tab, YardServer } from '../testing/world.fixture';
import type { Hand } from './changes';
import { deviceKeyOf } from './deviceKey';
import { keepRecord, signedRow } from './recordRows';

const later = () => new Promise((done) => setTimeout(done, 30));
const boat = { id: '6d1f0f6e-0d5c-4a55-9a0e-0000000000a1', name: 'Tern' };
const hand = (by: string): Hand => ({ by, now: Date.now(), newId: () => v7() });
async function note(tab: Tab, words: string, by = 'Wren') {
  const key = await deviceKeyOf(tab.aboard);
  const row = await signedRow({ boat, circuit: null, kind: 'note', body: { words, of: undefined } }, key, hand(by));
  await tab.aboard.change((change) => keepRecord(change, row, boat.name, hand(by)));
  return row;
}
const tabs: Tab[] = [];
const open = async (server: YardServer, tables = lastingTables()) => {
  const tab = new Tab(server, tables, new Channels());
  tabs.push(tab);
  return tab.open();
};
afterEach(() => tabs.splice(0).forEach((tab) => tab.close()));

describe('records on a device', () => {
  it('are signed by its own key, which stays the same, over what is kept and sent', async () => {
    const tab = await open(new YardServer());
    const [one, two] = [await note(tab, 'One'), await note(tab, 'Two')];
    expect(one.signed.entry.device).toBe(two.signed.entry.device);
    expect(one.hash).toBe(entryHash(one.signed.entry));
    expect(Object.keys(one.signed.entry.body)).toEqual(['words']);
    expect(
      ed25519.verify(hexToBytes(one.signed.signature), hexToBytes(one.hash), hexToBytes(one.signed.entry.device)),
    ).toBe(true);
  });

  it('are kept without a signal, outlast the page, and go out in their order, some at once, though answers are lost', async () => {
    const server = new YardServer();
    const tables = lastingTables();
    const tab = await open(server, tables);
    server.away = true;
    for (let index = 0; index < 60; index += 1) await note(tab, `Note ${index}`);
    tab.close();
    const again = await open(server, tables);
    expect(again.aboard.waiting).toHaveLength(60);
    server.away = false;
    let lost = 1;
    server.loses = () => (lost-- > 0 ? 'answer' : 'nothing');
    for (let round = 0; round < 4; round += 1) {
      again.sender.now();
      await later();
    }
    expect(again.aboard.waiting).toEqual([]);
    expect(server.records.map(({ record }) => (record.entry.body as { words: string }).words)).toEqual(
      Array.from({ length: 60 }, (_, index) => `Note ${index}`),
    );
    await again.feed.ask();
    const rows = await again.aboard.records(boat.id);
    expect(rows.map(({ link }) => link?.number)).toEqual(Array.from({ length: 60 }, (_, index) => index + 1));
  });

  it('of two phones at once are all there on both, with one chain', async () => {
    const server = new YardServer();
    const [one, two] = [await open(server), await open(server)];
    server.away = true;
    for (const tab of [one, two, one]) await note(tab, 'x');
    server.away = false;
    for (let round = 0; round < 3; round += 1) {
      for (const tab of [one, two]) {
        tab.sender.now();
        await tab.feed.ask();
      }
      await later();
    }
    for (const tab of [one, two]) {
      const rows = await tab.aboard.records(boat.id);
      expect(rows.map(({ link }) => link?.number).sort()).toEqual([1, 2, 3]);
    }
  });

  it('that are refused stay with the reason, and hold up no other', async () => {
    const server = new YardServer();
    const tab = await open(server);
    server.refusesRecord = ({ body }) => (body['words'] === 'Bad' ? 'No.' : null);
    await note(tab, 'Bad');
    await note(tab, 'Good');
    await later();
    expect(tab.aboard.waiting).toMatchObject([{ kind: 'record', refused: 'The server did not take this: No.' }]);
    expect(server.records).toHaveLength(1);
    expect(await tab.aboard.records(boat.id)).toHaveLength(2);
  });

  it('that are refused all at once are told at the first of them', async () => {
    const server = new YardServer();
    const tab = await open(server);
    await later();
    server.refuses = 'No.';
    await note(tab, 'One');
    await later();
    // The whole batch was not looked at: the first is told, the others go on.
    expect(tab.aboard.waiting).toMatchObject([{ refused: 'The server did not take this: No.' }]);
  });

  it('of a yard that was restored are those it has, and those that wait here', async () => {
    const server = new YardServer();
    const tab = await open(server);
    await note(tab, 'One');
    await later();
    server.away = true;
    const mine = await note(tab, 'Two');
    server.records.splice(0);
    server.feed = 'another';
    server.away = false;
    server.refusesRecord = () => 'later';
    await tab.feed.ask();
    expect((await tab.aboard.records(boat.id)).map(({ id }) => id)).toEqual([mine.id]);
  });
});
