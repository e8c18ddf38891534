import { readJob } from '@harbor-latch/core/file/index';
import { mergeJobs, type Job } from '@harbor-latch/core/job/index';
import type { Kept } from '@harbor-latch/core/wire/index';
import { v4 } from 'uuid';
import { followGuesses } from '@harbor-latch/core/water/followGuesses';
import type { Aboard } from '../device/Aboard';
import { keepEdit, removeBoat, sameJob, settle, tryAgain, type Hand, type Settlement } from '../device/changes';
import { isAsItIs, type BoatRow } from '../device/rows';
import type { Sender } from '../device/Sender';
import type { Change } from '../device/tables';
import {
  adopted,
  changed,
  following,
  opened,
  undone,
  withTyped,
  type Draft,
  type SaveState,
  type Worked,
} from './draft';

/** What a page works on of a boat, ahead of what the device keeps. */
interface Work extends Worked {
  /** What the device kept when this was last in step with it; null for a boat that is new. */
  readonly seen: { readonly job: Job; readonly rev: number } | null;
  /** The row that was last taken over. */
  readonly row: BoatRow | null;
  readonly kept: Kept | null;
}

/** Something done on the device in the same change as an edit. */
type Along = (change: Change, hand: Hand) => Promise<void>;

/**
 * The boats as the pages show them: at once what is done, while the device keeps it and the server is told. A dead
 * server, a reload, a second tab or a stale copy loses nothing.
 */
