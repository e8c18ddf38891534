import { createServer } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import { pino } from 'pino';
import { createApp } from './app';
import { BoatStore } from './db/boatStore';
import { applyMigrations, connect } from './db/connect';

const logger = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });

function setting(name: string): string {
  const value = process.env[name];
  if (value === undefined || value === '') {
    logger.fatal(`The setting ${name} is missing.`);
    process.exit(1);
  }
  return value;
}

const connection = connect(setting('DATABASE_URL'), (error) =>
  logger.warn({ err: error.message }, 'database connection lost'),
);
await migrateOnceThere(setting('MIGRATIONS_FOLDER'));

/** The database may come up after the server: it is given half a minute. */
async function migrateOnceThere(folder: string): Promise<void> {
  for (let tries = 0; ; tries += 1) {
    try {
      await applyMigrations(connection, folder);
      return;
    } catch (error) {
      const reason = error instanceof Error ? String(error.cause ?? error.message) : String(error);
      if (tries >= 30) {
        logger.fatal({ err: reason }, 'the tables could not be brought up to date');
        process.exit(1);
      }
      logger.warn({ err: reason }, 'waiting for the database');
      await wait(1000);
    }
  }
}

const webFolder = process.env['WEB_FOLDER'];
const app = createApp({
  store: new BoatStore(connection.database),
  ping: connection.ping,
  logger,
  ...(webFolder === undefined ? {} : { webFolder }),
  hosts: (process.env['HOSTS_ALLOWED'] ?? '').split(/[\s,]+/).filter(Boolean),
  requestsPerMinute: Number(process.env['REQUESTS_PER_MINUTE'] ?? 1200),
});
const host = process.env['HOST'] ?? '127.0.0.1';
const port = Number(process.env['PORT'] ?? 4318);
const server = createServer(app);
// Longer than a browser leaves a connection idle: one closed here just as a request goes out fails that request.
server.keepAliveTimeout = 65_000;
server.headersTimeout = 70_000;

server.once('error', (error) => {
  logger.fatal({ err: error.message }, 'cannot listen');
  process.exit(1);
});
server.listen(port, host, () => logger.info({ host, port }, 'listening'));

/** Finishes what is under way, then goes. */
function stop(): void {
  server.close(() => {
    void connection.close().then(() => process.exit(0));
  });
  server.closeIdleConnections();
  setTimeout(() => process.exit(0), 5000).unref();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
