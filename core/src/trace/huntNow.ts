import { isOf, type EntryOf, type KnownEntry } from '../records';
import type { HuntReading } from './huntReading';

/** A hunt as its entries have it. */
export interface HuntNow {
  readonly begun: EntryOf<'traceBegun'>;
  /** What was read, in the order in which it was; each with its entry. */
  readonly readings: readonly { readonly entry: EntryOf<'traceReading'>; readonly reading: HuntReading }[];
}

/**
 * The hunt of a circuit that is open; null where there is none. On whatever phone it is gone on with, its readings are the
 * same: of one test the last that was read, and beside it what it read when it was asked for once more.
 * @param entries those that count, in the order in which they were made
 */
export function huntNow(entries: readonly KnownEntry[], circuit: string): HuntNow | null {
  const own = entries.filter((entry) => entry.circuit === circuit);
  const ended = new Set(own.filter(isOf('traceEnded')).map(({ body }) => body.hunt));
  const open = own.filter(isOf('traceBegun')).filter(({ id }) => !ended.has(id));
  const begun = open[open.length - 1];
  if (!begun) return null;
  const all = own.filter(isOf('traceReading')).filter(({ body }) => body.hunt === begun.id);
  const key = ({ body }: (typeof all)[number]) => `${body.test}${body.again ? ' again' : ''}`;
  const last = new Map(all.map((entry) => [key(entry), entry.id]));
  return {
    begun,
    readings: all
      .filter((entry) => last.get(key(entry)) === entry.id)
      .map((entry) => ({ entry, reading: readingIn(entry) })),
  };
}

function readingIn({ body: { test, read, again } }: EntryOf<'traceReading'>): HuntReading {
  if ('cannot' in read) return { kind: 'cannot', test };
  if ('fixed' in read) return { kind: 'repaired', repair: test, fixed: read.fixed };
  return { kind: 'read', test, value: 'said' in read ? read.said : read.value, ...(again ? { again } : {}) };
}
