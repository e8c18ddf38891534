import type { Change, Changes } from '@harbor-latch/core/wire/index';
import { and, asc, count, eq, sql } from 'drizzle-orm';
import { lineColumns, lineOfRow } from './boatStore';
import type { Database } from './connect';
import { ofToday } from './ofToday';
import { chainedOf, linkColumns } from './recordStore';
import { boats, records, stockEntries, THE_YARD, yards, type RowJob } from './schema';

/** A point in the order of changes: which feed, the last transaction seen, and the last boat of it. */
interface Point {
  readonly feed: string;
  readonly changed: string;
  readonly id: string;
}

const BEFORE_ALL = '00000000-0000-0000-0000-000000000000';
const AFTER_ALL = 'ffffffff-ffff-ffff-ffff-ffffffffffff';
const SOME = { lines: 500, jobs: 50 };
/** Whole boats are handed out so many bytes at once, as they are stored, or one at least. */
const MOST_BYTES = 4 * 1024 * 1024;

/** A point as it is sent; null for what is none. */
export function pointIn(text: string): Point | null {
  const [, feed, changed, id] = /^([0-9a-f-]{36})\.(\d{1,19})\.([0-9a-f-]{36})$/.exec(text) ?? [];
  return feed && changed && id ? { feed, changed, id } : null;
}

/** What is asked of the feed. */
export interface Wanted {
  /** Whether boats come whole. */
  readonly jobs: boolean;
  /** Whether entries of the stock come too: pages of earlier releases do not know them. */
  readonly stock: boolean;
  /** Whether entries of records come too, likewise. */
  readonly records: boolean;
}

/** One thing that changed, at its place in the order. */
interface Placed {
  readonly changed: string;
  readonly id: string;
  readonly change: Change;
}

/**
 * What changed in a yard, in the order of the transactions that changed it. A change is shown once no transaction
 * with a lower number is under way, so that none is ever skipped, in whatever order they end.
 */
export class ChangeStore {
  constructor(
    private readonly database: Database,
    private readonly yard: string = THE_YARD,
  ) {}

  /** Changes after a point, or all that is there: what was removed is told only to who may have it. */
  async since(after: Point | null, { jobs, stock, records: recorded }: Wanted): Promise<Changes> {
    // All that is read reaches equally far, whatever ends between one question and the next.
    const { feed, reach } = await this.feed();
    const known = after?.feed === feed ? after : null;
    const from = { changed: known?.changed ?? '0', id: known?.id ?? BEFORE_ALL };
    const limit = jobs ? SOME.jobs : SOME.lines;
    const boatsThen = await this.boatsAfter(from, reach, { limit, jobs, removed: known !== null });
    const stockThen = stock ? await this.stockAfter(from, reach, SOME.lines) : NOTHING;
    const recordsThen = recorded ? await this.recordsAfter(from, reach, SOME.lines) : NOTHING;
    const pages = [boatsThen, stockThen, recordsThen];
    const ends = pages.map(reachOf);
    // Where one of them goes on, nothing of the others beyond its end is told yet.
    const placed = pages
      .flatMap((page) => page.placed)
      .filter((one) => ends.every((end) => !isAfter(one, end)))
      .sort((a, b) => (isAfter(a, b) ? 1 : -1));
    const more = pages.some((page) => page.more);
    // What was removed before a list began is not told with it, nor after it.
    const toEnd = { changed: (BigInt(reach) - 1n).toString(), id: AFTER_ALL };
    const last = known === null && !more ? toEnd : (placed[placed.length - 1] ?? from);
    return {
      whole: known === null,
      boats: await this.count(),
      changes: placed.map(({ change }) => change),
      next: `${feed}.${last.changed}.${last.id}`,
      more,
    };
  }

