import { isDeepStrictEqual } from 'node:util';
import type { Job } from '@harbor-latch/core/job/index';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { Database } from './connect';
import { boats } from './schema';

/** A boat as stored. */
export interface StoredBoat {
  readonly id: string;
  readonly version: number;
  readonly savedAt: string;
  readonly job: Job;
}

/** What a write came to: `stale` carries the current copy, or null when the boat is gone. */
export type WriteResult =
  | { readonly kind: 'created' | 'saved' | 'unchanged'; readonly boat: StoredBoat }
  | { readonly kind: 'stale'; readonly current: StoredBoat | null };

export type DeleteResult =
  { readonly kind: 'deleted' } | { readonly kind: 'absent' } | { readonly kind: 'stale'; readonly current: StoredBoat };

type Row = typeof boats.$inferSelect;

const stored = ({ id, version, savedAt, job }: Row): StoredBoat => ({
  id,
  version,
  savedAt: savedAt.toISOString(),
  job,
});

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

  /** Adds a boat; adding the same boat again changes nothing. */
  async create(id: string, job: Job): Promise<WriteResult> {
    const [row] = await this.database.insert(boats).values({ id, version: 1, job }).onConflictDoNothing().returning();
    return row ? { kind: 'created', boat: stored(row) } : this.sameOrStale(id, job);
  }

  /** Saves a boat over the version it was based on; the same save again changes nothing. */
  async save(id: string, job: Job, basedOn: number): Promise<WriteResult> {
    const [row] = await this.database
      .update(boats)
      .set({ job, version: sql`${boats.version} + 1`, savedAt: sql`now()` })
      .where(and(eq(boats.id, id), eq(boats.version, basedOn)))
      .returning();
    return row ? { kind: 'saved', boat: stored(row) } : this.sameOrStale(id, job);
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
