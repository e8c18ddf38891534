import { THE_YARD } from '@harbor-latch/core/records/entry';
import type { Job } from '@harbor-latch/core/job/index';
import type { BoatLine, Kept, StockEntry } from '@harbor-latch/core/wire/index';
import type { LineOfJob } from '@harbor-latch/core/wire/boatLine';
import { sql } from 'drizzle-orm';
import {
  boolean,
  customType,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';

/** A job as its row holds it: of the version that was today's when it was written. */
export type RowJob = Omit<Job, 'version'> & { readonly version: number };

export { THE_YARD };

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' });
/** A transaction's number: eight bytes that only grow. */
const xid8 = customType<{ data: string }>({ dataType: () => 'xid8' });
const at = (name: string) => timestamp(name, { withTimezone: true });
const yardId = () => uuid('yard_id').notNull().default(THE_YARD);

/** A yard. Its feed is named anew when a backup is put in its place: what devices remember of the old one counts no more. */
export const yards = pgTable('yards', {
  id: uuid('id').primaryKey(),
  feed: uuid('feed').notNull().defaultRandom(),
});

/**
 * One row a boat: its job file, the version that a write must be based on, and the transaction that changed
 * it last, by which devices ask for what changed. One that was removed stays as the word of that.
 */
export const boats = pgTable(
  'boats',
  {
    id: uuid('id').primaryKey(),
    yardId: yardId(),
    version: integer('version').notNull(),
    job: jsonb('job').$type<RowJob>().notNull(),
    line: jsonb('line').$type<LineOfJob>(),
    removed: boolean('removed').notNull().default(false),
    createdAt: at('created_at').notNull().defaultNow(),
    savedAt: at('saved_at').notNull().defaultNow(),
    savedBy: text('saved_by').notNull().default(''),
    device: uuid('device'),
    changed: xid8('changed')
      .notNull()
      .default(sql`pg_current_xact_id()`),
    summary: jsonb('summary').$type<BoatLine['summary']>(),
    /** The rules by which the summary was made. */
    rules: text('rules'),
  },
  (table) => [
    index('boats_created_at').on(table.yardId, table.createdAt, table.id),
    index('boats_changed').on(table.yardId, table.changed, table.id),
  ],
);

/**
 * The versions of every boat, also of those that were removed: the last of each sitting. The job is deflated JSON;
 * rows of earlier releases hold it as it is.
 */
export const revisions = pgTable(
  'revisions',
  {
    boatId: uuid('boat_id').notNull(),
    version: integer('version').notNull(),
    job: jsonb('job').$type<RowJob>(),
    packed: bytea('packed'),
    beganAt: at('began_at').notNull().defaultNow(),
    savedAt: at('saved_at').notNull().defaultNow(),
    savedBy: text('saved_by').notNull().default(''),
    device: uuid('device'),
    kept: text('kept').$type<Kept>(),
    name: text('name'),
  },
  (table) => [primaryKey({ columns: [table.boatId, table.version] })],
);

/** What was answered to writes, by the key their sender gave them: one that is sent again gets the same answer. */
export const answers = pgTable('answers', {
  key: uuid('key').primaryKey(),
  boatId: uuid('boat_id').notNull(),
  version: integer('version').notNull(),
  savedAt: at('saved_at').notNull().defaultNow(),
});

/** Photographs by the hash of what they hold. */
export const photos = pgTable('photos', {
  id: text('id').primaryKey(),
  yardId: yardId(),
  bytes: bytea('bytes').notNull(),
  addedAt: at('added_at').notNull().defaultNow(),
  addedBy: text('added_by').notNull().default(''),
});

/** The yard's stock, entry by entry, as devices made them: nothing in it is ever changed. */
export const stockEntries = pgTable(
  'stock_entries',
  {
    id: uuid('id').primaryKey(),
    yardId: yardId(),
    entry: jsonb('entry').$type<StockEntry>().notNull(),
    device: uuid('device'),
    receivedAt: at('received_at').notNull().defaultNow(),
    changed: xid8('changed')
      .notNull()
      .default(sql`pg_current_xact_id()`),
  },
  (table) => [index('stock_entries_changed').on(table.yardId, table.changed, table.id)],
);

/**
 * The records of boats, link by link. An entry is text as it was hashed and signed; beside it stands only what it is looked
 * for by. The table takes rows and gives them back: a trigger refuses to alter or to remove any, whoever asks.
 */
export const records = pgTable(
  'records',
  {
    id: uuid('id').primaryKey(),
    yardId: yardId(),
    boatId: uuid('boat_id').notNull(),
    circuitId: text('circuit_id'),
    kind: text('kind').notNull(),
    madeAt: at('made_at').notNull(),
    entry: text('entry').notNull(),
    entryHash: text('entry_hash').notNull(),
    signature: text('signature').notNull(),
    number: integer('number').notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true, precision: 3 }).notNull(),
    chainHash: text('chain_hash').notNull(),
    sealedBy: text('sealed_by').notNull(),
    seal: text('seal').notNull(),
    changed: xid8('changed')
      .notNull()
      .default(sql`pg_current_xact_id()`),
  },
  (table) => [
    uniqueIndex('records_chain').on(table.boatId, table.number),
    index('records_changed').on(table.yardId, table.changed, table.id),
  ],
);

/** What the server may do with each table; nothing else is its. */
export const grants: Readonly<Record<string, string>> = {
  yards: 'select',
  boats: 'select, insert, update',
  revisions: 'select, insert, update, delete',
  answers: 'select, insert, delete',
  photos: 'select, insert',
  stock_entries: 'select, insert',
  records: 'select, insert',
};
