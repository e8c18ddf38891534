import { readJob } from '@harbor-latch/core/file/index';
import { mergeJobs, type Job } from '@harbor-latch/core/job/index';
import { replaceEqualDeep } from '@tanstack/react-query';
import { followGuesses } from '@harbor-latch/core/water/followGuesses';
import { deleteBoat, putBoat, ServerAway, ServerProblem, type StoredBoat } from './api';
import {
  changed,
  draftOf,
  keepMine,
  newDraft,
  taken,
  takeMerged,
  takeTheirs,
  following,
  undone,
  withTyped,
  type Draft,
} from './draft';

const KEY = 'latch.draft.';
const SAVE_AFTER_MS = 700;
const RETRY_AFTER_MS = 4000;

/** What the store needs of the world around it; tests pass their own. */
export interface DraftWorld {
  readonly storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;
  put(job: Job, basedOn: number | null): Promise<StoredBoat>;
  remove(id: string, basedOn: number): Promise<void>;
  /** Told after every write the server took, so that lists can follow. */
  onStored(boat: StoredBoat): void;
}

interface Kept {
  readonly job: Job;
  readonly basedOn: number | null;
  readonly base: Job | null;
  readonly typed: Readonly<Record<string, string>>;
}

/**
 * The boats this device works on. Every change is kept on the device at once and
 * saved to the server soon after; a dead server, a reload or a stale copy loses
 * nothing.
 */
export class DraftStore {
  private drafts: ReadonlyMap<string, Draft> = new Map();
  private readonly listeners = new Set<() => void>();
  private readonly timers = new Map<string, ReturnType<typeof setTimeout>>();
  /** Boats of which a save is under way: one at a time each. */
  private readonly sending = new Set<string>();
  /** What was sent last of a boat and not answered: the server may have taken it. */
  private readonly unanswered = new Map<string, Job>();

