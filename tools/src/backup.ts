import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { startCluster } from './cluster';
import { clusterFolder, WANTED_DATABASE_PORT } from './places';
import { say } from './say';
import { backUp } from './yardFile';

/** `npm run backup [-- FILE]`: the whole yard, with all versions, into one file. */
async function main(): Promise<void> {
  const today = new Date().toISOString().slice(0, 10);
  const file = resolve(process.env['INIT_CWD'] ?? '.', process.argv[2] ?? `harbor-latch-${today}.backup`);
  if (existsSync(file)) throw new Error(`${file} is there already. Name another file.`);
  const cluster = await startCluster({ folder: clusterFolder, wantedPort: WANTED_DATABASE_PORT, durable: true });
  try {
    const boats = await backUp(cluster.ownerUrl, file);
    say(`${boats} boats with all their versions are in ${file}.`);
  } finally {
    await cluster.stop();
  }
}

main().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
