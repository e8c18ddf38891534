import type { Changes, StoredBoat } from '@harbor-latch/core/wire/index';
import { ServerAway, ServerNewer, ServerProblem } from '../data/api';
import type { Aboard } from './Aboard';
import { applyChanges, fetched } from './arrivals';
import type { BoatRow } from './rows';
import type { Change } from './tables';

/** The server, as far as what changed comes from it. */
export interface Source {
  changes(after: string | null, jobs: boolean): Promise<Changes>;
  boats(ids: readonly string[]): Promise<readonly StoredBoat[]>;
  /** Calls whenever there is something new, until it is ended. `onEnd` where it broke off. */
  listen(onNews: () => void, onEnd: () => void): () => void;
}

/** A yard of at most so many boats is here whole. */
const MOST_ABOARD = 500;
/** In a larger one, boats stay that were opened in so many days. */
const STAY_MS = 90 * 24 * 3600 * 1000;
const BOATS_AT_ONCE = 25;
/** So many lines fill a page and what is looked at next. */
const FIRST_LINES = 40;
const collator = new Intl.Collator();
const ASK_EVERY_MS = 60_000;
const LISTEN_AGAIN_MS = 3000;
const LARGE_REST_MS = 2000;

export type FeedState =
  /** `newer`: the server holds what only a newer version of the application can read. */
  { readonly kind: 'asking' | 'current' | 'away' | 'newer' } | { readonly kind: 'failed'; readonly message: string };

type Here = Pick<Aboard, 'boats' | 'lines' | 'stock' | 'feed'>;

/** What is on the device at this moment; it is written anew, never in place. */
const hereNow = ({ boats, lines, stock, feed }: Aboard): Here => ({ boats, lines, stock, feed });

/** Keeps this device in step with the yard: asks what changed, and is told when there is something. */
export class Feed {
  state: FeedState = { kind: 'asking' };
  private readonly listeners = new Set<() => void>();
  private asking: Promise<void> | undefined;
  private again = false;
  private endListening: (() => void) | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private asked: ReturnType<typeof setTimeout> | undefined;
  private running = false;

  constructor(
    private readonly aboard: Aboard,
    private readonly source: Source,
    private readonly now: () => number,
    /** Told whether the server was reached whenever it was asked. */
    private readonly onAsked: (reached: boolean) => void = () => undefined,
  ) {}

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Begins: this tab is the one that asks. */
  start(): void {
    this.running = true;
    void this.ask();
  }

  stop(): void {
    this.running = false;
    clearTimeout(this.timer);
    clearTimeout(this.asked);
    this.endListening?.();
    this.endListening = undefined;
  }

  /** Asks what changed, now. */
  ask = (): Promise<void> => {
    if (this.asking) {
      this.again = true;
      return this.asking;
    }
    this.asking = this.askUntilCurrent().finally(() => (this.asking = undefined));
    return this.asking;
  };

  /** Takes over what another tab of this device found, which asks for all of them. */
  heard(reached: boolean): void {
    if (!this.running && this.state.kind !== 'newer') this.set({ kind: reached ? 'current' : 'away' });
  }

  /** Asks soon after word of something new: in a large yard, where every answer is shown anew, less often. */
  private askSoon = (): void => {
    if (this.asked !== undefined) return;
    const restMs = this.aboard.lines.size > MOST_ABOARD ? LARGE_REST_MS : 0;
    this.asked = setTimeout(() => {
      this.asked = undefined;
      void this.ask();
    }, restMs);
  };

  /** Brings boats onto this device that are not here whole. @throws ServerAway */
  async bring(ids: readonly string[]): Promise<void> {
    const boats = await this.source.boats(ids);
    await this.aboard.change((change) => fetched(change, boats, this.now()));
  }

  private async askUntilCurrent(): Promise<void> {
    clearTimeout(this.timer);
    try {
      do {
        this.again = false;
        await this.catchUp();
      } while (this.again);
      this.set({ kind: 'current' });
      this.onAsked(true);
      this.listen();
    } catch (error) {
      this.endListening?.();
      this.endListening = undefined;
      if (error instanceof ServerProblem) this.set({ kind: 'failed', message: error.message });
      else if (error instanceof ServerNewer) this.set({ kind: 'newer' });
      else {
        this.set({ kind: 'away' });
        this.onAsked(false);
        if (!(error instanceof ServerAway)) throw error;
      }
    } finally {
      const waitMs = this.state.kind === 'current' ? ASK_EVERY_MS : LISTEN_AGAIN_MS * 2;
      if (this.running) this.timer = setTimeout(() => void this.ask(), waitMs);
    }
  }