export class DraftStore {
  private readonly work = new Map<string, Work>();
  /** Boats with something that the device has not kept yet, and those of which it is being kept. */
  private readonly dirty = new Set<string>();
  private readonly keeping = new Set<string>();
  /** What is to be done on the device together with an edit, by boat. */
  private readonly along = new Map<string, readonly Along[]>();
  private drafts: ReadonlyMap<string, Draft> = new Map();
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly aboard: Aboard,
    private readonly sender: Sender,
    private readonly hand: () => Hand,
  ) {
    aboard.subscribe(this.follow);
    sender.subscribe(this.follow);
    this.follow();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** All drafts; the same map until something changes. */
  all = (): ReadonlyMap<string, Draft> => this.drafts;

  /** Adds a boat of this device's making, or one that was removed back again. */
  add(job: Job): void {
    const { id } = job.boat;
    this.work.set(id, { ...opened(job, {}), seen: null, row: null, kept: null });
    this.keep(id);
  }

  /** Adds a boat that is like another as she stands here. @returns her id */
  addCopy(id: string): string | null {
    const job = this.work.get(id)?.job;
    if (!job) return null;
    const boat = { ...job.boat, id: v4(), name: `${job.boat.name}, copy`.slice(0, 200) };
    this.add({ ...job, boat });
    return boat.id;
  }

  /** Replaces a boat's job; `undo` brings the one before back. */
  change(id: string, job: Job): void {
    this.update(id, (of) => (of.job === job ? of : following(changed(of, job), of.job)));
  }

  /** Replaces a boat's job, and does something more with what lies on the device: both, or neither. */
  changeWith(id: string, job: Job, along: Along): void {
    this.along.set(id, [...(this.along.get(id) ?? []), along]);
    this.change(id, job);
  }

  /**
   * Replaces a boat's job from outside its fields, so that open forms start anew.
   * @param kept why the version that comes of it stays for good
   */
  replace(id: string, job: Job, kept: Kept | null = null): void {
    this.update(id, (of) => ({
      ...changed(of, followGuesses(of.job, job)),
      reloads: of.reloads + 1,
      kept: kept ?? of.kept,
    }));
  }

  /**
   * Replaces a boat's job by one that was made from `seen`. What was changed since that was
   * shown stays; where both changed the same, what is done now counts.
   */
  replaceSeen(id: string, seen: Job, job: Job): void {
    this.update(id, (of) => {
      const merged = of.job === seen ? job : mergeJobs(seen, job, of.job, () => 'mine').job;
      const read = merged === job ? null : readJob(merged);
      return { ...changed(of, read?.ok ? read.job : job), reloads: of.reloads + 1 };
    });
  }

  /** Keeps a text that is not a value yet; null forgets it. */
  type(id: string, path: string, text: string | null): void {
    this.update(id, (of) => ((of.typed[path] ?? null) === text ? of : withTyped(of, path, text)));
  }

  undo(id: string): void {
    this.update(id, undone);
  }

  keepMine(id: string): void {
    void this.settle(id, { kind: 'mine' });
  }

  /** Takes the server's copy; the one on this device can be had back by undo, and stays among the versions. */
  takeTheirs(id: string): void {
    void this.settle(id, { kind: 'theirs' });
  }

  /** Settles a conflict by what was brought together of both copies. */
  takeMerged(id: string, job: Job): void {
    void this.settle(id, { kind: 'merged', job });
  }

  /** Removes a boat here, and has her removed from the server. @returns the job, to be added again on undo */
  async remove(id: string): Promise<Job | null> {
    const job = this.work.get(id)?.job ?? null;
    this.dirty.delete(id);
    await this.aboard.change((change) => removeBoat(change, id, this.hand()));
    return job;
  }

  /** What the device is still keeping, as the page holds it: all there is of it where the page ends before that is done. */
  unkept(): readonly Pick<Draft, 'id' | 'job' | 'basedOn' | 'base' | 'typed'>[] {
    return [...this.drafts.values()]
      .filter(({ id }) => this.ahead(id))
      .map(({ id, job, basedOn, base, typed }) => ({ id, job, basedOn, base, typed }));
  }

  /** Tries to save whatever is not saved, now; also what was refused. */
  saveAll = (): void => {
    for (const { id, save } of this.drafts.values())
      if (save.kind === 'refused') void this.aboard.change((change) => tryAgain(change, id, this.hand()));
    this.sender.now();
  };

  /** Tries again what the server refused of a boat. */
  retry(id: string): void {
    void this.aboard.change((change) => tryAgain(change, id, this.hand())).then(this.sender.now);
  }

  private async settle(id: string, how: Settlement): Promise<void> {
    await this.aboard.change((change) => settle(change, id, how, this.hand()));
  }

  private update(id: string, change: (work: Work) => Work): void {
    const before = this.work.get(id);
    if (!before) return;
    const next = change(before);
    if (next === before) return;
    this.work.set(id, next);
    this.keep(id);
  }

  /** Has the device keep what the page holds: at once, and what comes meanwhile right after. */
  private keep(id: string): void {
    this.dirty.add(id);
    this.show(id);
    if (!this.keeping.has(id)) void this.keepOn(id);
  }

  private async keepOn(id: string): Promise<void> {
    this.keeping.add(id);
    for (let work = this.work.get(id); work && this.dirty.has(id); work = this.work.get(id)) {
      this.dirty.delete(id);
      const { job, typed, seen, kept } = work;
      const along = this.along.get(id) ?? [];
      this.along.delete(id);
      const row = await this.aboard.change(async (change) => {
        const after = await keepEdit(change, { id, job, typed, seen, kept }, this.hand());
        for (const one of along) await one(change, this.hand());
        return after;
      });
      const now = this.work.get(id);
      // What was done meanwhile was done from what this page showed; it is brought together with the row next.
      if (now && now !== work)
        this.work.set(id, { ...now, seen: { job, rev: sameJob(row.job, job) ? row.rev : -1 }, kept: null });
      else if (now) this.work.set(id, { ...takenOver(now, row), kept: null });
    }
    this.keeping.delete(id);
    this.follow();
  }

  /** Takes over what the device keeps by now, wherever this page has nothing of its own ahead of it. */
  private follow = (): void => {
    for (const row of this.aboard.boats.values()) {
      const { id } = row;
      const work = this.work.get(id);
      if (row.removed) continue;
      if (!work) this.work.set(id, { ...opened(row.job, row.typed), seen: row, row, kept: null });
      else if (work.row !== row && !this.ahead(id)) this.work.set(id, takenOver(work, row));
    }
    for (const id of this.work.keys()) {
      const row = this.aboard.boats.get(id);
      if ((!row || row.removed) && !this.ahead(id)) this.work.delete(id);
    }
    this.showAll();
  };

  private ahead(id: string): boolean {
    return this.dirty.has(id) || this.keeping.has(id);
  }

  private showAll(): void {
    const unanswered = new Set(this.aboard.waiting.filter((one) => !isAsItIs(one)).map(({ boatId }) => boatId));
    let differs = this.drafts.size !== this.work.size;
    const after = new Map<string, Draft>();
    for (const [id, work] of this.work) {
      const before = this.drafts.get(id);
      const draft = this.draftOf(id, work, unanswered.has(id));
      const same = before !== undefined && alike(before, draft);
      after.set(id, same ? before : draft);
      differs ||= !same;
    }
    if (differs) this.set(after);
  }

  private show(id: string): void {
    const work = this.work.get(id);
    if (!work) return;
    const waits = this.aboard.waiting.some((one) => one.boatId === id && !isAsItIs(one));
    this.set(new Map(this.drafts).set(id, this.draftOf(id, work, waits)));
  }

  private draftOf(id: string, { job, typed, past, reloads }: Work, waits: boolean): Draft {
    const row = this.aboard.boats.get(id);
    const { basedOn = null, base = null } = row ?? {};
    const unkept = !this.aboard.lasting && (waits || this.ahead(id));
    const save = this.saveState(id, row, waits);
    return { id, job, basedOn, base, typed, past, save, reloads, ...(unkept ? { unkept } : {}) };
  }

  private saveState(id: string, row: BoatRow | undefined, waits: boolean): SaveState {
    if (row?.trouble) return row.trouble;
    if (this.sender.sending.has(id)) return { kind: 'saving' };
    if (this.ahead(id)) return { kind: 'unsaved' };
    if (!waits) return { kind: 'saved' };
    return { kind: this.sender.away ? 'away' : 'unsaved' };
  }

  private set(drafts: ReadonlyMap<string, Draft>): void {
    this.drafts = drafts;
    for (const listener of this.listeners) listener();
  }
}

/** What a page holds, in step with the row again. */
function takenOver(work: Work, row: BoatRow): Work {
  // What another decided in a conflict is taken over so that undo brings one's own back.
  const settled = work.row?.trouble?.kind === 'conflict' && row.trouble === null;
  const next = adopted(work, row.job, row.typed, settled);
  return { ...next, seen: { job: next.job, rev: row.rev }, row };
}

function alike(one: Draft, other: Draft): boolean {
  return (
    one.job === other.job &&
    one.basedOn === other.basedOn &&
    one.base === other.base &&
    one.typed === other.typed &&
    one.past === other.past &&
    one.reloads === other.reloads &&
    one.unkept === other.unkept &&
    (one.save === other.save ||
      (one.save.kind === other.save.kind && !('message' in one.save) && !('current' in one.save)))
  );
}