  /** @param removed whether those are told that were removed */
  private async boatsAfter(
    from: Place,
    reach: string,
    { limit, jobs, removed }: { readonly limit: number; readonly jobs: boolean; readonly removed: boolean },
  ): Promise<Page> {
    const rows = await this.database
      .select({
        ...lineColumns,
        removed: boats.removed,
        changed: sql<string>`${boats.changed}::text`,
        job: jobs ? sql<RowJob>`${boats.job}` : sql<null>`null`,
        bytes: jobs
          ? sql<string>`sum(pg_column_size(${boats.job})) over (order by ${boats.changed}, ${boats.id})`
          : sql<string>`0`,
      })
      .from(boats)
      .where(
        and(
          eq(boats.yardId, this.yard),
          removed ? undefined : eq(boats.removed, false),
          sql`(${boats.changed}, ${boats.id}) > (${from.changed}::xid8, ${from.id}::uuid)`,
          sql`${boats.changed} < ${reach}::xid8`,
        ),
      )
      .orderBy(asc(boats.changed), asc(boats.id))
      .limit(limit + 1);
    const fitting = rows.slice(0, limit).filter(({ bytes }, index) => index === 0 || Number(bytes) <= MOST_BYTES);
    const changeOf = (row: (typeof rows)[number]): Change =>
      row.removed
        ? { kind: 'removed', id: row.id, version: row.version }
        : { kind: 'boat', line: lineOfRow(row), ...(row.job === null ? {} : { job: ofToday(row.job) }) };
    return {
      placed: fitting.map((row) => ({ changed: row.changed, id: row.id, change: changeOf(row) })),
      more: rows.length > fitting.length,
    };
  }

  private async stockAfter(from: Place, reach: string, limit: number): Promise<Page> {
    const rows = await this.database
      .select({
        id: stockEntries.id,
        changed: sql<string>`${stockEntries.changed}::text`,
        entry: stockEntries.entry,
      })
      .from(stockEntries)
      .where(
        and(
          eq(stockEntries.yardId, this.yard),
          sql`(${stockEntries.changed}, ${stockEntries.id}) > (${from.changed}::xid8, ${from.id}::uuid)`,
          sql`${stockEntries.changed} < ${reach}::xid8`,
        ),
      )
      .orderBy(asc(stockEntries.changed), asc(stockEntries.id))
      .limit(limit + 1);
    const placed = rows
      .slice(0, limit)
      .map(({ id, changed, entry }): Placed => ({ id, changed, change: { kind: 'stock', entry } }));
    return { placed, more: rows.length > limit };
  }

  private async recordsAfter(from: Place, reach: string, limit: number): Promise<Page> {
    const rows = await this.database
      .select({
        ...linkColumns,
        id: records.id,
        changed: sql<string>`${records.changed}::text`,
        bytes: sql<string>`sum(octet_length(${records.entry})) over (order by ${records.changed}, ${records.id})`,
      })
      .from(records)
      .where(
        and(
          eq(records.yardId, this.yard),
          sql`(${records.changed}, ${records.id}) > (${from.changed}::xid8, ${from.id}::uuid)`,
          sql`${records.changed} < ${reach}::xid8`,
        ),
      )
      .orderBy(asc(records.changed), asc(records.id))
      .limit(limit + 1);
    const fitting = rows.slice(0, limit).filter(({ bytes }, index) => index === 0 || Number(bytes) <= MOST_BYTES);
    const placed = fitting.map((row): Placed => ({
      id: row.id,
      changed: row.changed,
      change: { kind: 'record', record: chainedOf(row) },
    }));
    return { placed, more: rows.length > fitting.length };
  }

  private async feed(): Promise<{ readonly feed: string; readonly reach: string }> {
    const [yard] = await this.database
      .select({ feed: yards.feed, reach: sql<string>`pg_snapshot_xmin(pg_current_snapshot())::text` })
      .from(yards)
      .where(eq(yards.id, this.yard));
    if (!yard) throw new Error('The yard is not there.');
    return yard;
  }

  private async count(): Promise<number> {
    const [row] = await this.database
      .select({ count: count() })
      .from(boats)
      .where(and(eq(boats.yardId, this.yard), eq(boats.removed, false)));
    return row?.count ?? 0;
  }
}

type Place = Pick<Placed, 'changed' | 'id'>;

/** What one table told: it goes on where `more` is true. */
interface Page {
  readonly placed: readonly Placed[];
  readonly more: boolean;
}

const NOTHING: Page = { placed: [], more: false };

/** How far a table was read; null for all of it. */
const reachOf = ({ placed, more }: Page): Place | null => (more ? (placed[placed.length - 1] ?? null) : null);

/** Whether one place lies behind another in the order of changes. */
function isAfter(one: Place, other: Place | null): boolean {
  if (!other) return false;
  const [a, b] = [BigInt(one.changed), BigInt(other.changed)];
  return a === b ? one.id > other.id : a > b;
}
