import { canonicalText, chainHash, CHAIN_BEGIN, entryHash, headHash } from '@harbor-latch/core/records/index';
import type { ChainedEntry, Entry, SignedEntry, SignedHead } from '@harbor-latch/core/records/index';
import { and, asc, desc, eq, gt, inArray, sql } from 'drizzle-orm';
import type { YardKey } from '../records/yardKey';
import type { Database } from './connect';
import { records, THE_YARD } from './schema';

/** What became of an entry: it has its place in the chain, or another one is kept under its id. */
export type Taken =
  | { readonly id: string; readonly kind: 'taken'; readonly number: number; readonly chainHash: string }
  | { readonly id: string; readonly kind: 'other' };

type Row = typeof records.$inferSelect;

/** A row as a link of its chain, as it was written. */
export function chainedOf(
  row: Pick<Row, 'entry' | 'signature' | 'number' | 'receivedAt' | 'chainHash' | 'sealedBy' | 'seal'>,
): ChainedEntry {
  return {
    entry: JSON.parse(row.entry) as Entry,
    signature: row.signature,
    number: row.number,
    receivedAt: row.receivedAt.toISOString(),
    chainHash: row.chainHash,
    sealedBy: row.sealedBy,
    seal: row.seal,
  };
}

export const linkColumns = {
  entry: records.entry,
  signature: records.signature,
  number: records.number,
  receivedAt: records.receivedAt,
  chainHash: records.chainHash,
  sealedBy: records.sealedBy,
  seal: records.seal,
};

/** The records of a yard: of each boat a chain, to which entries are added and in which nothing is ever changed. */
export class RecordStore {
  constructor(
    private readonly database: Database,
    private readonly key: YardKey,
    private readonly yard: string = THE_YARD,
    /** Told after every write that added something. */
    private readonly onWritten: () => void = () => undefined,
    private readonly now: () => Date = () => new Date(),
  ) {}

  /** Puts entries of one boat at the end of her chain, in their order; those that are in it already stay where they are. */
  async add(boatId: string, entries: readonly SignedEntry[]): Promise<readonly Taken[]> {
    const hashed = entries.map((signed) => ({ signed, hash: entryHash(signed.entry) }));
    let added = 0;
    const taken = await this.database.transaction(async (within) => {
      // One at a time goes on with a chain; it ends with the transaction.
      await within.execute(sql`select pg_advisory_xact_lock(hashtextextended(${boatId}, 0))`);
      const there = await within
        .select({ id: records.id, hash: records.entryHash, number: records.number, chainHash: records.chainHash })
        .from(records)
        .where(inArray(records.id, [...new Set(entries.map(({ entry }) => entry.id))]));
      const known = new Map(there.map((row) => [row.id, row]));
      const [end] = await within
        .select({ number: records.number, chainHash: records.chainHash })
        .from(records)
        .where(eq(records.boatId, boatId))
        .orderBy(desc(records.number))
        .limit(1);
      let last = end ?? { number: 0, chainHash: CHAIN_BEGIN };
      const receivedAt = this.now();
      const rows: (typeof records.$inferInsert)[] = [];
      const answers = hashed.map(({ signed, hash }): Taken => {
        const { id, circuit, kind, madeAt } = signed.entry;
        const before = known.get(id);
        if (before && before.hash !== hash) return { id, kind: 'other' };
        if (before) return { id, kind: 'taken', number: before.number, chainHash: before.chainHash };
        const number = last.number + 1;
        const own = chainHash(last.chainHash, { entryHash: hash, number, receivedAt: receivedAt.toISOString() });
        last = { number, chainHash: own };
        known.set(id, { id, hash, ...last });
        rows.push({
          id,
          yardId: this.yard,
          boatId,
          circuitId: circuit,
          kind,
          madeAt: new Date(madeAt),
          entry: canonicalText(signed.entry),
          entryHash: hash,
          signature: signed.signature,
          number,
          receivedAt,
          chainHash: own,
          sealedBy: this.key.publicKey,
          seal: this.key.seal(own),
        });
        return { id, kind: 'taken', ...last };
      });
      if (rows.length > 0) await within.insert(records).values(rows);
      added = rows.length;
      return answers;
    });
    if (added > 0) this.onWritten();
    return taken;
  }

  /** Links of a boat's chain after a number, in order. */
  async after(boatId: string, number: number, most: number): Promise<ChainedEntry[]> {
    const rows = await this.database
      .select(linkColumns)
      .from(records)
      .where(and(eq(records.yardId, this.yard), eq(records.boatId, boatId), gt(records.number, number)))
      .orderBy(asc(records.number))
      .limit(most);
    return rows.map(chainedOf);
  }

  /** The head of a chain as it ends with these links, signed. @param job hash of the job that goes with it */
  async head(boatId: string, links: readonly ChainedEntry[], job: string | null): Promise<SignedHead> {
    const end = links[links.length - 1];
    const head = {
      boat: boatId,
      count: links.length,
      chainHash: end?.chainHash ?? CHAIN_BEGIN,
      at: this.now().toISOString(),
      job,
    };
    const keys = new Set(links.map(({ sealedBy }) => sealedBy));
    keys.delete(this.key.publicKey);
    return { ...head, key: this.key.publicKey, earlier: [...keys], seal: this.key.seal(headHash(head)) };
  }
}
