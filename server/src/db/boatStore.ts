import type { Job } from '@harbor-latch/core/job/index';
import type { BoatLine, Kept, StoredBoat, Version } from '@harbor-latch/core/wire/index';
import { lineOf } from '@harbor-latch/core/wire/boatLine';
import { and, asc, eq, sql, type SQL } from 'drizzle-orm';
import type { Database } from './connect';
import { ofToday } from './ofToday';
import { packed } from './packed';
import { answers, boats, THE_YARD } from './schema';

/** Who writes, and what makes the same write recognised when it comes again. */
export interface Writer {
  /** Name set on the device; empty where none is. */
  readonly by: string;
  readonly device: string | null;
  /** The write's own key; null where its sender gave it none. */
  readonly key: string | null;
}

/** What a write came to: `stale` carries the current copy, or null when the boat is gone. */
export type WriteResult =
  | { readonly kind: 'created' | 'saved' | 'unchanged' | 'answered'; readonly version: Version }
  | { readonly kind: 'stale'; readonly current: StoredBoat | null };

export type DeleteResult =
  | { readonly kind: 'deleted'; readonly version: number }
  | { readonly kind: 'absent' }
  | { readonly kind: 'stale'; readonly current: StoredBoat };

const nobody: Writer = { by: '', device: null, key: null };

type Row = Pick<typeof boats.$inferSelect, 'id' | 'version' | 'savedAt' | 'savedBy' | 'job'>;

const stored = ({ id, version, savedAt, savedBy, job }: Row): StoredBoat => ({
  id,
  version,
  savedAt: savedAt.toISOString(),
  savedBy,
  job: ofToday(job),
});

type LineRow = Pick<typeof boats.$inferSelect, 'id' | 'version' | 'savedAt' | 'savedBy' | 'line' | 'summary'> & {
  readonly jobOfOldRow: Row['job'] | null;
};

/** A row as a list shows it; rows of earlier releases have no line of their own yet. */
export function lineOfRow({ id, version, savedAt, savedBy, line, summary, jobOfOldRow }: LineRow): BoatLine {
  const told = line ?? (jobOfOldRow ? lineOf(ofToday(jobOfOldRow)) : { name: '', circuits: [] });
  return { id, version, savedAt: savedAt.toISOString(), savedBy, ...told, summary };
}

/** The columns of a line. */
export const lineColumns = {
  id: boats.id,
  version: boats.version,
  savedAt: boats.savedAt,
  savedBy: boats.savedBy,
  line: boats.line,
  summary: boats.summary,
  jobOfOldRow: sql<Row['job'] | null>`case when ${boats.line} is null then ${boats.job} end`,
};

/** So long may lie between two changes of one sitting. */
const SITTING = sql`interval '30 minutes'`;

/** The boats of a yard. */
export class BoatStore {
  constructor(
    private readonly database: Database,
    private readonly yard: string = THE_YARD,
    /** Told after every write that changed something. */
    private readonly onWritten: () => void = () => undefined,
  ) {}

  /** A page of the yard's list, in the order in which boats were added. @param after where the page before ended; null for the first */
  async lines(after: string | null, limit: number): Promise<{ lines: BoatLine[]; next: string | null }> {
    const [time, id] = after?.split('_') ?? [];
    const rest =
      time === undefined || id === undefined
        ? undefined
        : sql`(${boats.createdAt}, ${boats.id}) > (${time}::timestamptz, ${id}::uuid)`;
    const rows = await this.database
      .select({
        ...lineColumns,
        createdAt: sql<string>`to_char(${boats.createdAt} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`,
      })
      .from(boats)
      .where(and(eq(boats.yardId, this.yard), eq(boats.removed, false), rest))
      .orderBy(asc(boats.createdAt), asc(boats.id))
      .limit(limit + 1);
    const page = rows.slice(0, limit);
    const last = rows.length > limit ? page[page.length - 1] : undefined;
    return { lines: page.map(lineOfRow), next: last ? `${last.createdAt}_${last.id}` : null };
  }

  /** One boat, or null. */
  async find(id: string): Promise<StoredBoat | null> {
    const [row] = await this.database
      .select()
      .from(boats)
      .where(and(eq(boats.yardId, this.yard), eq(boats.id, id), eq(boats.removed, false)));
    return row ? stored(row) : null;
  }

