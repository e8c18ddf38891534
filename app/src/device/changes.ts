import { readJob } from '@harbor-latch/core/file/index';
import { mergeJobs, type Job } from '@harbor-latch/core/job/index';
import type { Kept, StoredBoat, Version } from '@harbor-latch/core/wire/index';
import { replaceEqualDeep } from '@tanstack/react-query';
import { isAsItIs, type BoatRow, type Waiting } from './rows';
import type { Change } from './tables';

/** Who changes something, when, and how new things are named. */
export interface Hand {
  readonly by: string;
  /** ms since 1970. */
  readonly now: number;
  /** A new UUIDv7. */
  newId(): string;
}

/** So long a save rests after the last change, so that a burst of typing is one save, ms. */
const REST_MS = 700;

/** Whether two jobs say the same. */
export function sameJob(one: Job | null, other: Job | null): boolean {
  return one === other || (one !== null && other !== null && replaceEqualDeep(one, other) === one);
}

/** Two jobs brought together; where both changed the same, `mine` counts. */
export function mineOver(base: Job, mine: Job, theirs: Job): Job {
  const read = readJob(mergeJobs(base, mine, theirs, () => 'mine').job);
  return read.ok ? read.job : mine;
}

async function waitingOf(change: Change, boatId: string): Promise<Waiting[]> {
  return (await change.waiting.all()).filter((one) => one.boatId === boatId);
}

/** Has a boat saved: by the save that waits already, or by a new one. */
export async function wantSave(
  change: Change,
  row: BoatRow,
  hand: Hand,
  { kept = null, restMs = REST_MS }: { readonly kept?: Kept | null; readonly restMs?: number } = {},
): Promise<void> {
  const open = (await waitingOf(change, row.id)).find((one) => one.kind === 'save' && one.sent === null);
  const { name } = row.job.boat;
  const dueAt = hand.now + restMs;
  if (open?.kind === 'save') await change.waiting.put({ ...open, name, dueAt, kept: kept ?? open.kept });
  else {
    const { by, now: at } = hand;
    await change.waiting.put({ id: hand.newId(), boatId: row.id, kind: 'save', name, at, dueAt, by, kept, sent: null });
  }
}

async function dropUnsent(change: Change, boatId: string, kind: Waiting['kind']): Promise<boolean> {
  const unsent = (await waitingOf(change, boatId)).filter((one) => one.kind === kind && one.sent === null);
  for (const { id } of unsent) await change.waiting.delete(id);
  return unsent.length > 0;
}

/** What a tab makes of a boat. */
export interface Edit {
  readonly id: string;
  readonly job: Job;
  readonly typed: Readonly<Record<string, string>>;
  /** What the tab showed when the edit was made, and the row's count then; null for a boat that is new. */
  readonly seen: { readonly job: Job; readonly rev: number } | null;
  readonly kept: Kept | null;
}

/**
 * Keeps an edit. What another tab kept since stays; where both changed the same, what was done last counts.
 * @returns the row as it is then
 */
export async function keepEdit(change: Change, { id, job, typed, seen, kept }: Edit, hand: Hand): Promise<BoatRow> {
  const before = await change.boats.get(id);
  const behind = before && seen && before.rev !== seen.rev && !sameJob(seen.job, before.job);
  const merged = behind ? mineOver(seen.job, job, before.job) : job;
  // Wanted back after she was removed, while what was told of her before that has brought her here again: she is added anew.
  const anew = seen === null && before && !before.removed ? { basedOn: null, base: null } : {};
  const row: BoatRow = before
    ? {
        ...before,
        ...anew,
        job: merged,
        typed,
        rev: before.rev + 1,
        removed: false,
        trouble: before.trouble?.kind === 'refused' ? null : before.trouble,
        usedAt: hand.now,
      }
    : {
        id,
        job,
        basedOn: null,
        base: null,
        typed,
        rev: 1,
        // Somebody removed her while she was being changed here: that is asked.
        trouble: seen === null ? null : { kind: 'conflict', current: null },
        removed: false,
        usedAt: hand.now,
      };
  await change.boats.put(row);
  if (before?.removed) await dropUnsent(change, id, 'remove');
  if (sameJob(row.job, row.base)) await dropUnsent(change, id, 'save');
  else await wantSave(change, row, hand, { kept, restMs: before ? REST_MS : 0 });
  return row;
}

