import { readJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import type { Aboard } from './Aboard';
import { mineOver, sameJob, wantSave, type Hand } from './changes';
import type { BoatRow } from './rows';
import type { Change } from './tables';

const KEY = 'latch.draft.';

/** What earlier releases kept of a boat in the browser's small storage. */
interface OldDraft {
  readonly job: Job;
  readonly basedOn: number | null;
  readonly base: Job | null;
  readonly typed: Readonly<Record<string, string>>;
}

/** A text that an earlier release kept and that cannot be read as a boat. */
export interface Unread {
  readonly key: string;
  readonly text: string;
  readonly why: string;
}

/**
 * Leaves what the tables have not kept yet in the browser's small storage, which takes it at once: a page that ends
 * ends their changes with it. It is carried over when the application opens next.
 */
export function leaveBehind(storage: Storage, unkept: readonly (OldDraft & { readonly id: string })[]): void {
  for (const { id, ...draft } of unkept) {
    try {
      storage.setItem(KEY + id, JSON.stringify(draft));
    } catch {
      // Where there is no room nothing more can be done as a page ends.
    }
  }
}

/** Takes back what was left behind by a page that went on and has kept it since. */
export function takeBack(storage: Storage, ids: Iterable<string>): void {
  for (const id of ids) storage.removeItem(KEY + id);
}

/** Carries over what earlier releases kept, once. @returns what could not be read: it stays where it lies */
export async function carryOver(storage: Storage, aboard: Aboard, hand: Hand): Promise<readonly Unread[]> {
  const unread: Unread[] = [];
  for (const key of Object.keys(storage).filter((one) => one.startsWith(KEY))) {
    const text = storage.getItem(key) ?? '';
    const old = oldDraft(text);
    if ('why' in old) unread.push({ key, text, why: old.why });
    else {
      await aboard.change((change) => keepCarried(change, old, hand));
      if (aboard.lasting) storage.removeItem(key);
    }
  }
  return unread;
}

function oldDraft(text: string): OldDraft | { readonly why: string } {
  let kept: Partial<OldDraft>;
  try {
    kept = (JSON.parse(text) ?? {}) as Partial<OldDraft>;
  } catch {
    return { why: 'It was cut short.' };
  }
  const read = readJob(kept.job);
  if (!read.ok) return { why: read.problems[0].message };
  const base = kept.base ? readJob(kept.base) : null;
  return {
    job: read.job,
    basedOn: typeof kept.basedOn === 'number' ? kept.basedOn : null,
    base: base?.ok ? base.job : null,
    typed: kept.typed ?? {},
  };
}

/** Puts what an earlier release, or a page as it ended, kept beside the tables into them; where both have a change of the same, it counts. */
async function keepCarried(
  change: Change,
  carried: Pick<BoatRow, 'job' | 'basedOn' | 'base' | 'typed'>,
  hand: Hand,
): Promise<void> {
  const { id } = carried.job.boat;
  const there = await change.boats.get(id);
  const row: BoatRow = there
    ? {
        ...there,
        job: mineOver(carried.base ?? there.base ?? there.job, carried.job, there.job),
        typed: carried.typed,
        rev: there.rev + 1,
        removed: false,
      }
    : { ...carried, id, rev: 1, trouble: null, removed: false, usedAt: hand.now };
  await change.boats.put(row);
  if (!sameJob(row.job, row.base)) await wantSave(change, row, hand, { restMs: 0 });
}
