import type { Job } from '@harbor-latch/core/job/index';
import { noteUse } from '../device/changes';
import {
  aboard,
  battery,
  circuitNamed,
  id,
  job,
  later,
  named,
  noted,
  tabBeside,
  tabOf,
} from '../testing/oneBoat.fixture';
import { Channels, lastingTables, Tab, YardServer } from '../testing/world.fixture';

describe('a change made from what was shown a moment ago', () => {
  it('takes the place of the job that was shown, as it is', async () => {
    const { tab } = await aboard();
    tab.store.replaceSeen(id, tab.draft(id)?.job ?? job, named('Tern 2'));
    expect(tab.draft(id)?.job).toEqual(named('Tern 2'));
    expect(tab.draft(id)?.reloads).toBe(1);
  });

  it('leaves what was changed since then', async () => {
    const { tab } = await aboard();
    tab.store.replaceSeen(id, job, named('Tern 2'));
    tab.store.replaceSeen(id, job, circuitNamed(job, 'Aft'));
    const now = tab.draft(id)?.job;
    expect([now?.boat.name, now?.circuits[0]?.name]).toEqual(['Tern 2', 'Aft']);
    tab.store.undo(id);
    expect(tab.draft(id)?.job).toEqual(named('Tern 2'));
  });

  it('counts as it is where together they would make no job', async () => {
    const { tab } = await aboard();
    const withDeck: Job = { ...job, batteries: [...job.batteries, { ...battery, id: 'deck', name: 'Deck bank' }] };
    tab.store.change(id, withDeck);
    const toDeck: Job = { ...withDeck, circuits: withDeck.circuits.map((one) => ({ ...one, batteryId: 'deck' })) };
    tab.store.change(id, job);
    tab.store.replaceSeen(id, withDeck, toDeck);
    expect(tab.draft(id)?.job).toEqual(toDeck);
  });
});

