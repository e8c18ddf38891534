import { isDeepStrictEqual } from 'node:util';
import { readJob } from '@harbor-latch/core/file/index';
import { JOB_VERSION, type Job } from '@harbor-latch/core/job/index';
import type { StoredBoat } from '@harbor-latch/core/wire/index';
import { and, asc, desc, eq, lt, max, ne, sql } from 'drizzle-orm';
import type { Database } from './connect';
import { boats, revisions, type RowJob } from './schema';

/** What a write came to: `stale` carries the current copy, or null when the boat is gone. */
export type WriteResult =
  | { readonly kind: 'created' | 'saved' | 'unchanged'; readonly boat: StoredBoat }
  | { readonly kind: 'stale'; readonly current: StoredBoat | null };

export type DeleteResult =
  { readonly kind: 'deleted' } | { readonly kind: 'absent' } | { readonly kind: 'stale'; readonly current: StoredBoat };

type Row = Pick<typeof boats.$inferSelect, 'id' | 'version' | 'savedAt' | 'job'>;

const revisionOf = ({ id, version, savedAt, job }: Row) => ({ boatId: id, version, savedAt, job });

const stored = ({ id, version, savedAt, job }: Row): StoredBoat => ({
  id,
  version,
  savedAt: savedAt.toISOString(),
  job: ofToday(job),
});

/**
 * A stored job in today's version; rows keep the version that they were written in.
 * @throws Error for a row that no version could have written.
 */
function ofToday(job: RowJob): Job {
  if (job.version === JOB_VERSION) return { ...job, version: JOB_VERSION };
  const read = readJob(job);
  if (!read.ok) throw new Error(`A stored boat cannot be read: ${read.problems[0].path} ${read.problems[0].message}`);
  return read.job;
}

/** The boats of the yard, in the order in which they were added. */
export class BoatStore {
  constructor(private readonly database: Database) {}

  /** All boats, oldest first. */
  async list(): Promise<StoredBoat[]> {
    const rows = await this.database.select().from(boats).orderBy(asc(boats.createdAt), asc(boats.id));
    return rows.map(stored);
  }

  /** One boat, or null. */
  async find(id: string): Promise<StoredBoat | null> {
    const [row] = await this.database.select().from(boats).where(eq(boats.id, id));
    return row ? stored(row) : null;
  }

  /**
   * Adds a boat; adding the same boat again changes nothing. A boat that was here
   * before goes on from its last version, so that no version ever names two jobs.
   */
  async create(id: string, job: Job): Promise<WriteResult> {
    const row = await this.database.transaction(async (transaction) => {
      const [last] = await transaction
        .select({ version: max(revisions.version) })
        .from(revisions)
        .where(eq(revisions.boatId, id));
      const version = (last?.version ?? 0) + 1;
      const [added] = await transaction.insert(boats).values({ id, version, job }).onConflictDoNothing().returning();
      if (added) await transaction.insert(revisions).values(revisionOf(added));
      return added;
    });
    return row ? { kind: 'created', boat: stored(row) } : this.sameOrStale(id, job);
  }

  /** Saves a boat over the version it was based on; the same save again changes nothing. */
  async save(id: string, job: Job, basedOn: number): Promise<WriteResult> {
    const row = await this.database.transaction(async (transaction) => {
      const [saved] = await transaction
        .update(boats)
        .set({ job, version: sql`${boats.version} + 1`, savedAt: sql`now()` })
        .where(and(eq(boats.id, id), eq(boats.version, basedOn), ne(boats.job, job)))
        .returning();
      if (saved) await transaction.insert(revisions).values(revisionOf(saved));
      return saved;
    });
    return row ? { kind: 'saved', boat: stored(row) } : this.sameOrStale(id, job);
  }

  /** Versions of a boat, newest first, at most `limit`, older than `before`. */
  async revisions(id: string, before: number, limit: number): Promise<Omit<StoredBoat, 'job'>[]> {
    const { boatId, version, savedAt } = revisions;
    const rows = await this.database
      .select({ id: boatId, version, savedAt })
      .from(revisions)
      .where(and(eq(boatId, id), lt(version, before)))
      .orderBy(desc(version))
      .limit(limit);
    return rows.map((row) => ({ ...row, savedAt: row.savedAt.toISOString() }));
  }

  /** A boat as it was at a version, or null. */
  async revision(id: string, version: number): Promise<StoredBoat | null> {
    const [row] = await this.database
      .select()
      .from(revisions)
      .where(and(eq(revisions.boatId, id), eq(revisions.version, version)));
    return row ? stored({ ...row, id: row.boatId }) : null;
  }

  /** Removes a boat if it is still at the version the caller saw. */
  async remove(id: string, basedOn: number): Promise<DeleteResult> {
    const [row] = await this.database
      .delete(boats)
      .where(and(eq(boats.id, id), eq(boats.version, basedOn)))
      .returning();
    if (row) return { kind: 'deleted' };
    const current = await this.find(id);
    return current ? { kind: 'stale', current } : { kind: 'absent' };
  }

  private async sameOrStale(id: string, job: Job): Promise<WriteResult> {
    const current = await this.find(id);
    return current && isDeepStrictEqual(current.job, job)
      ? { kind: 'unchanged', boat: current }
      : { kind: 'stale', current };
  }
}
