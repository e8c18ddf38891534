import type { Job } from '@harbor-latch/core/job/index';
import type { ChainedEntry, SignedEntry } from '@harbor-latch/core/records/entry';
import type { BoatLine, Kept, StockEntry, StoredBoat } from '@harbor-latch/core/wire/index';

/** What stands between a boat on this device and the server's copy until somebody decides. */
export type Trouble =
  | { readonly kind: 'refused'; readonly message: string }
  /** Both sides changed the same; `current` is null where the boat was removed elsewhere. */
  | { readonly kind: 'conflict'; readonly current: StoredBoat | null };

/** A boat as this device keeps her. */
export interface BoatRow {
  readonly id: string;
  readonly job: Job;
  /** Version of the server's copy this was changed from; null for a boat the server has not seen. */
  readonly basedOn: number | null;
  /** The server's copy this was changed from; null where there was none. */
  readonly base: Job | null;
  /** Texts that could not be read as values, by path; kept so that nothing typed is lost. */
  readonly typed: Readonly<Record<string, string>>;
  /** Counts the writings of this row, by whichever tab. */
  readonly rev: number;
  readonly trouble: Trouble | null;
  /** Removed here, and the server does not know yet. */
  readonly removed: boolean;
  /** When she was last opened here, ms since 1970. */
  readonly usedAt: number;
}

interface WaitingBase {
  /** A UUIDv7, by which the server knows it when it comes again; in order of time. */
  readonly id: string;
  readonly boatId: string;
  /** Name of the boat, for the list of what waits. */
  readonly name: string;
  /** Since when it waits, and until when it rests for what may follow, ms since 1970. */
  readonly at: number;
  readonly dueAt: number;
  readonly by: string;
}

/** What waits to be sent to the server. What once went out goes out again the same, until it is answered. */
export type Waiting = WaitingBase &
  (
    | {
        readonly kind: 'save';
        readonly kept: Kept | null;
        readonly sent: { readonly job: Job; readonly basedOn: number | null } | null;
      }
    | { readonly kind: 'remove'; readonly sent: { readonly basedOn: number } | null }
    | { readonly kind: 'aside'; readonly lost: Job; readonly sent: { readonly basedOn: number } | null }
    | {
        readonly kind: 'photo';
        /** The picture and the same made small. */
        readonly photoIds: readonly string[];
        /** Why the server did not take it; it stays until somebody decides. */
        readonly refused: string | null;
        readonly sent: null;
      }
    | {
        /** Of no boat: of the yard's stock. */
        readonly kind: 'stock';
        readonly entry: StockEntry;
        readonly refused: string | null;
        readonly sent: null;
      }
    | {
        /** An entry of the boat's records, under the entry's own id: it lies among the records. */
        readonly kind: 'record';
        readonly refused: string | null;
        readonly sent: null;
      }
  );

/** What waits and is sent as it is, whatever became of a boat since. */
export type WaitingAsItIs = Extract<Waiting, { readonly kind: 'photo' | 'stock' | 'record' }>;

/** Whether something is sent as it is: it belongs to no version of a boat. */
export function isAsItIs(one: Waiting): one is WaitingAsItIs {
  return one.kind === 'photo' || one.kind === 'stock' || one.kind === 'record';
}

/** In place of a boat's id where something waits that is of none. */
export const OF_THE_STOCK = 'stock';

/** An entry of a boat's records on this device. */
export interface RecordRow {
  readonly id: string;
  readonly boat: string;
  /** Its fingerprint. */
  readonly hash: string;
  readonly signed: SignedEntry;
  /** Its place in the boat's chain; null until the server has it. */
  readonly link: Pick<ChainedEntry, 'number' | 'receivedAt' | 'chainHash'> | null;
}

/** What this device signs with: a pair that never leaves the browser, or where it cannot make one, a seed. */
export interface KeyRow {
  readonly key: 'device';
  /** 64 hexadecimal digits. */
  readonly publicKey: string;
  readonly secret: CryptoKey | Uint8Array;
}

/** A picture on this device: whole while it waits or was asked for lately, small always. */
export interface PhotoRow {
  /** SHA-256 of what it holds. */
  readonly id: string;
  readonly blob: Blob;
  /** When it came here, ms since 1970. */
  readonly at: number;
  readonly small: boolean;
}

/** Up to where this device has read the yard's changes. */
export interface FeedRow {
  readonly key: 'feed';
  readonly point: string;
  /** How many boats the yard had then. */
  readonly boats: number;
  /** Whether every boat of the yard is here whole. */
  readonly whole: boolean;
}

/** The beginning of a large yard's list as it was shown last: what is shown while the rest is read. */
export interface FirstRow {
  readonly key: 'first';
  readonly lines: readonly BoatLine[];
}

/** Everything that is read when the application opens. */
export interface OnDevice {
  readonly boats: readonly BoatRow[];
  readonly lines: readonly BoatLine[];
  readonly waiting: readonly Waiting[];
  readonly stock: readonly StockEntry[];
  readonly feed: FeedRow | null;
}
