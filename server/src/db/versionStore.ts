import { differences, type Job } from '@harbor-latch/core/job/index';
import { hashOf } from '@harbor-latch/core/records/index';
import type { Kept, Sitting, StoredBoat } from '@harbor-latch/core/wire/index';
import { and, desc, eq, lt, sql } from 'drizzle-orm';
import type { Database } from './connect';
import { ofToday } from './ofToday';
import { unpacked } from './packed';
import { boats, revisions, THE_YARD, type RowJob } from './schema';

type Row = typeof revisions.$inferSelect;

const MOST_CHANGES = 20;

function jobOf({ job, packed: bytes }: { readonly job: RowJob | null; readonly packed: Buffer | null }): Job {
  if (bytes) return ofToday(unpacked(bytes));
  if (job) return ofToday(job);
  throw new Error('A version without a job.');
}

function sittingOf(row: Row, job: Job, before: Job | null): Sitting {
  const found = before ? differences(before, job) : [];
  return {
    id: row.boatId,
    version: row.version,
    savedAt: row.savedAt.toISOString(),
    beganAt: row.beganAt.toISOString(),
    savedBy: row.savedBy,
    kept: row.kept,
    name: row.name,
    changes: found
      .slice(0, MOST_CHANGES)
      .map(({ path, before: was, after }) => ({ path: [...path], before: was, after })),
    moreChanges: Math.max(0, found.length - MOST_CHANGES),
    first: before === null,
  };
}

/** A proof that comes late is looked for among so many versions. */
const PROVED_AMONG = 20;

/** The versions of a yard's boats: the last of each sitting, also of boats that were removed. */
export class VersionStore {
  constructor(
    private readonly database: Database,
    private readonly yard: string = THE_YARD,
  ) {}

  /** Versions of a boat, newest first, at most `limit`, older than `before`, each with what it changed. */
  async sittings(id: string, before: number, limit: number): Promise<Sitting[]> {
    const rows = await this.database
      .select()
      .from(revisions)
      .where(and(eq(revisions.boatId, id), lt(revisions.version, before), this.ofYard(id)))
      .orderBy(desc(revisions.version))
      .limit(limit + 1);
    const jobs = rows.map(jobOf);
    return rows.slice(0, limit).flatMap((row, index) => {
      const job = jobs[index];
      return job ? [sittingOf(row, job, jobs[index + 1] ?? null)] : [];
    });
  }

  /** A boat as it was at a version, or null. */
  async at(id: string, version: number): Promise<StoredBoat | null> {
    const [row] = await this.database
      .select()
      .from(revisions)
      .where(and(eq(revisions.boatId, id), eq(revisions.version, version), this.ofYard(id)));
    return row ? { id, version, savedAt: row.savedAt.toISOString(), savedBy: row.savedBy, job: jobOf(row) } : null;
  }

  /** Keeps a version from being thinned out. @returns false where there is no such version */
  async keep(id: string, version: number, why: Kept, name: string | null): Promise<boolean> {
    const { rowCount } = await this.database
      .update(revisions)
      .set({ kept: why, ...(name === null ? {} : { name }) })
      .where(and(eq(revisions.boatId, id), eq(revisions.version, version), this.ofYard(id)));
    return rowCount === 1;
  }

  /**
   * Keeps the version that was proved: the latest with the job that was signed, of the last few.
   * @returns false where none of them is that job, or it is kept for another reason already
   */
  async keepProved(id: string, jobHash: string): Promise<boolean> {
    const rows = await this.database
      .select()
      .from(revisions)
      .where(and(eq(revisions.boatId, id), this.ofYard(id)))
      .orderBy(desc(revisions.version))
      .limit(PROVED_AMONG);
    const proved = rows.find((row) => hashOf(jobOf(row)) === jobHash);
    return proved?.kept === null && this.keep(id, proved.version, 'proved', null);
  }

  /** Thins versions older than thirty days to the last of each day and person; what is kept on purpose stays. @returns how many went */
  async thin(): Promise<number> {
    const { rowCount } = await this.database.execute(sql`
      delete from revisions r where kept is null and saved_at < now() - interval '30 days' and exists (
        select 1 from revisions later
        where later.boat_id = r.boat_id and later.version > r.version and later.saved_by = r.saved_by
          and (later.saved_at at time zone 'UTC')::date = (r.saved_at at time zone 'UTC')::date)`);
    await this.database.execute(sql`delete from answers where saved_at < now() - interval '30 days'`);
    return rowCount ?? 0;
  }

  private ofYard(id: string) {
    return sql`not exists (
      select 1 from ${boats} where ${boats.id} = ${id}::uuid and ${boats.yardId} <> ${this.yard}::uuid)`;
  }
}
