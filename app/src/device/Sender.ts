import type { SignedEntry } from '@harbor-latch/core/records/entry';
import type { Kept, RecordResult, StockEntry, Version } from '@harbor-latch/core/wire/index';
import type { Job } from '@harbor-latch/core/job/index';
import { ServerAway, ServerNewer, ServerProblem } from '../data/api';
import type { Aboard } from './Aboard';
import { goingOut, refused, stale, taken, type Hand } from './changes';
import { entriesOf, recordsAnswered } from './recordRows';
import { isAsItIs, type Waiting } from './rows';

/** What is sent with every write. */
export interface Sent {
  readonly key: string;
  readonly by: string;
}

/** The server, as far as what waits goes to it. */
export interface Receiver {
  put(job: Job, basedOn: number | null, sent: Sent & { readonly kept: Kept | null }): Promise<Version>;
  remove(id: string, basedOn: number, sent: Sent): Promise<void>;
  aside(lost: Job, basedOn: number, sent: Sent): Promise<Version>;
  photo(id: string, bytes: Blob, sent: Sent): Promise<void>;
  stock(entry: StockEntry): Promise<void>;
  /** Entries of records; each has its own answer. */
  records(entries: readonly SignedEntry[]): Promise<readonly RecordResult[]>;
}

/** Pauses after the server was not reached, ms: they grow, and never longer than a minute. */
const SHORTEST_PAUSE_MS = 1000;
const LONGEST_PAUSE_MS = 60_000;
/** So many boats are under way at once; of each boat one change. */
const AT_ONCE = 3;
/** So many entries of records go out together. */
const ENTRIES_AT_ONCE = 50;
/** In place of a boat: entries go by themselves, whatever becomes of a boat. */
const RECORDS = 'records';

/** In which order something waits: of one lane one thing is under way. */
const laneOf = ({ kind, boatId }: Waiting) => (kind === 'record' ? RECORDS : boatId);

/**
 * Sends what waits, in the order in which it came to wait, one change of a boat at a time. One tab of this device
 * does: it stops at nothing but a refusal, which waits for the user.
 */