describe('what was typed', () => {
  it('is saved soon after, once for a burst of changes', async () => {
    const { server, tab } = await aboard();
    for (const name of ['T', 'Te', 'Tern 2']) {
      tab.store.change(id, named(name));
      await later(100);
    }
    expect(server.puts).toHaveLength(0);
    await later(1000);
    expect(server.puts.map(({ job: sent }) => sent.boat.name)).toEqual(['Tern 2']);
    expect(tab.draft(id)?.save.kind).toBe('saved');
    expect(tab.aboard.waiting).toEqual([]);
  });

  it('is on the device before it is sent, text that is no figure too, and is there again after a reload', async () => {
    const server = new YardServer();
    server.write(job);
    const tables = lastingTables();
    const tab = await tabOf(server, tables);
    await later(10);
    tab.store.change(id, named('Unsaved'));
    tab.store.type(id, 'circuits/0/pump/currentA', 'four');
    await later(10);
    tab.close();
    const again = await tabOf(server, tables);
    expect(again.draft(id)?.job.boat.name).toBe('Unsaved');
    expect(again.draft(id)?.typed).toEqual({ 'circuits/0/pump/currentA': 'four' });
    await later(1000);
    expect(server.find(id)?.job.boat.name).toBe('Unsaved');
  });

  it('waits while the server is away, asks ever more seldom, and goes when it is back', async () => {
    const { server, tab } = await aboard();
    server.away = true;
    tab.store.change(id, named('Away'));
    await later(1500);
    expect(tab.draft(id)?.save.kind).toBe('away');
    await later(600_000);
    expect(server.puts.length).toBeLessThan(30);
    server.away = false;
    tab.store.saveAll();
    await later(10);
    expect(tab.draft(id)?.save.kind).toBe('saved');
    expect(server.find(id)?.job.boat.name).toBe('Away');
  });

  it('while a save is under way goes out once that is answered, and is no conflict', async () => {
    const { server, tab } = await aboard();
    let answer: () => void = () => undefined;
    server.answering = new Promise((resolve) => (answer = resolve));
    tab.store.change(id, named('First'));
    await later(1000);
    tab.store.change(id, named('Second'));
    await later(2000);
    answer();
    await later(2000);
    expect(server.puts.map(({ job: sent, basedOn }) => [sent.boat.name, basedOn])).toEqual([
      ['First', 1],
      ['Second', 2],
    ]);
    expect(tab.draft(id)?.save.kind).toBe('saved');
  });

  it('whose answer was lost is known again, also over a reload, and what followed is no conflict', async () => {
    const server = new YardServer();
    server.write(job);
    const tables = lastingTables();
    const tab = await tabOf(server, tables);
    await later(10);
    server.loses = () => 'answer';
    tab.store.change(id, named('Heard'));
    await later(1000);
    expect(server.find(id)?.version).toBe(2);
    tab.store.change(id, noted('and on', named('Heard')));
    await later(10);
    tab.close();
    server.loses = () => 'nothing';
    const again = await tabOf(server, tables);
    await later(5000);
    expect(again.draft(id)?.save.kind).toBe('saved');
    expect(server.find(id)?.job).toEqual(noted('and on', named('Heard')));
    expect(server.find(id)?.version).toBe(3);
  });

  it('back to what the server has is nothing to save', async () => {
    const { server, tab } = await aboard();
    tab.store.change(id, named('There'));
    await later(10);
    tab.store.undo(id);
    await later(2000);
    expect(server.puts).toEqual([]);
    expect(tab.draft(id)?.save.kind).toBe('saved');
  });

  it('that the server refuses stays, with its reason, and goes once it is put right', async () => {
    const { server, tab } = await aboard();
    server.refuses = 'Not like that.';
    tab.store.change(id, named('Odd'));
    await later(1000);
    expect(tab.draft(id)?.save).toEqual({ kind: 'refused', message: 'The server did not take this: Not like that.' });
    await later(300_000);
    expect(server.puts).toEqual([]);
    server.refuses = null;
    tab.store.change(id, named('Right'));
    await later(1000);
    expect(server.find(id)?.job.boat.name).toBe('Right');
    expect(tab.draft(id)?.save.kind).toBe('saved');
  });
});

describe('a device without room', () => {
  it('says so, works on in memory, and still saves', async () => {
    const server = new YardServer();
    server.write(job);
    const tables = lastingTables();
    const tab = await tabOf(server, tables);
    await later(10);
    tables.full = true;
    server.away = true;
    tab.store.change(id, named('No room'));
    await later(1000);
    expect(tab.draft(id)).toMatchObject({ unkept: true, job: { boat: { name: 'No room' } } });
    server.away = false;
    tab.store.saveAll();
    await later(10);
    expect(server.find(id)?.job.boat.name).toBe('No room');
    expect(tab.draft(id)?.unkept).toBeUndefined();
  });

  it('loses neither of two changes that find it out at the same time', async () => {
    const server = new YardServer();
    server.write(job);
    const tables = lastingTables();
    const tab = await tabOf(server, tables);
    await later(10);
    tables.full = true;
    server.away = true;
    tab.store.change(id, named('No room'));
    const beside = tab.aboard.change((change) => noteUse(change, id, 77));
    await later(1000);
    await expect(beside).resolves.toBeUndefined();
    expect(tab.draft(id)).toMatchObject({ unkept: true, job: { boat: { name: 'No room' } } });
  });
});