  /** Several boats at once; those that are not there are left out. */
  async some(ids: readonly string[]): Promise<StoredBoat[]> {
    const rows = await this.database
      .select()
      .from(boats)
      .where(and(eq(boats.yardId, this.yard), eq(boats.removed, false), sql`${boats.id} = any(${sql.param(ids)})`));
    return rows.map(stored);
  }

  /**
   * Adds a boat; adding the same boat again changes nothing. A boat that was here
   * before goes on from its last version, so that no version ever names two jobs.
   */
  async create(id: string, job: Job, writer: Writer = nobody): Promise<WriteResult> {
    const json = JSON.stringify(job);
    const line = JSON.stringify(lineOf(job));
    const written = await this.write(
      id,
      writer,
      given(json, line, packed(json)),
      sql`insert into boats as b (id, yard_id, version, job, line, saved_by, device)
        select ${id}::uuid, ${this.yard}::uuid,
          coalesce((select max(version) from revisions where boat_id = ${id}::uuid), 0) + 1,
          given.job, given.line, ${writer.by}, ${writer.device}::uuid
        from given where ${notAnswered(writer)}
        on conflict (id) do update set version = b.version + 1, job = excluded.job, line = excluded.line,
          removed = false, saved_at = now(), saved_by = excluded.saved_by, device = excluded.device,
          changed = pg_current_xact_id()
        where b.removed and b.yard_id = ${this.yard}::uuid
        returning b.version, b.saved_at`,
      sql`insert into revisions (boat_id, version, packed, saved_by, device)
        select ${id}::uuid, version, given.packed, ${writer.by}, ${writer.device}::uuid from written, given`,
    );
    return written ? { kind: 'created', version: written } : this.sameOrStale(id, json, writer);
  }

  /**
   * Saves a boat over the version it was based on; the same save again changes nothing. What one person
   * changes in one sitting is one version in the end.
   * @param kept why this version is a sitting of its own that stays; `conflict`: the one that it is written over does
   */
  async save(
    id: string,
    job: Job,
    basedOn: number,
    writer: Writer = nobody,
    kept: Kept | null = null,
  ): Promise<WriteResult> {
    const json = JSON.stringify(job);
    const written = await this.write(
      id,
      writer,
      given(json, JSON.stringify(lineOf(job)), packed(json)),
      sql`update boats set version = version + 1, job = given.job, line = given.line,
          saved_at = now(), saved_by = ${writer.by}, device = ${writer.device}::uuid, changed = pg_current_xact_id()
        from given
        where id = ${id}::uuid and yard_id = ${this.yard}::uuid and not removed and version = ${basedOn}
          and boats.job <> given.job and ${notAnswered(writer)}
        returning version, saved_at`,
      kept === null
        ? sql`update revisions r set version = written.version, packed = given.packed, job = null, saved_at = now()
            from written, given
            where r.boat_id = ${id}::uuid and r.version = ${basedOn} and r.kept is null
              and r.saved_by = ${writer.by} and r.device = ${writer.device}::uuid and r.saved_at > now() - ${SITTING}
            returning r.version`
        : kept === 'conflict'
          ? // The one before lost against this one: it is that one that stays.
            sql`update revisions r set kept = 'conflict' from written
              where r.boat_id = ${id}::uuid and r.version = ${basedOn} and r.kept is null
              returning null::integer as version`
          : sql`select version from written where false`,
      sql`insert into revisions (boat_id, version, packed, saved_by, device, kept)
        select ${id}::uuid, version, given.packed, ${writer.by}, ${writer.device}::uuid,
          ${kept === 'conflict' ? null : kept}::text
        from written, given where not exists (select 1 from sat where version is not null)`,
    );
    return written ? { kind: 'saved', version: written } : this.sameOrStale(id, json, writer);
  }

  /**
   * Keeps a copy that lost against the one that is there: it becomes a version that stays, and the one that is there
   * follows it as the current one.
   */
  async aside(id: string, lost: Job, basedOn: number, writer: Writer = nobody): Promise<WriteResult> {
    const written = await this.write(
      id,
      writer,
      null,
      sql`update boats set version = version + 2, changed = pg_current_xact_id()
        where id = ${id}::uuid and yard_id = ${this.yard}::uuid and not removed and version = ${basedOn}
          and ${notAnswered(writer)}
        returning version, saved_at, job, saved_by, device`,
      sql`insert into revisions (boat_id, version, packed, saved_by, device, kept)
        select ${id}::uuid, version - 1, ${packed(JSON.stringify(lost))}::bytea, ${writer.by}, ${writer.device}::uuid, 'conflict'
        from written returning version`,
      sql`insert into revisions (boat_id, version, job, saved_by, device)
        select ${id}::uuid, version, job, saved_by, device from written`,
    );
    return written ? { kind: 'saved', version: written } : this.sameOrStale(id, 'null', writer);
  }

