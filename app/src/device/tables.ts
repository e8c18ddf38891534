import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { BoatLine, StockEntry } from '@harbor-latch/core/wire/index';
import { JOB_VERSION } from '@harbor-latch/core/job/index';
import { ofToday } from './ofToday';
import type { BoatRow, FeedRow, FirstRow, KeyRow, OnDevice, PhotoRow, RecordRow, Waiting } from './rows';

/** One table within a change. */
export interface Table<Row> {
  get(key: string): Promise<Row | undefined>;
  all(): Promise<Row[]>;
  put(row: Row): Promise<unknown>;
  delete(key: string): Promise<unknown>;
}

/** The tables of this device within one change: all of it is kept, or nothing. Only these may be waited for in it. */
export interface Change {
  readonly boats: Table<BoatRow>;
  readonly lines: Table<BoatLine>;
  readonly waiting: Table<Waiting>;
  readonly photos: Table<PhotoRow>;
  readonly stock: Table<StockEntry>;
  readonly records: Table<RecordRow>;
  readonly keys: Table<KeyRow>;
  readonly feed: Table<FeedRow>;
  readonly first: Table<FirstRow>;
}

/** What this device keeps. */
export interface Tables {
  /** False where it is held in memory alone and is gone with the page. */
  readonly lasting: boolean;
  /** The beginning of the list, which is there before all of it is; empty for a small yard. */
  first(): Promise<readonly BoatLine[]>;
  read(): Promise<OnDevice>;
  photo(id: string): Promise<PhotoRow | undefined>;
  /** Which pictures are here. */
  photoIds(): Promise<readonly string[]>;
  /** The records of a boat, or of all. */
  records(boat: string | null): Promise<readonly RecordRow[]>;
  change<T>(work: (change: Change) => Promise<T>): Promise<T>;
}

interface Schema extends DBSchema {
  boats: { key: string; value: BoatRow };
  lines: { key: string; value: BoatLine };
  waiting: { key: string; value: Waiting };
  photos: { key: string; value: PhotoRow };
  stock: { key: string; value: StockEntry };
  records: { key: string; value: RecordRow; indexes: { boat: string } };
  keys: { key: string; value: KeyRow };
  feed: { key: string; value: FeedRow };
  first: { key: string; value: FirstRow };
}

const KEYS = {
  boats: 'id',
  lines: 'id',
  waiting: 'id',
  photos: 'id',
  stock: 'id',
  records: 'id',
  keys: 'key',
  feed: 'key',
  first: 'key',
} as const;
const NAMES = Object.keys(KEYS) as (keyof typeof KEYS)[];

/** The database rises with the job and with its own tables: its first version held jobs of version 2, its fourth brought records. */
const DATABASE_VERSION = JOB_VERSION;

/**
 * The browser's own database, brought to today's jobs as it is opened. @throws where the browser refuses one
 * @param onTaken told when another tab brings a newer release, for which this one had to let go
 */
