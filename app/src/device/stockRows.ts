import type { StockChange } from '@harbor-latch/core/wire/index';
import type { Hand } from './changes';
import { OF_THE_STOCK } from './rows';
import type { Change } from './tables';

/** Notes what happened to the stock, and has the server told. @returns the entry's id, by which it can be taken back */
export async function noteStock(change: Change, what: StockChange, hand: Hand): Promise<string> {
  const { by, now } = hand;
  const id = hand.newId();
  const entry = { id, at: new Date(now).toISOString(), by: by.slice(0, 80), change: what };
  await change.stock.put(entry);
  const waits = { id, boatId: OF_THE_STOCK, name: 'Stock', at: now, dueAt: now, by, refused: null, sent: null };
  await change.waiting.put({ ...waits, kind: 'stock', entry });
  return id;
}

/** Gives up an entry that the server did not take: it is gone from this device, too. */
export async function dropStock(change: Change, id: string): Promise<void> {
  await change.waiting.delete(id);
  await change.stock.delete(id);
}
