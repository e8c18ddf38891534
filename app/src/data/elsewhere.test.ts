import type { Job } from '@harbor-latch/core/job/index';
import { applyChanges, fetched } from '../device/arrivals';
import { aboard, circuitNamed, id, job, later, named, noted, tabOf } from '../testing/oneBoat.fixture';
import { lastingTables, YardServer } from '../testing/world.fixture';

describe('a boat changed elsewhere meanwhile', () => {
  it('in other fields is brought together unasked', async () => {
    const { server, tab } = await aboard();
    server.away = true;
    tab.store.change(id, named('Mine'));
    await later(1500);
    server.write(noted('theirs'));
    server.away = false;
    tab.store.saveAll();
    await later(2000);
    expect(tab.draft(id)?.save.kind).toBe('saved');
    expect(tab.draft(id)?.job).toEqual(noted('theirs', named('Mine')));
    expect(server.find(id)?.job).toEqual(noted('theirs', named('Mine')));
  });

  async function clashing() {
    const { server, tab } = await aboard();
    server.away = true;
    tab.store.change(id, named('Mine'));
    await later(1500);
    server.write(noted('also', named('Theirs')));
    server.away = false;
    tab.store.saveAll();
    await later(2000);
    expect(tab.draft(id)?.save).toMatchObject({ kind: 'conflict', current: { job: { boat: { name: 'Theirs' } } } });
    return { server, tab };
  }

  it('in the same field is asked, and waits for the answer', async () => {
    const { server, tab } = await clashing();
    tab.store.change(id, circuitNamed(tab.draft(id)?.job ?? job, 'Aft'));
    await later(600_000);
    expect(tab.draft(id)?.save.kind).toBe('conflict');
    expect(server.find(id)?.version).toBe(2);
  });

  it('gives way to mine, and stays among the versions', async () => {
    const { server, tab } = await clashing();
    tab.store.keepMine(id);
    await later(2000);
    expect(server.puts[server.puts.length - 1]).toMatchObject({ basedOn: 2, kept: 'conflict' });
    expect(server.find(id)?.job).toEqual(named('Mine'));
    expect(tab.draft(id)?.save.kind).toBe('saved');
  });

  it('takes mine’s place, which comes back by undo and stays among the versions', async () => {
    const { server, tab } = await clashing();
    tab.store.takeTheirs(id);
    await later(2000);
    expect(tab.draft(id)?.job).toEqual(noted('also', named('Theirs')));
    expect(server.asides).toEqual([named('Mine')]);
    expect(tab.draft(id)?.save.kind).toBe('saved');
    tab.store.undo(id);
    await later(2000);
    expect(server.find(id)?.job).toEqual(named('Mine'));
  });

  it('is brought together as was chosen, and both stay among the versions', async () => {
    const { server, tab } = await clashing();
    tab.store.takeMerged(id, noted('also', named('Mine')));
    await later(2000);
    expect(server.asides).toEqual([named('Mine')]);
    expect(server.puts[server.puts.length - 1]?.kept).toBe('conflict');
    expect(server.find(id)?.job).toEqual(noted('also', named('Mine')));
  });

  it('without a change of one’s own simply comes', async () => {
    const { server, tab } = await aboard();
    server.write(named('New'));
    await later(10);
    expect(tab.draft(id)?.job.boat.name).toBe('New');
    expect(tab.draft(id)?.reloads).toBe(1);
  });
});

describe('a boat that is removed', () => {
  it('is gone at once, and from the server when it answers; before that undo needs nobody', async () => {
    const { server, tab } = await aboard();
    server.away = true;
    expect(await tab.store.remove(id)).toEqual(job);
    expect(tab.draft(id)).toBeUndefined();
    // Whether the removal got through is not known: she is there in the end either way.
    tab.store.add(job);
    await later(10);
    expect(tab.draft(id)?.job).toEqual(job);
    server.away = false;
    tab.store.saveAll();
    await later(2000);
    expect(server.find(id)?.job).toEqual(job);
    expect(tab.aboard.waiting).toEqual([]);
    await tab.store.remove(id);
    await later(10);
    expect(server.find(id)).toBeNull();
    tab.store.add(job);
    await later(2000);
    expect(server.find(id)?.job).toEqual(job);
    expect(tab.draft(id)?.save.kind).toBe('saved');
  });

  it('comes back by undo also where what was told of her before the removal arrives after it', async () => {
    const { server, tab } = await aboard();
    const before = server.find(id);
    if (!before) throw new Error('not there');
    await tab.store.remove(id);
    await later(10);
    // A page of the list that was asked for before.
    await tab.aboard.change((change) => fetched(change, [before]));
    tab.store.add(job);
    await later(10);
    await tab.aboard.change((change) =>
      applyChanges(
        change,
        { whole: false, boats: 0, changes: [{ kind: 'removed', id, version: 2 }], next: 'x', more: false },
        { whole: true, seen: null, gone: new Set() },
      ),
    );
    await later(2000);
    expect(server.find(id)?.job).toEqual(job);
    expect(tab.draft(id)?.save.kind).toBe('saved');
  });

  it('elsewhere goes from this device too, unless it was changed here: then that is asked', async () => {
    const { server, tab } = await aboard();
    await server.receiver.remove(id, 1, { key: 'theirs', by: 'Samphire' });
    await later(10);
    expect(tab.draft(id)).toBeUndefined();

    const { server: other, tab: mine } = await aboard();
    other.away = true;
    mine.store.change(id, named('Mine'));
    await later(1000);
    other.away = false;
    await other.receiver.remove(id, 1, { key: 'theirs', by: 'Samphire' });
    mine.store.saveAll();
    await later(2000);
    expect(mine.draft(id)?.save).toEqual({ kind: 'conflict', current: null });
    mine.store.keepMine(id);
    await later(2000);
    expect(other.find(id)?.job).toEqual(named('Mine'));
  });

  it('while somebody changed her is not removed, and that is said', async () => {
    const { server, tab } = await aboard();
    server.away = true;
    await tab.store.remove(id);
    server.write(named('Needed'));
    server.away = false;
    tab.store.saveAll();
    await later(100);
    expect(tab.draft(id)?.job.boat.name).toBe('Needed');
    expect(tab.draft(id)?.save).toMatchObject({ kind: 'refused' });
  });

  it('before the server ever saw her is simply forgotten', async () => {
    const { server, tab } = await aboard();
    server.away = true;
    const other = { ...job, boat: { ...job.boat, id: '6d1f0f6e-0d5c-4a55-9a0e-000000000001' } };
    tab.store.add(other);
    await later(10);
    // Its save went out and was not heard of: the server may have it.
    await tab.store.remove(other.boat.id);
    server.away = false;
    tab.store.saveAll();
    await later(5000);
    expect(server.find(other.boat.id)).toBeNull();
    expect(tab.draft(other.boat.id)).toBeUndefined();
    expect(tab.aboard.waiting).toEqual([]);
  });
});