export async function openTables(name: string, onTaken: () => void): Promise<Tables> {
  const database: IDBPDatabase<Schema> = await openDB<Schema>(name, DATABASE_VERSION, {
    upgrade: async (opened, before, _now, all) => {
      const added = NAMES.filter((table) => !opened.objectStoreNames.contains(table));
      for (const table of added) opened.createObjectStore(table, { keyPath: KEYS[table] });
      if (added.includes('records')) all.objectStore('records').createIndex('boat', 'boat');
      if (before === 0) return;
      // What an earlier release did not keep comes with the whole of what the yard has.
      if (added.length > 0) await all.objectStore('feed').clear();
      for (const table of ['boats', 'waiting'] as const)
        for (let at = await all.objectStore(table).openCursor(); at; at = await at.continue())
          await at.update(ofToday(at.value));
    },
    blocking: () => {
      database.close();
      onTaken();
    },
  });
  return {
    lasting: true,
    first: async () => (await database.get('first', 'first'))?.lines ?? [],
    read: async () => {
      const reading = database.transaction(['boats', 'lines', 'waiting', 'stock', 'feed']);
      const [boats, lines, waiting, stock, feed] = await Promise.all([
        reading.objectStore('boats').getAll(),
        reading.objectStore('lines').getAll(),
        reading.objectStore('waiting').getAll(),
        reading.objectStore('stock').getAll(),
        reading.objectStore('feed').get('feed'),
      ]);
      return { boats, lines, waiting, stock, feed: feed ?? null };
    },
    photo: (id) => database.get('photos', id),
    photoIds: () => database.getAllKeys('photos'),
    records: (boat) => (boat === null ? database.getAll('records') : database.getAllFromIndex('records', 'boat', boat)),
    change: async (work) => {
      const writing = database.transaction([...NAMES], 'readwrite', { durability: 'strict' });
      // Its end is waited for below; a failure before that is told there too.
      writing.done.catch(() => undefined);
      const table = <Name extends keyof typeof KEYS>(of: Name): Table<Schema[Name]['value']> => {
        const store = writing.objectStore(of);
        return {
          get: (key) => store.get(key),
          all: () => store.getAll(),
          put: (row) => store.put(row),
          delete: (key) => store.delete(key),
        };
      };
      try {
        const done = await work({
          boats: table('boats'),
          lines: table('lines'),
          waiting: table('waiting'),
          photos: table('photos'),
          stock: table('stock'),
          records: table('records'),
          keys: table('keys'),
          feed: table('feed'),
          first: table('first'),
        });
        await writing.done;
        return done;
      } catch (error) {
        try {
          writing.abort();
        } catch {
          // It has ended already.
        }
        throw error;
      }
    },
  };
}

const nothingThere: OnDevice = { boats: [], lines: [], waiting: [], stock: [], feed: null };

/** The same in memory, where the browser gives no place: it is gone with the page. */
export function memoryTables(from: OnDevice = nothingThere): Tables {
  const boats = new Map(from.boats.map((row) => [row.id, row]));
  const lines = new Map(from.lines.map((row) => [row.id, row]));
  const waiting = new Map(from.waiting.map((row) => [row.id, row]));
  const stock = new Map(from.stock.map((row) => [row.id, row]));
  const feed = new Map(from.feed ? [[from.feed.key, from.feed]] : []);
  const photos = new Map<string, PhotoRow>();
  const records = new Map<string, RecordRow>();
  const keys = new Map<string, KeyRow>();
  const first = new Map<string, FirstRow>();
  const table = <Row>(rows: Map<string, Row>, keyOf: (row: Row) => string): Table<Row> => ({
    get: async (key) => rows.get(key),
    all: async () => [...rows].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, row]) => row),
    put: async (row) => void rows.set(keyOf(row), row),
    delete: async (key) => void rows.delete(key),
  });
  const tables: Change = {
    boats: table(boats, ({ id }) => id),
    lines: table(lines, ({ id }) => id),
    waiting: table(waiting, ({ id }) => id),
    photos: table(photos, ({ id }) => id),
    stock: table(stock, ({ id }) => id),
    records: table(records, ({ id }) => id),
    keys: table<KeyRow>(keys, ({ key }) => key),
    feed: table<FeedRow>(feed, ({ key }) => key),
    first: table<FirstRow>(first, ({ key }) => key),
  };
  // One change at a time, as the browser's own database does it.
  let last: Promise<unknown> = Promise.resolve();
  return {
    lasting: false,
    first: async () => first.get('first')?.lines ?? [],
    read: async () => ({
      boats: await tables.boats.all(),
      lines: await tables.lines.all(),
      waiting: await tables.waiting.all(),
      stock: await tables.stock.all(),
      feed: (await tables.feed.get('feed')) ?? null,
    }),
    photo: (id) => tables.photos.get(id),
    photoIds: async () => [...photos.keys()],
    records: async (boat) => [...records.values()].filter((row) => boat === null || row.boat === boat),
    change: (work) => {
      const done = last.then(() => work(tables));
      last = done.catch(() => undefined);
      return done;
    },
  };
}
