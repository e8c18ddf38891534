import type { Job } from '@harbor-latch/core/job/index';
import { index, integer, jsonb, pgTable, timestamp, uuid } from 'drizzle-orm/pg-core';

/** One row a boat: its job file and the version that a write must be based on. */
export const boats = pgTable(
  'boats',
  {
    id: uuid('id').primaryKey(),
    version: integer('version').notNull(),
    job: jsonb('job').$type<Job>().notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('boats_created_at').on(table.createdAt)],
);