describe('a yard', () => {
  const many = (count: number) =>
    Array.from({ length: count }, (_, index) => {
      const boatId = `6d1f0f6e-0d5c-4a55-9a0e-${String(index).padStart(12, '0')}`;
      return { ...job, boat: { ...job.boat, id: boatId, name: `Boat ${index}` } };
    });

  it('is read anew while a boat’s last change is not told of yet: she stays, and so does the way back', async () => {
    const { server, tab } = await aboard();
    tab.store.change(id, named('Tern 2'));
    await later(1000);
    expect(tab.draft(id)?.save.kind).toBe('saved');
    server.feed = 'another';
    server.untold.add(id);
    await tab.feed.ask();
    expect(tab.draft(id)?.job.boat.name).toBe('Tern 2');
    expect(tab.aboard.lines.has(id)).toBe(true);
    tab.store.undo(id);
    await later(1000);
    expect(server.find(id)?.job.boat.name).toBe('Tern');
  });

  it('is read anew while a boat is added, sent and taken: she is there all the time, and what is changed of her is saved', async () => {
    const server = new YardServer();
    const [, other] = many(2) as [Job, Job];
    server.write(other);
    let held: Promise<void> = Promise.resolve();
    const boats: typeof server.source.boats = async (ids) => {
      const answer = await server.source.boats(ids);
      await held;
      return answer;
    };
    const tab = await tabOf({ receiver: server.receiver, source: { ...server.source, boats } }, lastingTables());
    await later(10);
    server.feed = 'another';
    server.boats.delete(other.boat.id);
    let goOn = (): void => undefined;
    held = new Promise((resolve) => (goOn = resolve));
    const asked = tab.feed.ask();
    await later(10);
    tab.store.add(job);
    const missing = jest.fn();
    tab.store.subscribe(() => (tab.draft(id) ? undefined : missing()));
    await later(100);
    expect(tab.aboard.boats.get(id)?.basedOn).toBe(1);
    goOn();
    await asked;
    tab.store.change(id, named('Tern 2'));
    await later(2000);
    expect(missing).not.toHaveBeenCalled();
    expect(server.find(id)?.job.boat.name).toBe('Tern 2');
    expect(tab.draft(id)?.save.kind).toBe('saved');
    expect(tab.draft(other.boat.id)).toBeUndefined();
  });

  it('is read anew after the server’s backup was restored: what is no more goes, what was changed here stays', async () => {
    const server = new YardServer();
    for (const one of many(5)) server.write(one);
    const tab = await tabOf(server, lastingTables());
    await later(10);
    const [gone, kept] = many(5) as [Job, Job];
    server.away = true;
    tab.store.change(kept.boat.id, { ...kept, boat: { ...kept.boat, name: 'Changed here' } });
    await later(1000);
    server.feed = 'another';
    for (const one of [gone, kept]) server.boats.delete(one.boat.id);
    server.away = false;
    await tab.feed.ask();
    await later(10);
    expect(tab.draft(gone.boat.id)).toBeUndefined();
    expect(tab.store.all().size).toBe(4);
    expect(tab.draft(kept.boat.id)?.job.boat.name).toBe('Changed here');
  });

  it('of more boats than fit is here in lines, and a boat comes whole when she is opened', async () => {
    const server = new YardServer();
    server.pageSize = 200;
    for (const one of many(501)) server.write(one);
    const tab = await tabOf(server, lastingTables());
    await later(10);
    expect(tab.aboard.lines.size).toBe(501);
    expect(tab.store.all().size).toBe(0);
    await tab.feed.bring([id]);
    expect(tab.draft(id)?.job.boat.name).toBe('Boat 0');
    server.write(named('Boat 0, newer', many(1)[0]));
    await later(2010);
    expect(tab.draft(id)?.job.boat.name).toBe('Boat 0, newer');
  });
});
