import { sql } from 'drizzle-orm';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { grants } from './schema';

export type Database = NodePgDatabase;

export interface Connection {
  readonly database: Database;
  readonly url: string;
  /** Resolves when the database answers. @throws when it does not within three seconds. */
  ping(): Promise<void>;
  close(): Promise<void>;
}

/** So long a statement may take, ms: the database gives it up; a little later so does the server, should the database itself hang. */
const STATEMENT_MS = 10_000;
const QUERY_MS = 12_000;
const PING_MS = 3000;

/**
 * Opens a pool on the database. A lost connection is reported to `onLost` and
 * replaced at the next query; idle ones are kept, since a new one costs a busy
 * machine far more than the query.
 * @param options.patient whether statements may take as long as they need, as when tables are brought up to date
 */
export function connect(url: string, onLost: (error: Error) => void, { patient = false } = {}): Connection {
  const pool = new pg.Pool({
    connectionString: url,
    max: 8,
    idleTimeoutMillis: 0,
    connectionTimeoutMillis: 5000,
    ...(patient ? {} : { statement_timeout: STATEMENT_MS, query_timeout: QUERY_MS }),
    keepAlive: true,
  });
  pool.on('error', onLost);
  // A connection in use tells of its loss here, beside failing its query; unheard, that would end the process.
  pool.on('connect', (client) => client.on('error', onLost));
  return {
    database: drizzle(pool),
    url,
    ping: () => ping(url),
    close: () => pool.end(),
  };
}

/** Asks on a connection of its own, so that a busy pool is not taken for a dead database, nor a dead one waited for. */
async function ping(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: PING_MS, query_timeout: PING_MS });
  client.on('error', () => undefined);
  const late = new Promise<never>((_resolve, reject) => {
    setTimeout(() => reject(new Error('The database does not answer.')), PING_MS).unref();
  });
  try {
    await Promise.race([client.connect().then(() => client.query('select 1')), late]);
  } finally {
    void client.end().catch(() => undefined);
  }
}

/** Names the lock of those who bring the tables up to date: one does, the others wait and find it done. */
const MIGRATION_LOCK = 20_261;

/**
 * Brings the tables up to date, as their owner.
 * @param role the account under which the server works; it is given what it needs of each table and nothing else
 */
export async function applyMigrations({ database }: Connection, folder: string, role?: string): Promise<void> {
  await database.transaction(async (holding) => {
    await holding.execute(sql`select pg_advisory_xact_lock(${MIGRATION_LOCK})`);
    await migrate(database, { migrationsFolder: folder });
    if (role === undefined) return;
    const account = sql.identifier(role);
    await holding.execute(sql`grant usage on schema public to ${account}`);
    for (const [table, what] of Object.entries(grants)) {
      await holding.execute(sql`revoke all on ${sql.identifier(table)} from ${account}`);
      await holding.execute(sql`grant ${sql.raw(what)} on ${sql.identifier(table)} to ${account}`);
    }
  });
}
