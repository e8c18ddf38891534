import { v7 } from 'uuid';
import type { Job } from '@harbor-latch/core/job/index';
import { lineOf } from '@harbor-latch/core/wire/boatLine';
import { CHAIN_BEGIN, chainHash } from '@harbor-latch/core/records/chain';
import { entryHash, type ChainedEntry, type Entry } from '@harbor-latch/core/records/entry';
import type { Changes, RecordResult, StockEntry, StoredBoat, Version } from '@harbor-latch/core/wire/index';
import { ServerAway, ServerNewer, ServerProblem } from '../data/api';
import { DraftStore } from '../data/DraftStore';
import { Aboard, type Channel } from '../device/Aboard';
import type { Hand } from '../device/changes';
import type { OnDevice } from '../device/rows';
import { Feed, type Source } from '../device/Feed';
import { shareReach } from '../device/reach';
import { Sender, type Receiver, type Sent } from '../device/Sender';
import { memoryTables, type Tables } from '../device/tables';

interface Stored extends StoredBoat {
  readonly removed: boolean;
  readonly changed: number;
}

/** A server of a yard in memory, which keeps the rules of the real one. */
export class YardServer {
  readonly boats = new Map<string, Stored>();
  readonly asides: Job[] = [];
  readonly puts: { readonly job: Job; readonly basedOn: number | null; readonly kept: string | null }[] = [];
  private readonly answers = new Map<string, Version>();
  private readonly listeners = new Set<() => void>();
  private order = 0;
  feed = 'feed';
  /** Boats whose last change is not told of yet: one that began before it is still under way. */
  readonly untold = new Set<string>();
  away = false;
  /** Loses an answer on the way, or a request; asked anew for each call. */
  loses: () => 'nothing' | 'request' | 'answer' = () => 'nothing';
  /** What the server waits for before it answers. */
  answering: Promise<void> = Promise.resolve();
  refuses: string | null = null;
  /** Whether boats are handed out as a newer version of the application writes them. */
  newer = false;
  refusesPhoto: string | null = null;
  readonly photos: string[] = [];
  readonly stock: { readonly entry: StockEntry; readonly changed: number }[] = [];
  readonly records: { readonly record: ChainedEntry; readonly changed: number }[] = [];
  /** Entries that are refused one by one, with the reason. */
  refusesRecord: (entry: Entry) => string | null = () => null;
  /** What came, in order. */
  readonly log: string[] = [];

  private async through<T>(work: () => T): Promise<T> {
    const lost = this.loses();
    await this.answering;
    if (this.away || lost === 'request') throw new ServerAway();
    if (this.refuses !== null) throw new ServerProblem(400, 'refused', this.refuses);
    const done = work();
    if (lost === 'answer') throw new ServerAway();
    return done;
  }

  /** Writes as somebody elsewhere does. */
  write(job: Job, by = 'Samphire'): StoredBoat {
    const before = this.boats.get(job.boat.id);
    return this.store(job, (before?.version ?? 0) + 1, by);
  }

  private store(job: Job, version: number, savedBy: string, removed = false): Stored {
    this.order += 1;
    const savedAt = new Date(Date.UTC(2026, 0, 1) + this.order * 1000).toISOString();
    const boat = { id: job.boat.id, version, savedAt, savedBy, job, removed, changed: this.order };
    this.boats.set(job.boat.id, boat);
    for (const listener of this.listeners) listener();
    return boat;
  }

  find(id: string): Stored | null {
    const boat = this.boats.get(id);
    return boat && !boat.removed ? boat : null;
  }

  private written(
    id: string,
    basedOn: number | null,
    { key }: Sent,
    write: (before: Stored | null) => Stored,
  ): Version {
    const answered = this.answers.get(key);
    if (answered) return answered;
    const there = this.find(id);
    if (there && there.version !== basedOn && this.newer) throw new ServerNewer();
    if ((there?.version ?? null) !== basedOn) throw new ServerProblem(412, 'stale', 'stale', there && { ...there });
    const { version, savedAt, savedBy } = write(this.boats.get(id) ?? null);
    const answer = { id, version, savedAt, savedBy };
    this.answers.set(key, answer);
    return answer;
  }

  readonly receiver: Receiver = {
    put: (job, basedOn, sent) =>
      this.through(() => {
        this.puts.push({ job, basedOn, kept: sent.kept });
        this.log.push('put');
        return this.written(job.boat.id, basedOn, sent, (before) =>
          this.store(job, (before?.version ?? 0) + 1, sent.by),
        );
      }),
    remove: (id, basedOn, sent) =>
      this.through(() => {
        if (!this.find(id)) return;
        this.written(id, basedOn, sent, (before) => {
          if (!before) throw new Error('not there');
          return this.store(before.job, before.version + 1, sent.by, true);
        });
      }),
    aside: (lost, basedOn, sent) =>
      this.through(() =>
        this.written(lost.boat.id, basedOn, sent, (before) => {
          if (!before) throw new Error('not there');
          this.asides.push(lost);
          return this.store(before.job, before.version + 2, before.savedBy);
        }),
      ),
    photo: (id) =>
      this.through(() => {
        if (this.refusesPhoto !== null) throw new ServerProblem(422, 'refused', this.refusesPhoto);
        this.log.push('photo');
        this.photos.push(id);
      }),
    stock: (entry) =>
      this.through(() => {
        if (this.stock.some((one) => one.entry.id === entry.id)) return;
        this.order += 1;
        this.stock.push({ entry, changed: this.order });
        for (const listener of this.listeners) listener();
      }),
    records: (entries) =>
      this.through(() => {
        this.log.push(`records ${entries.length}`);
        return entries.map(({ entry, signature }): RecordResult => {
          const { id } = entry;
          const message = this.refusesRecord(entry);
          if (message !== null) return { id, kind: 'refused', code: 'refused', path: '$', message };
          const there = this.records.find(({ record }) => record.entry.id === id)?.record;
          const link = there ?? this.linked({ entry, signature });
          return { id, kind: 'taken', number: link.number, chainHash: link.chainHash };
        });
      }),
  };

