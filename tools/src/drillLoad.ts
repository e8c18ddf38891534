import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildAll } from './build';
import { startCluster } from './cluster';
import { chromiumProgram, needProgram, postgresProgram } from './debian';
import { freePort } from './freePort';
import { allJudged, fillYard, saveFigures } from './load';
import { runServer } from './runServer';
import { say } from './say';
import { yardFigures } from './yards';

const YARDS = [10, 1000, 5000];

/** `npm run drill -- load`: saves beside what the same costs without a server, and yards of several sizes. */
export async function drillLoad(): Promise<void> {
  needProgram(postgresProgram);
  needProgram(chromiumProgram);
  await buildAll();
  const folder = mkdtempSync(join(tmpdir(), 'latch-load-'));
  chmodSync(folder, 0o755);
  const cluster = await startCluster({ folder, wantedPort: 0, durable: true });
  const start = async () => runServer(cluster, await freePort(), 'error', { REQUESTS_PER_MINUTE: '1000000' });
  let server = await start();
  try {
    const yards = [];
    for (const boats of YARDS) {
      say(`A yard of ${boats} boats …`);
      await fillYard(cluster, boats);
      // Started anew, the server judges what was filled in past it.
      await server.stop();
      server = await start();
      await allJudged(cluster);
      yards.push(await yardFigures(server.address, boats));
    }
    say('Saves …');
    const saves = await saveFigures(server, cluster, { perSecond: 200, seconds: 20, boats: 200, restSeconds: 15 });
    process.stdout.write(`${JSON.stringify({ yards, saves }, null, 2)}\n`);
  } finally {
    await server.stop();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