  constructor(private readonly world: DraftWorld) {
    this.drafts = new Map(this.readKept().map((draft) => [draft.id, draft]));
    for (const id of this.drafts.keys()) this.saveSoon(id, 0);
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** All drafts; the same map until something changes. */
  all = (): ReadonlyMap<string, Draft> => this.drafts;

  /** Begins work on a boat from the server, unless this device holds changes of its own. */
  open(stored: StoredBoat): void {
    const held = this.drafts.get(stored.id);
    if (!held) this.put(draftOf(stored));
    else if (held.save.kind === 'saved' && held.basedOn !== null && held.basedOn < stored.version) {
      this.put({ ...draftOf(stored), reloads: held.reloads + 1 });
    }
  }

  /** Adds a boat of this device's making. */
  add(job: Job): void {
    this.put(newDraft(job));
    this.saveSoon(job.boat.id, 0);
  }

  /** Replaces a boat's job; `undo` brings the one before back. */
  change(id: string, job: Job): void {
    const before = this.drafts.get(id)?.job;
    this.update(id, (draft) => (draft.job === job ? draft : changed(draft, job)));
    // The field that was typed in goes on; those whose guesses follow begin anew.
    if (before) this.update(id, (draft) => following(draft, before));
  }

  /** Replaces a boat's job from outside its fields, so that open forms start anew. */
  replace(id: string, job: Job): void {
    this.update(id, (draft) => ({ ...changed(draft, followGuesses(draft.job, job)), reloads: draft.reloads + 1 }));
  }

  /**
   * Replaces a boat's job by one that was made from `seen`. What was changed since that was
   * shown stays; where both changed the same, what is done now counts.
   */
  replaceSeen(id: string, seen: Job, job: Job): void {
    this.update(id, (draft) => {
      const merged = draft.job === seen ? job : mergeJobs(seen, job, draft.job, () => 'mine').job;
      const read = merged === job ? null : readJob(merged);
      return { ...changed(draft, read?.ok ? read.job : job), reloads: draft.reloads + 1 };
    });
  }

  /** Keeps a text that is not a value yet; null forgets it. */
  type(id: string, path: string, text: string | null): void {
    const draft = this.drafts.get(id);
    if (draft && (draft.typed[path] ?? null) !== text) this.put(withTyped(draft, path, text));
  }

  undo(id: string): void {
    this.update(id, undone);
  }

  keepMine(id: string): void {
    this.update(id, (draft) => (draft.save.kind === 'conflict' ? keepMine(draft, draft.save.current) : draft), 0);
  }

  takeTheirs(id: string): void {
    const draft = this.drafts.get(id);
    if (draft?.save.kind === 'conflict' && draft.save.current) this.put(takeTheirs(draft, draft.save.current));
  }

  /** Settles a conflict by what was brought together of both copies. */
  takeMerged(id: string, merged: Job): void {
    this.update(
      id,
      (draft) =>
        draft.save.kind === 'conflict' && draft.save.current ? takeMerged(draft, draft.save.current, merged) : draft,
      0,
    );
  }

  /** Removes a boat here and on the server. @returns the job, to be added again on undo. */
  async remove(id: string): Promise<Job | null> {
    const draft = this.drafts.get(id);
    if (!draft) return null;
    if (draft.basedOn !== null) await this.world.remove(id, draft.basedOn);
    clearTimeout(this.timers.get(id));
    this.world.storage.removeItem(KEY + id);
    this.drafts = new Map([...this.drafts].filter(([other]) => other !== id));
    this.tell();
    return draft.job;
  }

  /** Tries to save whatever is not saved, now. */
  saveAll = (): void => {
    for (const draft of this.drafts.values()) if (draft.save.kind !== 'saved') this.saveSoon(draft.id, 0);
  };

  private update(id: string, change: (draft: Draft) => Draft, afterMs = SAVE_AFTER_MS): void {
    const draft = this.drafts.get(id);
    if (!draft) return;
    const next = change(draft);
    if (next === draft) return;
    this.put(next);
    if (next.save.kind === 'unsaved') this.saveSoon(id, afterMs);
  }

  private put(draft: Draft): void {
    const { unkept: _before, ...held } = draft;
    const kept = this.keep(held);
    this.drafts = new Map(this.drafts).set(draft.id, kept ? held : { ...held, unkept: true });
    this.tell();
  }

  /** Keeps a draft on the device as long as it holds what the server does not. @returns false where there is no room for it */
  private keep({ id, job, basedOn, base, typed, save }: Draft): boolean {
    const { storage } = this.world;
    try {
      if (save.kind === 'saved' && Object.keys(typed).length === 0) storage.removeItem(KEY + id);
      else storage.setItem(KEY + id, JSON.stringify({ job, basedOn, base, typed } satisfies Kept));
      return true;
    } catch {
      return false;
    }
  }

  private saveSoon(id: string, afterMs: number): void {
    clearTimeout(this.timers.get(id));
    this.timers.set(
      id,
      setTimeout(() => void this.saveNow(id), afterMs),
    );
  }

  private async saveNow(id: string): Promise<void> {
    const draft = this.drafts.get(id);
    if (!draft || draft.save.kind === 'saved' || draft.save.kind === 'conflict') return;
    // What was changed since goes out once the one that is under way was answered.
    if (this.sending.has(id)) return;
    this.sending.add(id);
    this.put({ ...draft, save: { kind: 'saving' } });
    const sent = draft.job;
    try {
      this.settled(id, sent, await this.world.put(sent, draft.basedOn));
    } catch (error) {
      const own = this.ownIn(id, error);
      if (own) this.settled(id, own.job, own.stored);
      else {
        if (error instanceof ServerAway) this.unanswered.set(id, sent);
        this.settle(id, (now) => ({ ...now, save: failure(error) }));
      }
    }
    this.sending.delete(id);
    const after = this.drafts.get(id)?.save.kind;
    if (after === 'unsaved') this.saveSoon(id, SAVE_AFTER_MS);
    if (after === 'away') this.saveSoon(id, RETRY_AFTER_MS);
  }

  /** The server holds what was sent. */
  private settled(id: string, sent: Job, stored: StoredBoat): void {
    this.unanswered.delete(id);
    this.world.onStored(stored);
    this.settle(id, (now) => taken(now, sent, stored));
  }

  /** Of a refusal as stale: whether the copy there is this device's own, of a save whose answer was lost. */
  private ownIn(id: string, error: unknown): { readonly job: Job; readonly stored: StoredBoat } | null {
    const job = this.unanswered.get(id);
    if (!job || !(error instanceof ServerProblem) || error.status !== 412 || !error.current) return null;
    return replaceEqualDeep(job, error.current.job) === job ? { job, stored: error.current } : null;
  }

  private settle(id: string, change: (draft: Draft) => Draft): void {
    const now = this.drafts.get(id);
    if (now) this.put(change(now));
  }

  private readKept(): Draft[] {
    const { storage } = this.world;
    const keys = Array.from({ length: storage.length }, (_, index) => storage.key(index) ?? '').filter((key) =>
      key.startsWith(KEY),
    );
    return keys.flatMap((key) => {
      const draft = keptDraft(storage.getItem(key));
      return draft ? [draft] : [];
    });
  }

  private tell(): void {
    for (const listener of this.listeners) listener();
  }
}

function keptDraft(text: string | null): Draft | null {
  if (text === null) return null;
  try {
    const kept = JSON.parse(text) as Kept;
    const read = readJob(kept.job);
    if (!read.ok) return null;
    // What it is based on may be of an earlier version as well.
    const base = kept.base ? readJob(kept.base) : null;
    return { ...newDraft(read.job), basedOn: kept.basedOn, base: base?.ok ? base.job : null, typed: kept.typed };
  } catch {
    return null;
  }
}

function failure(error: unknown): Draft['save'] {
  if (error instanceof ServerProblem && error.status === 412)
    return { kind: 'conflict', current: error.current ?? null };
  if (error instanceof ServerProblem) return { kind: 'refused', message: error.message };
  if (error instanceof ServerAway) return { kind: 'away' };
  return { kind: 'refused', message: 'The boat could not be saved. It is kept on this device.' };
}

/** The world of the browser. */
export function browserWorld(onStored: (boat: StoredBoat) => void): DraftWorld {
  return { storage: window.localStorage, put: putBoat, remove: deleteBoat, onStored };
}
