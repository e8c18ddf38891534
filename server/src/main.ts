import { setTimeout as wait } from 'node:timers/promises';
import { pino } from 'pino';
import { createApp } from './app';
import { applyMigrations, connect } from './db/connect';
import { Live } from './live/live';
import { yardKeyIn } from './records/yardKey';
import { storesOn } from './stores';
import { limitedServer } from './limits';
import { judgeInWorker } from './summaries/judgeInWorker';
import { Summaries } from './summaries/Summaries';

/** Names the rules in this build: written in when it is made. */
declare const RULES: string;

const logger = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });

function setting(name: string): string {
  const value = process.env[name];
  if (value === undefined || value === '') {
    logger.fatal(`The setting ${name} is missing.`);
    process.exit(1);
  }
  return value;
}

const lost = (error: Error) => logger.warn({ err: error.message }, 'database connection lost');
const url = setting('DATABASE_URL');
const role = decodeURIComponent(new URL(url).username);
await migrateOnceThere(process.env['DATABASE_OWNER_URL'] ?? url, setting('MIGRATIONS_FOLDER'));
const connection = connect(url, lost);

/** The database may come up after the server: it is given half a minute. Tables are brought up to date by their owner. */
async function migrateOnceThere(ownerUrl: string, folder: string): Promise<void> {
  const owner = connect(ownerUrl, lost, { patient: true });
  for (let tries = 0; ; tries += 1) {
    try {
      await applyMigrations(owner, folder, ownerUrl === url ? undefined : role);
      await owner.close();
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

const live = new Live(url, logger);
const judges = judgeInWorker(new URL('./summaryWorker.js', import.meta.url));
const summaries = new Summaries({
  database: connection.database,
  logger,
  rules: RULES,
  judge: judges.judge,
  onSummaries: live.announce,
});
const yardKey = yardKeyIn(setting('YARD_KEY_FILE'));
const stores = storesOn(
  connection.database,
  () => {
    live.announce();
    summaries.changed();
  },
  yardKey,
);
const THIN_EVERY_MS = 6 * 3600 * 1000;
const thin = () =>
  void stores.versions.thin().then(
    (count) => logger.info({ count }, 'old versions thinned'),
    (error: unknown) => logger.warn({ err: error instanceof Error ? error.message : '' }, 'versions not thinned'),
  );

const webFolder = process.env['WEB_FOLDER'];
const app = createApp({
  stores,
  live,
  ping: connection.ping,
  logger,
  ...(webFolder === undefined ? {} : { webFolder }),
  hosts: (process.env['HOSTS_ALLOWED'] ?? '').split(/[\s,]+/).filter(Boolean),
  requestsPerMinute: Number(process.env['REQUESTS_PER_MINUTE'] ?? 1200),
});
const host = process.env['HOST'] ?? '127.0.0.1';
const port = Number(process.env['PORT'] ?? 4318);
const server = limitedServer(app);

server.once('error', (error) => {
  logger.fatal({ err: error.message }, 'cannot listen');
  process.exit(1);
});
server.listen(port, host, () => {
  logger.info({ host, port }, 'listening');
  live.start();
  summaries.changed();
  thin();
});
const thinning = setInterval(thin, THIN_EVERY_MS);

/** Finishes what is under way, then goes. */
function stop(): void {
  clearInterval(thinning);
  summaries.stop();
  server.close(() => {
    void Promise.all([judges.stop(), live.stop(), connection.close()]).then(() => process.exit(0));
  });
  server.closeIdleConnections();
  setTimeout(() => process.exit(0), 5000).unref();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
