import { newCircuit, newJob, type Job } from '@harbor-latch/core/job/index';
import { typicalWell } from '@harbor-latch/core/water/index';
import { ServerAway, ServerProblem, type StoredBoat } from './api';
import { DraftStore, type DraftWorld } from './DraftStore';

const id = '6d1f0f6e-0d5c-4a55-9a0e-000000000000';
const job: Job = {
  ...newJob({ boatId: id, batteryId: 'house' }, 'Tern'),
  circuits: [newCircuit('main', 'Main', 'three-way-float', 'house')],
};
const [battery] = job.batteries as [Job['batteries'][number]];
const named = (name: string): Job => ({ ...job, boat: { ...job.boat, name } });
const storedAs = (version: number, of: Job = job): StoredBoat => ({
  id,
  version,
  savedAt: '2026-01-01T00:00:00Z',
  job: of,
});

/** A device's storage and a server of one boat. */
class World implements DraftWorld {
  readonly kept = new Map<string, string>();
  readonly puts: { readonly job: Job; readonly basedOn: number | null }[] = [];
  readonly onStored = jest.fn();
  server: StoredBoat | null = storedAs(1);
  away = false;

  storage = {
    getItem: (key: string) => this.kept.get(key) ?? null,
    setItem: (key: string, text: string) => void this.kept.set(key, text),
    removeItem: (key: string) => void this.kept.delete(key),
    key: (index: number) => [...this.kept.keys()][index] ?? null,
    get length(): number {
      return this.count();
    },
    count: () => this.kept.size,
  };

  /** What the server waits for before it answers. */
  answering: Promise<void> = Promise.resolve();
  /** Whether it takes what is sent and the answer is lost on the way. */
  deaf = false;

  async put(sent: Job, basedOn: number | null): Promise<StoredBoat> {
    this.puts.push({ job: sent, basedOn });
    if (this.away) throw new ServerAway();
    await this.answering;
    if ((this.server?.version ?? null) !== basedOn) throw new ServerProblem(412, 'stale', 'stale', this.server);
    this.server = storedAs((basedOn ?? 0) + 1, sent);
    if (this.deaf) throw new ServerAway();
    return this.server;
  }

  async remove(): Promise<void> {
    if (this.away) throw new ServerAway();
    this.server = null;
  }
}

const draftIn = (store: DraftStore) => store.all().get(id);
const later = (ms: number) => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function opened(): { world: World; store: DraftStore } {
  const world = new World();
  const store = new DraftStore(world);
  store.open(storedAs(1));
  return { world, store };
}

const circuitNamed = (of: Job, name: string): Job => ({
  ...of,
  circuits: of.circuits.map((circuit) => ({ ...circuit, name })),
});

describe('a change made from what was shown a moment ago', () => {
  it('takes the place of the job that was shown, as it is', () => {
    const { store } = opened();
    store.replaceSeen(id, draftIn(store)?.job ?? job, named('Tern 2'));
    expect(draftIn(store)?.job).toEqual(named('Tern 2'));
    expect(draftIn(store)?.reloads).toBe(1);
  });

  it('leaves what was changed since then', () => {
    const { store } = opened();
    store.replaceSeen(id, job, named('Tern 2'));
    store.replaceSeen(id, job, circuitNamed(job, 'Aft'));
    const now = draftIn(store)?.job;
    expect([now?.boat.name, now?.circuits[0]?.name]).toEqual(['Tern 2', 'Aft']);
    store.undo(id);
    expect(draftIn(store)?.job).toEqual(named('Tern 2'));
  });

  it('counts where both changed the same', () => {
    const { store } = opened();
    store.replaceSeen(id, job, named('Tern 2'));
    store.replaceSeen(id, job, named('Tern 3'));
    expect(draftIn(store)?.job.boat.name).toBe('Tern 3');
  });

  it('counts as it is where together they would make no job', () => {
    const { store } = opened();
    const withDeck: Job = { ...job, batteries: [...job.batteries, { ...battery, id: 'deck', name: 'Deck bank' }] };
    store.change(id, withDeck);
    const toDeck: Job = { ...withDeck, circuits: withDeck.circuits.map((one) => ({ ...one, batteryId: 'deck' })) };
    store.change(id, job);
    store.replaceSeen(id, withDeck, toDeck);
    expect(draftIn(store)?.job).toEqual(toDeck);
  });
});