/** Removes a boat here, and has her removed from the server. */
export async function removeBoat(change: Change, id: string, hand: Hand): Promise<void> {
  const row = await change.boats.get(id);
  if (!row) return;
  await dropUnsent(change, id, 'save');
  const under = await waitingOf(change, id);
  if (row.basedOn === null && under.length === 0) {
    await change.boats.delete(id);
    await change.lines.delete(id);
    return;
  }
  await change.boats.put({ ...row, removed: true, trouble: null, rev: row.rev + 1 });
  const { by, now: at } = hand;
  const { name } = row.job.boat;
  await change.waiting.put({ id: hand.newId(), boatId: id, kind: 'remove', name, at, dueAt: at, by, sent: null });
}

/** What goes out next of what waits, fixed as it goes out; null where there is nothing to send after all. */
export async function goingOut(change: Change, id: string): Promise<Waiting | null> {
  const one = await change.waiting.get(id);
  if (!one || one.sent !== null || isAsItIs(one)) return one ?? null;
  const row = await change.boats.get(one.boatId);
  const nothing = async () => {
    await change.waiting.delete(id);
    return null;
  };
  if (!row) return nothing();
  if (one.kind === 'save') {
    if (row.removed || (row.basedOn !== null && sameJob(row.job, row.base))) return nothing();
    const out: Waiting = { ...one, sent: { job: row.job, basedOn: row.basedOn } };
    await change.waiting.put(out);
    return out;
  }
  if (row.basedOn === null) {
    if (one.kind === 'remove') await change.boats.delete(row.id);
    return nothing();
  }
  const out: Waiting = { ...one, sent: { basedOn: row.basedOn } };
  await change.waiting.put(out);
  return out;
}

/** The server took what was sent. */
export async function taken(change: Change, one: Waiting, version: Version | null, hand: Hand): Promise<void> {
  await change.waiting.delete(one.id);
  const row = await change.boats.get(one.boatId);
  if (!row || isAsItIs(one)) return;
  if (one.kind === 'remove') {
    if (row.removed) {
      await change.boats.delete(row.id);
      await change.lines.delete(row.id);
      return;
    }
    // She was wanted back meanwhile: she is added again.
    const back: BoatRow = { ...row, basedOn: null, base: null, rev: row.rev + 1 };
    await change.boats.put(back);
    return wantSave(change, back, hand, { restMs: 0 });
  }
  if (!version) return;
  const base = one.kind === 'save' && one.sent ? one.sent.job : row.base;
  // One that says the same is the same object, which is stored once.
  const settled = sameJob(row.job, base);
  const next: BoatRow = { ...row, basedOn: version.version, base: settled ? row.job : base, rev: row.rev + 1 };
  await change.boats.put(next);
  if (!settled && !row.removed) await wantSave(change, next, hand);
}

/**
 * The server holds something newer than what was changed here. What only one side changed is brought together
 * unasked; where both changed the same, the user is asked.
 */
export async function stale(change: Change, one: Waiting, current: StoredBoat | null, hand: Hand): Promise<void> {
  await change.waiting.delete(one.id);
  const row = await change.boats.get(one.boatId);
  if (!row) return;
  if (one.kind === 'remove') {
    if (!current) {
      await change.boats.delete(row.id);
      return;
    }
    const message = `${current.job.boat.name} was changed elsewhere since, and was not removed. Remove again if she shall go.`;
    await change.boats.put({
      ...fromServer(current, row),
      trouble: { kind: 'refused', message },
    });
    return;
  }
  const ask = () => change.boats.put({ ...row, trouble: { kind: 'conflict', current }, rev: row.rev + 1 });
  if (!current || !row.base) {
    if (current && sameJob(row.job, current.job)) await change.boats.put(fromServer(current, row));
    else await ask();
    return;
  }
  const merged = mergeJobs(row.base, row.job, current.job, () => 'mine');
  const read = merged.conflicts.length === 0 ? readJob(merged.job) : null;
  if (!read?.ok) {
    await ask();
    return;
  }
  const next: BoatRow = {
    ...row,
    job: read.job,
    base: current.job,
    basedOn: current.version,
    trouble: null,
    rev: row.rev + 1,
  };
  await change.boats.put(next);
  if (one.kind === 'aside') await change.waiting.put({ ...one, id: hand.newId(), sent: null });
  else if (!sameJob(next.job, next.base))
    await wantSave(change, next, hand, { kept: one.kind === 'save' ? one.kept : null });
}

