import type { Job } from '@harbor-latch/core/job/index';
import { index, integer, jsonb, pgTable, primaryKey, timestamp, uuid } from 'drizzle-orm/pg-core';

/** A job as its row holds it: of the version that was today's when it was written. */
export type RowJob = Omit<Job, 'version'> & { readonly version: number };

/** One row a boat: its job file and the version that a write must be based on. */
export const boats = pgTable(
  'boats',
  {
    id: uuid('id').primaryKey(),
    version: integer('version').notNull(),
    job: jsonb('job').$type<RowJob>().notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('boats_created_at').on(table.createdAt)],
);

/** Every version a boat ever had, also of boats that were removed. */
export const revisions = pgTable(
  'revisions',
  {
    boatId: uuid('boat_id').notNull(),
    version: integer('version').notNull(),
    job: jsonb('job').$type<RowJob>().notNull(),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.boatId, table.version] })],
);
