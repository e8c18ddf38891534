import { entryHash, type Entry } from '@harbor-latch/core/records/entry';
import type { BoatLine, StockEntry } from '@harbor-latch/core/wire/index';
import type { BoatRow, FeedRow, OnDevice, PhotoRow, RecordRow, Waiting } from './rows';
import { memoryTables, type Change, type Table, type Tables } from './tables';

/** What is told between the tabs of this device. */
export interface Channel {
  postMessage(message: string): void;
  addEventListener(type: 'message', listen: (event: { readonly data: unknown }) => void): void;
}

/**
 * What this device has aboard: the tables, and in memory the part of them that every page needs. Whatever one tab
 * changes all tabs hear of.
 */
export class Aboard {
  /** True once what lay on the device was read. */
  ready = false;
  boats: ReadonlyMap<string, BoatRow> = new Map();
  lines: ReadonlyMap<string, BoatLine> = new Map();
  waiting: readonly Waiting[] = [];
  /** Entries of the yard's stock, in order of time. */
  stock: readonly StockEntry[] = [];
  feed: FeedRow | null = null;
  /** Counts what was written to the records of any boat: whoever shows some reads them anew. */
  recordsWritten = 0;
  private tables: Tables;
  /** What was on the device until it had no more room. */
  private before: Tables | undefined;
  private readonly listeners = new Set<() => void>();
  private readonly hearers = new Set<(message: unknown) => void>();
  private reading: Promise<void> = Promise.resolve();
  private writes = 0;

  constructor(
    tables: Tables,
    private readonly channel: Channel,
    there?: OnDevice,
  ) {
    this.tables = tables;
    if (there) {
      this.take(there);
      this.ready = true;
    }
    channel.addEventListener('message', ({ data }) => {
      if (data === 'changed') void this.read();
      else for (const hear of this.hearers) hear(data);
    });
  }