  /** Removes a boat if it is still at the version the caller saw. Its versions stay. */
  async remove(id: string, basedOn: number, writer: Writer = nobody): Promise<DeleteResult> {
    const written = await this.write(
      id,
      writer,
      null,
      sql`update boats set version = version + 1, removed = true, saved_at = now(), saved_by = ${writer.by},
          device = ${writer.device}::uuid, changed = pg_current_xact_id()
        where id = ${id}::uuid and yard_id = ${this.yard}::uuid and not removed and version = ${basedOn}
          and ${notAnswered(writer)}
        returning version, saved_at`,
    );
    if (written) return { kind: 'deleted', version: written.version };
    const answered = await this.answered(id, writer);
    if (answered) return { kind: 'deleted', version: answered.version };
    const current = await this.find(id);
    return current ? { kind: 'stale', current } : { kind: 'absent' };
  }

  /**
   * A write with what goes with it, in one statement and so in one round trip: all of it is kept or nothing.
   * @param what the job that is written, where one is
   * @returns what was written; null where the write's condition did not hold
   */
  private async write(
    id: string,
    writer: Writer,
    what: SQL | null,
    write: SQL,
    ...further: readonly SQL[]
  ): Promise<Version | null> {
    const [sat, last] = further.length > 1 ? further : [undefined, further[0]];
    const { rows } = await this.database.execute<{ version: number; saved_at: string }>(
      sql.join(
        [
          what ? sql`with given as (${what}), written as (${write})` : sql`with written as (${write})`,
          ...(sat ? [sql`, sat as (${sat})`] : []),
          ...(last ? [sql`, noted as (${last})`] : []),
          ...(writer.key === null
            ? []
            : [
                sql`, told as (insert into answers (key, boat_id, version, saved_at)
                  select ${writer.key}::uuid, ${id}::uuid, version, saved_at from written on conflict (key) do nothing)`,
              ]),
          sql` select version, saved_at from written`,
        ],
        sql``,
      ),
    );
    const [row] = rows;
    if (!row) return null;
    this.onWritten();
    return { id, version: row.version, savedAt: new Date(row.saved_at).toISOString(), savedBy: writer.by };
  }

  /** What was answered to this very write before; null where it never came. */
  private async answered(id: string, { key, by }: Writer): Promise<Version | null> {
    if (key === null) return null;
    const [row] = await this.database
      .select()
      .from(answers)
      .where(and(eq(answers.key, key), eq(answers.boatId, id)));
    return row ? { id, version: row.version, savedAt: row.savedAt.toISOString(), savedBy: by } : null;
  }

  private async sameOrStale(id: string, json: string, writer: Writer): Promise<WriteResult> {
    const answered = await this.answered(id, writer);
    if (answered) return { kind: 'answered', version: answered };
    const [row] = await this.database
      .select({
        id: boats.id,
        version: boats.version,
        savedAt: boats.savedAt,
        savedBy: boats.savedBy,
        job: boats.job,
        same: sql<boolean>`${boats.job} = ${json}::jsonb`,
      })
      .from(boats)
      .where(and(eq(boats.yardId, this.yard), eq(boats.id, id), eq(boats.removed, false)));
    if (!row) return { kind: 'stale', current: null };
    const { version, savedBy } = row;
    return row.same
      ? { kind: 'unchanged', version: { id, version, savedAt: row.savedAt.toISOString(), savedBy } }
      : { kind: 'stale', current: stored(row) };
  }
}

/** What is written, sent once however often the statement uses it. */
function given(json: string, line: string, bytes: Buffer): SQL {
  return sql`select ${json}::jsonb as job, ${line}::jsonb as line, ${bytes}::bytea as packed`;
}

/** That a write has not been answered before. */
function notAnswered({ key }: Writer): SQL {
  return key === null ? sql`true` : sql`not exists (select 1 from answers where key = ${key}::uuid)`;
}
