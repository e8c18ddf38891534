import { BoatStore } from './db/boatStore';
import { ChangeStore } from './db/changeStore';
import type { Database } from './db/connect';
import { PhotoStore } from './db/photoStore';
import { RecordStore } from './db/recordStore';
import { StockStore } from './db/stockStore';
import { VersionStore } from './db/versionStore';
import { freshYardKey, type YardKey } from './records/yardKey';

/** What a yard keeps. */
export interface Stores {
  readonly boats: BoatStore;
  readonly changes: ChangeStore;
  readonly versions: VersionStore;
  readonly photos: PhotoStore;
  readonly stock: StockStore;
  readonly records: RecordStore;
}

/**
 * The stores of the yard.
 * @param onWritten told after every write that changed something
 * @param key under which records are sealed; left out: one that is kept nowhere
 */
export function storesOn(database: Database, onWritten?: () => void, key: YardKey = freshYardKey()): Stores {
  return {
    boats: new BoatStore(database, undefined, onWritten),
    changes: new ChangeStore(database),
    versions: new VersionStore(database),
    photos: new PhotoStore(database),
    stock: new StockStore(database, undefined, onWritten),
    records: new RecordStore(database, key, undefined, onWritten),
  };
}
