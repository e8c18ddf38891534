import { sql } from 'drizzle-orm';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';

export type Database = NodePgDatabase;

export interface Connection {
  readonly database: Database;
  /** Resolves when the database answers. @throws when it cannot be reached within five seconds. */
  ping(): Promise<void>;
  close(): Promise<void>;
}

/**
 * Opens a pool on the database. A lost connection is reported to `onLost` and
 * replaced at the next query; idle ones are kept, since a new one costs a busy
 * machine far more than the query.
 */
export function connect(url: string, onLost: (error: Error) => void): Connection {
  const pool = new pg.Pool({
    connectionString: url,
    max: 8,
    idleTimeoutMillis: 0,
    connectionTimeoutMillis: 5000,
    statement_timeout: 10_000,
  });
  pool.on('error', onLost);
  // A connection in use tells of its loss here, beside failing its query; unheard, that would end the process.
  pool.on('connect', (client) => client.on('error', onLost));
  return {
    database: drizzle(pool),
    ping: async () => {
      await pool.query('select 1');
    },
    close: () => pool.end(),
  };
}

/** Names the lock of those who bring the tables up to date: one does, the others wait and find it done. */
const MIGRATION_LOCK = 20_261;

/** Brings the tables up to date. */
export async function applyMigrations({ database }: Connection, folder: string): Promise<void> {
  await database.transaction(async (holding) => {
    await holding.execute(sql`select pg_advisory_xact_lock(${MIGRATION_LOCK})`);
    await migrate(database, { migrationsFolder: folder });
  });
}
