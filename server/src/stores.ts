import { BoatStore } from './db/boatStore';
import { ChangeStore } from './db/changeStore';
import type { Database } from './db/connect';
import { PhotoStore } from './db/photoStore';
import { StockStore } from './db/stockStore';
import { VersionStore } from './db/versionStore';

/** What a yard keeps. */
export interface Stores {
  readonly boats: BoatStore;
  readonly changes: ChangeStore;
  readonly versions: VersionStore;
  readonly photos: PhotoStore;
  readonly stock: StockStore;
}

/** The stores of the yard. @param onWritten told after every write that changed something */
export function storesOn(database: Database, onWritten?: () => void): Stores {
  return {
    boats: new BoatStore(database, undefined, onWritten),
    changes: new ChangeStore(database),
    versions: new VersionStore(database),
    photos: new PhotoStore(database),
    stock: new StockStore(database, undefined, onWritten),
  };
}
