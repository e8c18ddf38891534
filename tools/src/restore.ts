import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { confirm } from './confirm';
import { startCluster } from './cluster';
import { clusterFolder, WANTED_DATABASE_PORT } from './places';
import { say } from './say';
import { restoreFrom } from './yardFile';

/** `npm run restore -- FILE`: puts the yard of a backup in place of the one that is here, all or nothing. */
async function main(): Promise<void> {
  const [name] = process.argv.slice(2).filter((word) => !word.startsWith('--'));
  if (name === undefined) throw new Error('Name the file: npm run restore -- FILE');
  const file = resolve(process.env['INIT_CWD'] ?? '.', name);
  if (!existsSync(file)) throw new Error(`${file} is not there.`);
  if (!(await confirm('This puts the yard of the file in place of the one that is here.'))) {
    say('Nothing was changed.');
    process.exit(1);
  }
  const cluster = await startCluster({ folder: clusterFolder, wantedPort: WANTED_DATABASE_PORT, durable: true });
  try {
    const boats = await restoreFrom(cluster.ownerUrl, file);
    say(`The yard has the ${boats} boats of ${file}.`);
  } finally {
    await cluster.stop();
  }
}

main().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