describe('what was typed', () => {
  it('is saved soon after, once for a burst of changes, and nothing stays behind on the device', async () => {
    const { world, store } = opened();
    for (const name of ['T', 'Te', 'Tern 2']) store.change(id, named(name));
    expect(world.kept.size).toBe(1);
    await later(1000);
    expect(world.puts.map(({ job: sent }) => sent.boat.name)).toEqual(['Tern 2']);
    expect(draftIn(store)?.save.kind).toBe('saved');
    expect(world.kept.size).toBe(0);
  });

  it('survives a reload before it was saved', async () => {
    const { world, store } = opened();
    store.change(id, named('Unsaved'));
    store.type(id, 'circuits/0/pump/currentA', 'four');
    const reloaded = new DraftStore(world);
    expect(draftIn(reloaded)?.job.boat.name).toBe('Unsaved');
    expect(draftIn(reloaded)?.typed).toEqual({ 'circuits/0/pump/currentA': 'four' });
    await later(1000);
    expect(world.server?.job.boat.name).toBe('Unsaved');
  });

  it('is kept while the server is away, and saved when it is back', async () => {
    const { world, store } = opened();
    world.away = true;
    store.change(id, named('Away'));
    await later(1000);
    expect(draftIn(store)?.save.kind).toBe('away');
    expect(world.kept.size).toBe(1);
    world.away = false;
    await later(5000);
    expect(draftIn(store)?.save.kind).toBe('saved');
    expect(world.server?.job.boat.name).toBe('Away');
  });

  it('while a save is under way is saved after it', async () => {
    const { world, store } = opened();
    store.change(id, named('One'));
    jest.advanceTimersByTime(701);
    store.change(id, named('Two'));
    await later(2000);
    expect(world.puts.map(({ job: sent, basedOn }) => [sent.boat.name, basedOn])).toEqual([
      ['One', 1],
      ['Two', 2],
    ]);
  });

  it('while the server takes its time waits for its answer: a save is never sent from a version that it ends', async () => {
    const { world, store } = opened();
    let answer: () => void = () => undefined;
    world.answering = new Promise((resolve) => (answer = resolve));
    store.change(id, named('One'));
    await later(800);
    store.change(id, named('Two'));
    await later(10_000);
    expect(world.puts).toHaveLength(1);
    answer();
    await later(2000);
    expect(world.puts.map(({ job: sent, basedOn }) => [sent.boat.name, basedOn])).toEqual([
      ['One', 1],
      ['Two', 2],
    ]);
    expect(draftIn(store)?.save.kind).toBe('saved');
  });

  it('is known again as one’s own where the server took it and its answer was lost', async () => {
    const { world, store } = opened();
    world.deaf = true;
    store.change(id, named('One'));
    await later(800);
    world.deaf = false;
    expect(world.server).toEqual(storedAs(2, named('One')));
    store.change(id, named('Two'));
    await later(10_000);
    expect(draftIn(store)?.save.kind).toBe('saved');
    expect(world.server).toEqual(storedAs(3, named('Two')));
  });

  it('is held in memory and said where the device has no room for it, and saved all the same', async () => {
    const { world, store } = opened();
    const { setItem } = world.storage;
    world.storage.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    world.away = true;
    store.change(id, named('Held'));
    await later(1000);
    expect(draftIn(store)).toMatchObject({ unkept: true, save: { kind: 'away' } });
    expect(draftIn(store)?.job.boat.name).toBe('Held');
    world.storage.setItem = setItem;
    store.change(id, named('Held on'));
    expect(draftIn(store)?.unkept).toBeUndefined();
    world.away = false;
    await later(10_000);
    expect(world.server?.job.boat.name).toBe('Held on');
  });

  it('comes back by undo, step by step', async () => {
    const { world, store } = opened();
    store.change(id, named('One'));
    store.change(id, named('Two'));
    store.undo(id);
    expect(draftIn(store)?.job.boat.name).toBe('One');
    store.undo(id);
    store.undo(id);
    expect(draftIn(store)?.job).toBe(job);
    await later(1000);
    expect(world.server?.job).toEqual(job);
  });
});