  /** Whether what is kept outlasts the page. */
  get lasting(): boolean {
    return this.tables.lasting;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Says something to the other tabs. */
  say(message: string): void {
    this.channel.postMessage(message);
  }

  /** Calls at everything another tab says. */
  hear(call: (message: unknown) => void): void {
    this.hearers.add(call);
  }

  /** Reads what lies on the device: of a large yard the beginning of its list first. */
  read(): Promise<void> {
    this.reading = this.reading.then(async () => {
      if (!this.ready) await this.readFirst();
      try {
        // What this page wrote while it was read may not be in it: then it is read again.
        for (let before = -1; before !== this.writes;) {
          before = this.writes;
          const there = await this.tables.read();
          if (before === this.writes) this.take(there);
          // Another tab may have written some.
          this.recordsWritten += 1;
        }
      } catch {
        this.fallBack();
      }
      this.ready = true;
      this.tell();
    });
    return this.reading;
  }

  private async readFirst(): Promise<void> {
    const lines = await this.tables.first().catch(() => []);
    if (lines.length === 0 || this.lines.size > 0) return;
    this.lines = new Map(lines.map((line) => [line.id, line]));
    this.tell();
  }

  /**
   * Changes what lies on the device, all of it or nothing; where there is no room, in memory alone from then on.
   * @param quietly whether nobody is told: more of the same follows, and the last of it is told
   */
  async change<T>(work: (change: Change) => Promise<T>, quietly = false): Promise<T> {
    const touched = noting();
    const { tables } = this;
    let done: T;
    try {
      done = await tables.change((change) => work(touched.over(change)));
    } catch (error) {
      if (!tables.lasting) throw error;
      // Another change may have met the same at the same time.
      if (this.tables === tables) this.fallBack();
      touched.clear();
      done = await this.tables.change((change) => work(touched.over(change)));
    }
    if (touched.apply(this)) {
      this.writes += 1;
      if (quietly) return done;
      this.tell();
      this.channel.postMessage('changed');
    }
    return done;
  }

  /** Changes what lies on the device, or nothing at all. @throws where there is no room */
  async changeOrThrow(work: (change: Change) => Promise<void>): Promise<void> {
    const touched = noting();
    await this.tables.change((change) => work(touched.over(change)));
    if (!touched.apply(this)) return;
    this.writes += 1;
    this.tell();
    this.channel.postMessage('changed');
  }

  /** A picture that is here. */
  async photo(id: string): Promise<PhotoRow | undefined> {
    // Where the device has no more room, what it took before can still be read.
    return (await this.tables.photo(id)) ?? (await this.before?.photo(id).catch(() => undefined));
  }

  photoIds(): Promise<readonly string[]> {
    return this.tables.photoIds();
  }

  /** The records of a boat with their fingerprints, or of all without, in the order of their ids. */
  async records(boat: string | null): Promise<readonly RecordRow[]> {
    const rows = await this.tables.records(boat).catch(() => []);
    const before = (await this.before?.records(boat).catch(() => [])) ?? [];
    const all = new Map([...before, ...rows].map((row) => [row.id, row]));
    const sorted = [...all.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
    if (boat === null) return sorted;
    return sorted.map((row) => (row.hash === '' ? { ...row, hash: entryHash(row.signed.entry) } : row));
  }

  /** The entries of a boat as they were signed, without working out their fingerprints. */
  async entries(boat: string): Promise<readonly Entry[]> {
    const rows = [
      ...((await this.before?.records(boat).catch(() => [])) ?? []),
      ...(await this.tables.records(boat).catch(() => [])),
    ];
    return [...new Map(rows.map(({ id, signed }) => [id, signed.entry])).values()];
  }

  private fallBack(): void {
    const { boats, lines, waiting, stock, feed } = this;
    this.before = this.tables;
    this.tables = memoryTables({ boats: [...boats.values()], lines: [...lines.values()], waiting, stock, feed });
  }

  private take({ boats, lines, waiting, stock, feed }: OnDevice): void {
    this.boats = asBefore(this.boats, boats);
    this.lines = new Map(lines.map((line) => [line.id, line]));
    this.waiting = waiting;
    this.stock = stock;
    this.feed = feed;
  }

  private tell(): void {
    for (const listener of this.listeners) listener();
  }
}

/** Rows that were not written since are the same objects. */
function asBefore(before: ReadonlyMap<string, BoatRow>, rows: readonly BoatRow[]): ReadonlyMap<string, BoatRow> {
  return new Map(
    rows.map((row) => {
      const last = before.get(row.id);
      return [row.id, last?.rev === row.rev ? last : row];
    }),
  );
}

/** Notes what a change writes, so that what is held in memory follows without reading it all again. */
function noting() {
  type Written<Row> = Map<string, Row | null>;
  const written = {
    boats: new Map() as Written<BoatRow>,
    lines: new Map() as Written<BoatLine>,
    waiting: new Map() as Written<Waiting>,
    stock: new Map() as Written<StockEntry>,
    feed: new Map() as Written<FeedRow>,
    records: new Map() as Written<RecordRow>,
  };
  const over = <Row>(table: Table<Row>, rows: Written<Row>, keyOf: (row: Row) => string): Table<Row> => ({
    get: (key: string) => table.get(key),
    all: () => table.all(),
    put: (row: Row) => {
      rows.set(keyOf(row), row);
      return table.put(row);
    },
    delete: (key: string) => {
      rows.set(key, null);
      return table.delete(key);
    },
  });
  return {
    over: (change: Change): Change => ({
      boats: over(change.boats, written.boats, ({ id }) => id),
      lines: over(change.lines, written.lines, ({ id }) => id),
      waiting: over(change.waiting, written.waiting, ({ id }) => id),
      stock: over(change.stock, written.stock, ({ id }) => id),
      feed: over(change.feed, written.feed, ({ key }) => key),
      records: over(change.records, written.records, ({ id }) => id),
      photos: change.photos,
      keys: change.keys,
      first: change.first,
    }),
    clear: () => {
      for (const rows of Object.values(written)) rows.clear();
    },
    apply: (aboard: Aboard): boolean => {
      const { boats, lines, waiting, stock, feed, records } = written;
      if (Object.values(written).every(({ size }) => size === 0)) return false;
      if (records.size > 0) aboard.recordsWritten += 1;
      if (boats.size > 0) aboard.boats = withRows(aboard.boats, boats);
      if (lines.size > 0) aboard.lines = withRows(aboard.lines, lines);
      if (waiting.size > 0) aboard.waiting = inOrder(aboard.waiting, waiting);
      if (stock.size > 0) aboard.stock = inOrder(aboard.stock, stock);
      const [row] = feed.values();
      if (row !== undefined) aboard.feed = row;
      return true;
    },
  };
}

/** Rows whose ids are in order of time, with those that were written. */
function inOrder<Row extends { readonly id: string }>(
  before: readonly Row[],
  written: ReadonlyMap<string, Row | null>,
): Row[] {
  const all = withRows(new Map(before.map((one) => [one.id, one])), written);
  return [...all.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
}

function withRows<Row>(before: ReadonlyMap<string, Row>, written: ReadonlyMap<string, Row | null>): Map<string, Row> {
  const after = new Map(before);
  for (const [key, row] of written) {
    if (row === null) after.delete(key);
    else after.set(key, row);
  }
  return after;
}