  private linked({ entry, signature }: Pick<ChainedEntry, 'entry' | 'signature'>): ChainedEntry {
    const own = this.records.filter(({ record }) => record.entry.boat === entry.boat);
    const number = own.length + 1;
    const receivedAt = new Date(Date.UTC(2026, 0, 1) + number * 1000).toISOString();
    const previous = own[own.length - 1]?.record.chainHash ?? CHAIN_BEGIN;
    const hash = chainHash(previous, { entryHash: entryHash(entry), number, receivedAt });
    this.order += 1;
    const seals = { sealedBy: '0'.repeat(64), seal: '0'.repeat(128) };
    const record = { entry, signature, number, receivedAt, chainHash: hash, ...seals };
    this.records.push({ record, changed: this.order });
    for (const listener of this.listeners) listener();
    return record;
  }

  readonly source: Source = {
    changes: (after, jobs) =>
      this.through((): Changes => {
        const [feed, reached] = after?.split('.') ?? [];
        const from = feed === this.feed ? Number(reached) : 0;
        const all = [...this.boats.values(), ...this.stock, ...this.records]
          .filter((one) => one.changed > from && !('id' in one && this.untold.has(one.id)))
          .sort((a, b) => a.changed - b.changed);
        const page = all.slice(0, this.pageSize);
        if (this.newer && page.length > 0) throw new ServerNewer();
        return {
          whole: feed !== this.feed,
          boats: [...this.boats.values()].filter(({ removed }) => !removed).length,
          changes: page.map((one) => {
            if ('entry' in one) return { kind: 'stock', entry: one.entry };
            if ('record' in one) return { kind: 'record', record: one.record };
            const { id, version, savedAt, savedBy, job, removed } = one;
            return removed
              ? { kind: 'removed', id, version }
              : {
                  kind: 'boat',
                  line: { id, version, savedAt, savedBy, ...lineOf(job), summary: null },
                  ...(jobs ? { job } : {}),
                };
          }),
          next: `${this.feed}.${page[page.length - 1]?.changed ?? from}`,
          more: page.length < all.length,
        };
      }),
    boats: (ids) => this.through(() => ids.flatMap((id) => this.find(id) ?? [])),
    listen: (onNews) => {
      this.listeners.add(onNews);
      return () => this.listeners.delete(onNews);
    },
  };
  pageSize = 3;
}

/** Tabs of one browser hear each other. */
export class Channels {
  private readonly all = new Set<(event: { readonly data: unknown }) => void>();

  open(): Channel {
    let own: ((event: { readonly data: unknown }) => void) | undefined;
    return {
      addEventListener: (_type, listen) => {
        own = listen;
        this.all.add(listen);
      },
      postMessage: (data) => {
        for (const one of this.all) if (one !== own) setTimeout(() => one({ data }), 0);
      },
    };
  }
}

/** A tab of a device: what it shows, sends and asks for. */
export class Tab {
  readonly aboard: Aboard;
  readonly sender: Sender;
  readonly feed: Feed;
  readonly store: DraftStore;

  constructor(
    server: Pick<YardServer, 'receiver' | 'source'>,
    tables: Tables = memoryTables(),
    channels = new Channels(),
    person = 'Wren',
  ) {
    const hand = (): Hand => ({
      by: person,
      now: Date.now(),
      newId: () => v7(),
    });
    this.aboard = new Aboard(tables, channels.open());
    this.sender = new Sender(this.aboard, server.receiver, hand);
    this.feed = new Feed(this.aboard, server.source, Date.now, (reached) => this.sender.heard(reached));
    this.store = new DraftStore(this.aboard, this.sender, hand);
  }

  /** Opens as the application does; of several tabs one leads. */
  async open(leads = true): Promise<this> {
    await this.aboard.read();
    const reach = shareReach(this.aboard, this.feed, this.sender);
    if (leads) {
      reach.lead();
      this.sender.start();
      this.feed.start();
    }
    return this;
  }

  close(): void {
    this.sender.stop();
    this.feed.stop();
  }

  draft(id: string) {
    return this.store.all().get(id);
  }
}

/** Tables that lie on a device as IndexedDB keeps them: copies, and only what was kept. */
export function lastingTables(): Tables & { full: boolean } {
  const under = memoryTables();
  const tables = {
    ...under,
    lasting: true,
    full: false,
    read: async () => JSON.parse(JSON.stringify(await under.read())) as OnDevice,
    change: async <T>(work: Parameters<Tables['change']>[0]) => {
      if (tables.full) throw new DOMException('No room', 'QuotaExceededError');
      return (await under.change((change) => work(change))) as T;
    },
  } as Tables & { full: boolean };
  return tables;
}
