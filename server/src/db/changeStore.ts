import type { Change, Changes } from '@harbor-latch/core/wire/index';
import { and, asc, count, eq, sql } from 'drizzle-orm';
import { lineColumns, lineOfRow } from './boatStore';
import type { Database } from './connect';
import { ofToday } from './ofToday';
import { boats, THE_YARD, yards, type RowJob } from './schema';

/** A point in the order of changes: which feed, the last transaction seen, and the last boat of it. */
interface Point {
  readonly feed: string;
  readonly changed: string;
  readonly id: string;
}

const BEFORE_ALL = '00000000-0000-0000-0000-000000000000';
const SOME = { lines: 500, jobs: 50 };
/** Whole boats are handed out so many bytes at once, as they are stored, or one at least. */
const MOST_BYTES = 4 * 1024 * 1024;

/** A point as it is sent; null for what is none. */
export function pointIn(text: string): Point | null {
  const [, feed, changed, id] = /^([0-9a-f-]{36})\.(\d{1,19})\.([0-9a-f-]{36})$/.exec(text) ?? [];
  return feed && changed && id ? { feed, changed, id } : null;
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

  /** Changes after a point, or all that is there. @param jobs whether boats come whole */
  async since(after: Point | null, jobs: boolean): Promise<Changes> {
    const feed = await this.feed();
    const known = after?.feed === feed ? after : null;
    const limit = jobs ? SOME.jobs : SOME.lines;
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
          sql`(${boats.changed}, ${boats.id}) > (${known?.changed ?? '0'}::xid8, ${known?.id ?? BEFORE_ALL}::uuid)`,
          sql`${boats.changed} < pg_snapshot_xmin(pg_current_snapshot())`,
        ),
      )
      .orderBy(asc(boats.changed), asc(boats.id))
      .limit(limit + 1);
    const fitting = rows.slice(0, limit).filter(({ bytes }, index) => index === 0 || Number(bytes) <= MOST_BYTES);
    const last = fitting[fitting.length - 1] ?? { changed: known?.changed ?? '0', id: known?.id ?? BEFORE_ALL };
    return {
      whole: known === null,
      boats: await this.count(),
      changes: fitting.map((row): Change => {
        if (row.removed) return { kind: 'removed', id: row.id, version: row.version };
        return { kind: 'boat', line: lineOfRow(row), ...(row.job === null ? {} : { job: ofToday(row.job) }) };
      }),
      next: `${feed}.${last.changed}.${last.id}`,
      more: rows.length > fitting.length,
    };
  }

  private async feed(): Promise<string> {
    const [yard] = await this.database.select().from(yards).where(eq(yards.id, this.yard));
    if (!yard) throw new Error('The yard is not there.');
    return yard.feed;
  }

  private async count(): Promise<number> {
    const [row] = await this.database
      .select({ count: count() })
      .from(boats)
      .where(and(eq(boats.yardId, this.yard), eq(boats.removed, false)));
    return row?.count ?? 0;
  }
}
