import { rmSync } from 'node:fs';
import { buildAll } from './build';
import { startCluster, type Cluster } from './cluster';
import { confirm } from './confirm';
import { loadDemo } from './demo';
import { freePort } from './freePort';
import { clusterFolder, WANTED_DATABASE_PORT } from './places';
import { runServer, type RunningServer } from './runServer';
import { say } from './say';

const WANTED_PORT = 4318;

let cluster: Cluster | undefined;
let server: RunningServer | undefined;
let stopping = false;

async function stop(code: number): Promise<void> {
  if (stopping) return;
  stopping = true;
  say('\nStopping …');
  await server?.stop();
  await cluster?.stop();
  say('Stopped. Everything saved is kept.');
  process.exit(code);
}

async function startOver(): Promise<void> {
  const running = await startCluster({ folder: clusterFolder, wantedPort: WANTED_DATABASE_PORT, durable: true });
  if (running.takenOver)
    throw new Error('The yard is open in another window. Stop that one with Ctrl-C, then start over.');
  await running.stop();
  rmSync(running.folder, { recursive: true, force: true });
  say('The yard was cleared.');
}

async function main(): Promise<void> {
  if (process.argv.includes('--fresh')) {
    if (!(await confirm('This deletes every boat of this yard and starts over with the demo.'))) {
      say('Nothing was changed.');
      process.exit(1);
    }
    await startOver();
  }
  const begun = Date.now();
  say('Starting the database …');
  cluster = await startCluster({ folder: clusterFolder, wantedPort: WANTED_DATABASE_PORT, durable: true });
  await buildAll();
  say('Starting the server …');
  const port = await freePort(Number(process.env['PORT'] ?? WANTED_PORT));
  server = await runServer(cluster, port, process.env['LOG_LEVEL'] ?? 'warn');
  const added = await loadDemo(server.address);
  if (added > 0) say(`The yard was empty: ${added} demo boats of Quillan Reach were added.`);
  say(`Harbor Latch is ready after ${((Date.now() - begun) / 1000).toFixed(1)} s: ${server.address}`);
  say('Press Ctrl-C to stop.');
  server.process.once('exit', () => {
    if (!stopping) {
      say('The server ended unexpectedly.');
      void stop(1);
    }
  });
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(0));

main().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  void stop(1);
});