  private async catchUp(): Promise<void> {
    // As it was here when the server was asked: what came to be here since cannot be in the list that it answers with.
    const { feed, ...here } = hereNow(this.aboard);
    let whole = feed?.whole ?? true;
    let seen: Set<string> | null = null;
    const gone = new Set<string>();
    let shown = false;
    const older: string[] = [];
    for (let after = feed?.point ?? null, more = true; more;) {
      let page = await this.source.changes(after, whole);
      if (page.whole) {
        seen = new Set();
        const fits = page.boats <= MOST_ABOARD;
        if (whole !== fits) {
          whole = fits;
          page = await this.source.changes(null, whole);
        }
      }
      for (const one of page.changes) {
        if (one.kind === 'boat') seen?.add(one.line.id);
        if (one.kind === 'stock') seen?.add(one.entry.id);
        if (one.kind === 'record') seen?.add(one.record.entry.id);
      }
      if (seen && !page.more) for (const id of await this.gone(here, seen)) gone.add(id);
      const behind = page;
      // Of a yard that is read for the first time the first page is shown, and then all of it.
      const between = seen !== null && shown && page.more;
      shown = true;
      const apply = (change: Change) => applyChanges(change, behind, { whole, seen, gone });
      older.push(...(await this.aboard.change(apply, between)));
      ({ next: after, more } = page);
    }
    for (let at = 0; at < older.length; at += BOATS_AT_ONCE) await this.bring(older.slice(at, at + BOATS_AT_ONCE));
    if (!whole) await this.letGo();
    await this.noteFirst();
  }

  /**
   * What was here and did not come with a list that began anew. Of boats those that the server has after all stay: a change
   * is told of only once every one that began before it has ended.
   */
  private async gone({ boats, lines, stock }: Omit<Here, 'feed'>, seen: ReadonlySet<string>): Promise<string[]> {
    const onServer = [...boats.values()].flatMap(({ id, basedOn }) => (basedOn === null ? [] : [id]));
    const missing = new Set([...onServer, ...lines.keys()].filter((id) => !seen.has(id)));
    const asked = [...missing];
    for (let at = 0; at < asked.length; at += BOATS_AT_ONCE)
      for (const { id } of await this.source.boats(asked.slice(at, at + BOATS_AT_ONCE))) missing.delete(id);
    return [...missing, ...stock.flatMap(({ id }) => (seen.has(id) ? [] : [id]))];
  }

  /** Notes the beginning of a large yard's list: it is shown while the rest is read. */
  private async noteFirst(): Promise<void> {
    const { lines } = this.aboard;
    if (lines.size <= MOST_ABOARD) return;
    const first = [...lines.values()].sort((a, b) => collator.compare(a.name, b.name)).slice(0, FIRST_LINES);
    // Quietly: nothing that is shown follows from it.
    await this.aboard.change(async (change) => void (await change.first.put({ key: 'first', lines: first })), true);
  }

  /** In a large yard boats that nobody opened for long are here in a few lines alone. */
  private async letGo(): Promise<void> {
    const waiting = new Set(this.aboard.waiting.map(({ boatId }) => boatId));
    const rested = (row: BoatRow) =>
      row.usedAt < this.now() - STAY_MS &&
      row.basedOn !== null &&
      row.trouble === null &&
      !waiting.has(row.id) &&
      Object.keys(row.typed).length === 0;
    const gone = [...this.aboard.boats.values()].filter(rested);
    if (gone.length === 0) return;
    await this.aboard.change(async (change) => {
      for (const { id } of gone) await change.boats.delete(id);
    });
  }

  private listen(): void {
    if (!this.running) return;
    this.endListening ??= this.source.listen(this.askSoon, () => {
      this.endListening = undefined;
      clearTimeout(this.timer);
      if (this.running) this.timer = setTimeout(() => void this.ask(), LISTEN_AGAIN_MS);
    });
  }

  private set(state: FeedState): void {
    if (state.kind === this.state.kind && state.kind !== 'failed') return;
    this.state = state;
    for (const listener of this.listeners) listener();
  }
}
