import { and, eq } from 'drizzle-orm';
import type { Database } from './connect';
import { photos, THE_YARD } from './schema';

/** The photographs of a yard, each under the hash of what it holds. */
export class PhotoStore {
  constructor(
    private readonly database: Database,
    private readonly yard: string = THE_YARD,
  ) {}

  /** Keeps a photograph; the same again changes nothing. */
  async add(id: string, bytes: Buffer, addedBy: string): Promise<void> {
    await this.database.insert(photos).values({ id, yardId: this.yard, bytes, addedBy }).onConflictDoNothing();
  }

  /** A photograph's bytes, or null. */
  async find(id: string): Promise<Buffer | null> {
    const [row] = await this.database
      .select({ bytes: photos.bytes })
      .from(photos)
      .where(and(eq(photos.id, id), eq(photos.yardId, this.yard)));
    return row?.bytes ?? null;
  }
}
