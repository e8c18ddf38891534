import type { Changes, StoredBoat } from '@harbor-latch/core/wire/index';
import { fromServer } from './changes';
import { linkOf } from './recordRows';
import { isAsItIs, type BoatRow, type Waiting } from './rows';
import type { Change } from './tables';

/** Whether nothing of a row is this device's own. */
function isClean(row: BoatRow, waiting: readonly Waiting[]): boolean {
  return (
    !row.removed &&
    row.trouble === null &&
    row.basedOn !== null &&
    // What is sent as it is, like a picture or an entry, changes no boat.
    waiting.every((one) => one.boatId !== row.id || isAsItIs(one))
  );
}

/** Puts what the server told of whole boats on the device. What was changed here stays until it is sent, and is brought together then. @param usedAt when they were asked for, where somebody did */
export async function fetched(change: Change, boats: readonly StoredBoat[], usedAt = 0): Promise<void> {
  const waiting = await change.waiting.all();
  for (const boat of boats) {
    const row = await change.boats.get(boat.id);
    if (!row || (isClean(row, waiting) && boat.version > (row.basedOn ?? 0)))
      await change.boats.put(fromServer(boat, row, usedAt));
  }
}

/**
 * Puts a page of changes on the device.
 * @param seen what came since the list began anew; null where it did not
 * @param gone boats and stock that were here when it was asked for, and are no more
 * @returns boats that are here in an older copy than the server's, and did not come whole
 */
export async function applyChanges(
  change: Change,
  { changes, next, boats, more }: Changes,
  {
    whole,
    seen,
    gone,
  }: { readonly whole: boolean; readonly seen: ReadonlySet<string> | null; readonly gone: ReadonlySet<string> },
): Promise<string[]> {
  const waiting = await change.waiting.all();
  const older: string[] = [];
  // Entries and stock stand by themselves: they are written together, not one after the other.
  const writing: Promise<unknown>[] = [];
  const remove = async (id: string) => {
    const row = await change.boats.get(id);
    if (row && !isClean(row, waiting)) return;
    await change.boats.delete(id);
    await change.lines.delete(id);
  };
  for (const one of changes) {
    if (one.kind === 'removed') {
      await remove(one.id);
      continue;
    }
    if (one.kind === 'stock') {
      writing.push(change.stock.put(one.entry));
      continue;
    }
    if (one.kind === 'record') {
      writing.push(change.records.put(linkOf(one.record)));
      continue;
    }
    const { line, job } = one;
    await change.lines.put(line);
    if (job) await fetched(change, [{ ...line, job }]);
    else {
      const row = await change.boats.get(line.id);
      if (row && isClean(row, waiting) && line.version > (row.basedOn ?? 0)) older.push(line.id);
    }
  }
  await Promise.all(writing);
  // The list began anew and has ended: what did not come is no more.
  if (seen && !more) {
    const own = new Set(waiting.map(({ id }) => id));
    for (const id of gone) {
      await remove(id);
      if (!own.has(id)) await change.stock.delete(id);
    }
    if (whole)
      for (const { id } of await change.records.all())
        if (!seen.has(id) && !own.has(id)) await change.records.delete(id);
  }
  // A list that began anew is read once it is whole: broken off, it begins anew again.
  if (!seen || !more) await change.feed.put({ key: 'feed', point: next, boats, whole });
  return older;
}