/** The server did not take what was sent, and would not take it again: it stays here, with the reason. */
export async function refused(change: Change, one: Waiting, message: string, hand: Hand): Promise<void> {
  if (isAsItIs(one)) {
    await change.waiting.put({ ...one, refused: message });
    return;
  }
  await change.waiting.delete(one.id);
  const row = await change.boats.get(one.boatId);
  if (!row) return;
  await change.boats.put({ ...row, removed: false, trouble: { kind: 'refused', message }, rev: row.rev + 1 });
  if (one.kind === 'save') await wantSave(change, row, hand, { kept: one.kept, restMs: 0 });
  else if (one.kind === 'aside') await change.waiting.put({ ...one, id: hand.newId(), sent: null });
}

/** Tries again what was refused. */
export async function tryAgain(change: Change, id: string, hand: Hand): Promise<void> {
  for (const one of await waitingOf(change, id))
    if (isAsItIs(one) && one.refused !== null) await change.waiting.put({ ...one, refused: null });
  const row = await change.boats.get(id);
  if (row?.trouble?.kind !== 'refused') return;
  const next: BoatRow = { ...row, trouble: null, rev: row.rev + 1 };
  await change.boats.put(next);
  if (!sameJob(next.job, next.base)) await wantSave(change, next, hand, { restMs: 0 });
}

/** How a conflict is settled. */
export type Settlement =
  { readonly kind: 'mine' } | { readonly kind: 'theirs' } | { readonly kind: 'merged'; readonly job: Job };

/** Settles a conflict; what loses by it stays among the boat's versions. */
export async function settle(change: Change, id: string, how: Settlement, hand: Hand): Promise<void> {
  const row = await change.boats.get(id);
  if (row?.trouble?.kind !== 'conflict') return;
  const { current } = row.trouble;
  await dropUnsent(change, id, 'save');
  const { by, now: at } = hand;
  if (current && how.kind !== 'mine') {
    const { name } = row.job.boat;
    const aside = { id: hand.newId(), boatId: id, name, at, dueAt: at, by };
    await change.waiting.put({ ...aside, kind: 'aside', lost: row.job, sent: null });
  }
  const job = how.kind === 'mine' || !current ? row.job : how.kind === 'theirs' ? current.job : how.job;
  const next: BoatRow = {
    ...row,
    job,
    basedOn: current?.version ?? null,
    base: current?.job ?? null,
    trouble: null,
    rev: row.rev + 1,
  };
  await change.boats.put(next);
  if (!sameJob(next.job, next.base))
    await wantSave(change, next, hand, { kept: current && how.kind !== 'theirs' ? 'conflict' : null, restMs: 0 });
}

/** Notes that a boat was opened: in a large yard she stays on this device for it. */
export async function noteUse(change: Change, id: string, now: number): Promise<void> {
  const row = await change.boats.get(id);
  if (row && now - row.usedAt > 3_600_000) await change.boats.put({ ...row, usedAt: now, rev: row.rev + 1 });
}

/** A row of what the server holds, in place of the one that was here. */
export function fromServer({ id, job, version }: StoredBoat, row: BoatRow | undefined, usedAt = 0): BoatRow {
  return {
    id,
    job,
    base: job,
    basedOn: version,
    typed: row?.typed ?? {},
    rev: (row?.rev ?? 0) + 1,
    trouble: null,
    removed: false,
    usedAt: Math.max(row?.usedAt ?? 0, usedAt),
  };
}