export class Sender {
  /** Boats of which something is under way. */
  readonly sending = new Set<string>();
  /** Whether the server was not reached when something was last sent to it. */
  away = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private tries = 0;
  private pausedUntil = 0;
  private running = false;
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly aboard: Aboard,
    private readonly receiver: Receiver,
    private readonly hand: () => Hand,
    /** Told of each change the server took. */
    private readonly onTaken: () => void = () => undefined,
  ) {}

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Begins: this tab is the one that sends. */
  start(): void {
    this.running = true;
    this.aboard.subscribe(this.look);
    this.look();
  }

  stop(): void {
    this.running = false;
    clearTimeout(this.timer);
  }

  /** Sends what waits now, whatever it rests or pauses for. */
  now = (): void => {
    this.pausedUntil = 0;
    this.tries = 0;
    this.look(true);
  };

  /** Whether the server was reached otherwise: where it was, there is no reason to pause any more. */
  heard(reached: boolean): void {
    this.setAway(!reached);
    if (reached && this.pausedUntil > 0) this.now();
  }

  private look = (hurry: boolean | unknown = false): void => {
    if (!this.running) return;
    clearTimeout(this.timer);
    const { now } = this.hand();
    const next = this.nextOfEach();
    const ready = next.filter(({ dueAt }) => hurry === true || dueAt <= now);
    if (this.pausedUntil > now) {
      this.timer = setTimeout(this.look, this.pausedUntil - now);
      return;
    }
    for (const one of ready.slice(0, AT_ONCE - this.sending.size)) void this.send(one);
    const rest = next.filter(({ dueAt }) => dueAt > now).map(({ dueAt }) => dueAt - now);
    if (rest.length > 0 && hurry !== true) this.timer = setTimeout(this.look, Math.min(...rest));
  };

  /** Of each boat the first that waits, unless one of hers is under way or waits for the user. */
  private nextOfEach(): Waiting[] {
    const seen = new Set<string>();
    // What was typed goes before pictures, which take their time.
    const willing = this.aboard.waiting.filter((one) => !isAsItIs(one) || one.refused === null);
    const photos = willing.filter(({ kind }) => kind === 'photo');
    const stuck = ({ boatId }: Waiting) => this.aboard.boats.get(boatId)?.trouble;
    const others = willing.filter((one) => one.kind !== 'photo' && (one.kind === 'record' || !stuck(one)));
    return [...others, ...photos].filter((one) => {
      const lane = laneOf(one);
      if (seen.has(lane)) return false;
      seen.add(lane);
      return !this.sending.has(lane);
    });
  }

  private async send(waiting: Waiting): Promise<void> {
    const lane = laneOf(waiting);
    this.sending.add(lane);
    this.tell();
    try {
      const one = await this.aboard.change((change) => goingOut(change, waiting.id));
      if (one?.kind === 'record') await this.deliverRecords();
      else if (one) await this.deliver(one);
      // Another tab sent it, and was ended before it told of it: what is in memory is not what lies on the device.
      else if (this.aboard.waiting.some(({ id }) => id === waiting.id)) await this.aboard.read();
    } catch {
      this.pause();
    }
    this.sending.delete(lane);
    this.tell();
    this.look();
  }

  private async deliver(one: Waiting): Promise<void> {
    try {
      const version = await this.handOver(one);
      this.settled();
      await this.aboard.change((change) => taken(change, one, version, this.hand()));
      this.onTaken();
    } catch (error) {
      if (error instanceof ServerProblem && error.status === 412)
        await this.aboard.change((change) => stale(change, one, error.current ?? null, this.hand()));
      else if (error instanceof ServerProblem)
        await this.aboard.change((change) =>
          refused(change, one, `The server did not take this: ${error.message}`, this.hand()),
        );
      else if (error instanceof ServerAway) this.pause();
      else if (error instanceof ServerNewer) this.pause(false);
      else throw error;
      if (error instanceof ServerProblem) this.settled();
    }
  }

  /** Hands over the entries that wait, some at once, in their order. */
  private async deliverRecords(): Promise<void> {
    const ids = this.aboard.waiting
      .filter((one) => one.kind === 'record' && one.refused === null)
      .slice(0, ENTRIES_AT_ONCE)
      .map(({ id }) => id);
    const entries = await this.aboard.change((change) => entriesOf(change, ids));
    if (entries.length === 0) return;
    try {
      const results = await this.receiver.records(entries);
      this.settled();
      await this.aboard.change((change) => recordsAnswered(change, results));
      this.onTaken();
    } catch (error) {
      if (error instanceof ServerAway) return this.pause();
      if (error instanceof ServerNewer) return this.pause(false);
      if (!(error instanceof ServerProblem)) throw error;
      // None of them was looked at: the first is told, so that the others do not wait for it.
      const [first] = entries;
      const { code, message } = error;
      if (first)
        await this.aboard.change((change) =>
          recordsAnswered(change, [{ id: first.entry.id, kind: 'refused', code, path: '$', message }]),
        );
      this.settled();
    }
  }

  private async handOver(one: Waiting): Promise<Version | null> {
    const sent = { key: one.id, by: one.by };
    switch (one.kind) {
      case 'save':
        return one.sent && this.receiver.put(one.sent.job, one.sent.basedOn, { ...sent, kept: one.kept });
      case 'remove':
        if (one.sent) await this.receiver.remove(one.boatId, one.sent.basedOn, sent);
        return null;
      case 'aside':
        return one.sent && this.receiver.aside(one.lost, one.sent.basedOn, sent);
      case 'photo': {
        for (const id of one.photoIds) {
          const photo = await this.aboard.photo(id);
          if (!photo) throw new ServerProblem(404, 'not-here', 'The picture is no longer on this device.');
          await this.receiver.photo(id, photo.blob, sent);
        }
        return null;
      }
      case 'stock':
        await this.receiver.stock(one.entry);
        return null;
      case 'record':
        throw new Error('Entries of records go out together.');
      default:
        return one satisfies never;
    }
  }

  private settled(): void {
    this.tries = 0;
    this.pausedUntil = 0;
    this.setAway(false);
  }

  /** @param away whether it is the server that was not reached */
  private pause(away = true): void {
    // A little more or less, so that not all devices come back in the same moment.
    const share = 0.75 + (this.hand().now % 101) / 202;
    this.pausedUntil =
      this.hand().now + Math.min(LONGEST_PAUSE_MS, SHORTEST_PAUSE_MS * 2 ** Math.min(this.tries, 10)) * share;
    this.tries += 1;
    if (away) this.setAway(true);
  }

  private setAway(away: boolean): void {
    if (this.away === away) return;
    this.away = away;
    this.tell();
  }

  private tell(): void {
    for (const listener of this.listeners) listener();
  }
}
