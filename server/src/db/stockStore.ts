import type { StockEntry } from '@harbor-latch/core/wire/index';
import type { Database } from './connect';
import { stockEntries, THE_YARD } from './schema';

/** The stock of a yard: entries, which are added and never changed. */
export class StockStore {
  constructor(
    private readonly database: Database,
    private readonly yard: string = THE_YARD,
    /** Told after every write that added something. */
    private readonly onWritten: () => void = () => undefined,
  ) {}

  /** Keeps entries; those that are kept already stay as they are. @returns how many are new */
  async add(entries: readonly StockEntry[], device: string | null): Promise<number> {
    const added = await this.database
      .insert(stockEntries)
      .values(entries.map((entry) => ({ id: entry.id, yardId: this.yard, entry, device })))
      .onConflictDoNothing()
      .returning({ id: stockEntries.id });
    if (added.length > 0) this.onWritten();
    return added.length;
  }
}