describe('a guess', () => {
  it('follows the length it stands on, and one undo takes both back', () => {
    const world = new World();
    const store = new DraftStore(world);
    const guessed = (lengthM: number): Job => ({
      ...job,
      boat: { ...job.boat, hullLengthM: lengthM },
      wells: [typicalWell('sump', lengthM)],
    });
    store.add(guessed(6));
    store.change(id, { ...guessed(6), boat: guessed(11).boat });
    expect(store.all().get(id)?.job).toEqual(guessed(11));
    expect(store.all().get(id)?.reloads).toBe(1);
    store.undo(id);
    expect(store.all().get(id)?.job).toEqual(guessed(6));
  });
});

describe('a stale save', () => {
  async function conflicting() {
    const { world, store } = opened();
    world.server = storedAs(5, named('Theirs'));
    store.change(id, named('Mine'));
    await later(1000);
    return { world, store };
  }

  it('is held, with both copies, and not sent again by itself', async () => {
    const { world, store } = await conflicting();
    store.change(id, named('Mine still'));
    await later(20_000);
    expect(draftIn(store)?.save).toEqual({ kind: 'conflict', current: storedAs(5, named('Theirs')) });
    expect(world.puts).toHaveLength(1);
    expect(world.server?.job.boat.name).toBe('Theirs');
  });

  it('can be written over the other', async () => {
    const { world, store } = await conflicting();
    store.keepMine(id);
    await later(10);
    expect(world.server).toEqual(storedAs(6, named('Mine')));
    expect(draftIn(store)?.save.kind).toBe('saved');
  });

  it('can give way to the other, and that can be undone', async () => {
    const { world, store } = await conflicting();
    store.takeTheirs(id);
    expect(draftIn(store)?.job.boat.name).toBe('Theirs');
    store.undo(id);
    await later(1000);
    expect(world.server).toEqual(storedAs(6, named('Mine')));
  });

  it('of a boat removed elsewhere can be added again', async () => {
    const { world, store } = opened();
    world.server = null;
    store.change(id, named('Mine'));
    await later(1000);
    expect(draftIn(store)?.save).toEqual({ kind: 'conflict', current: null });
    store.keepMine(id);
    await later(10);
    expect(world.server).toEqual(storedAs(1, named('Mine')));
  });
});

describe('a boat of this device', () => {
  it('takes over a newer copy from the server only while it has no changes of its own', () => {
    const { store } = opened();
    store.open(storedAs(2, named('Newer')));
    expect(draftIn(store)?.job.boat.name).toBe('Newer');
    store.change(id, named('Mine'));
    store.open(storedAs(3, named('Newest')));
    expect(draftIn(store)?.job.boat.name).toBe('Mine');
  });

  it('is removed here and on the server, and stays when the server is away', async () => {
    const { world, store } = opened();
    world.away = true;
    await expect(store.remove(id)).rejects.toThrow('cannot be reached');
    expect(draftIn(store)).toBeDefined();
    world.away = false;
    expect(await store.remove(id)).toBe(job);
    expect([draftIn(store), world.server]).toEqual([undefined, null]);
  });

  it('kept by a device in a shape that cannot be read is left out rather than shown broken', () => {
    const world = new World();
    world.kept.set('latch.draft.x', '{"job": {"format": "other"}}');
    world.kept.set('latch.draft.y', 'not json');
    expect(new DraftStore(world).all().size).toBe(0);
  });
});