describe('two tabs of one device', () => {
  async function twoTabs() {
    const server = new YardServer();
    server.write(job);
    const [tables, channels] = [lastingTables(), new Channels()];
    const first = await tabOf(server, tables, channels);
    await later(10);
    const second = await tabBeside(server, tables, channels);
    return { server, tables, channels, first, second };
  }

  it('both know whether the server is away, also one that is opened later', async () => {
    const { server, tables, channels, first, second } = await twoTabs();
    server.away = true;
    second.store.change(id, named('Second'));
    await later(2000);
    const third = await tabBeside(server, tables, channels);
    await later(100);
    for (const tab of [first, second, third]) {
      expect(tab.draft(id)?.save.kind).toBe('away');
      expect(tab.feed.state.kind).toBe(tab === first ? 'current' : 'away');
    }
    server.away = false;
    await later(65_000);
    for (const tab of [first, second, third]) {
      expect(tab.draft(id)?.save.kind).toBe('saved');
      expect(tab.feed.state.kind).toBe('current');
    }
  });

  it('with a newer version about keep what waits, and say so until that is loaded', async () => {
    const { server, first } = await twoTabs();
    server.newer = true;
    first.store.change(id, named('First'));
    server.write(noted('of tomorrow'));
    await later(3000);
    expect(first.feed.state.kind).toBe('newer');
    expect(first.draft(id)?.job.boat.name).toBe('First');
    expect(first.aboard.waiting).toHaveLength(1);
    server.newer = false;
    await later(130_000);
    expect(first.draft(id)?.job).toEqual(noted('of tomorrow', named('First')));
    expect(server.find(id)?.job).toEqual(noted('of tomorrow', named('First')));
  });

  it('see each other’s changes, and neither is lost, with the server away', async () => {
    const { server, first, second } = await twoTabs();
    server.away = true;
    first.store.change(id, named('First'));
    second.store.change(id, noted('Second'));
    await later(100);
    for (const tab of [first, second]) expect(tab.draft(id)?.job).toEqual(noted('Second', named('First')));
    second.store.change(id, circuitNamed(second.draft(id)?.job ?? job, 'Aft'));
    await later(100);
    expect(first.draft(id)?.job.circuits[0]?.name).toBe('Aft');
    server.away = false;
    first.store.saveAll();
    await later(100);
    expect(server.puts.filter(({ basedOn }) => basedOn === 1).length).toBeGreaterThan(0);
    expect(server.find(id)?.job).toEqual(circuitNamed(noted('Second', named('First')), 'Aft'));
  });

  it('send each change once', async () => {
    const { server, first, second } = await twoTabs();
    for (let count = 0; count < 20; count += 1) {
      (count % 2 ? first : second).store.change(id, noted(`${count}`, (count % 2 ? first : second).draft(id)?.job));
      await later(1500);
    }
    expect(server.find(id)?.version).toBe(21);
    expect(server.find(id)?.job.boat.note).toBe('19');
    expect([first, second].map((tab) => tab.draft(id)?.save.kind)).toEqual(['saved', 'saved']);
  });
});

describe('a large yard', () => {
  it('shows the beginning of its list, in its order, before the rest is read', async () => {
    const server = new YardServer();
    server.pageSize = 600;
    const boats = Array.from({ length: 501 }, (_, at) => ({
      ...job,
      boat: { ...job.boat, id: `6d1f0f6e-0d5c-4a55-9a0e-${String(at).padStart(12, '0')}`, name: `Tern ${1000 - at}` },
    }));
    for (const one of boats) server.write(one);
    const tables = lastingTables();
    const first = await tabOf(server, tables);
    await later(100);
    expect(first.aboard.lines.size).toBe(501);
    first.close();

    let read: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (read = resolve));
    const slow = { ...tables, read: async () => held.then(() => tables.read()) };
    server.away = true;
    const opening = tabOf(server, slow);
    await later(10);
    const names = boats.map(({ boat }) => boat.name).sort((a, b) => new Intl.Collator().compare(a, b));
    const again = new Tab(server, slow);
    void again.aboard.read();
    await later(10);
    expect([...again.aboard.lines.values()].map(({ name }) => name)).toEqual(names.slice(0, 40));
    expect(again.aboard.ready).toBe(false);
    read();
    await opening;
    await later(10);
    expect(again.aboard.lines.size).toBe(501);
    expect(again.aboard.ready).toBe(true);
  });
});
