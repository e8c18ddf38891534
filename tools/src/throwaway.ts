import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startCluster } from './cluster';
import { loadDemo, loadDemoBoats } from './demo';
import { freePort } from './freePort';
import { runServer, type RunningServer } from './runServer';

/**
 * Does `work` against the built application on a database of its own with the demo boats, and clears all away.
 * @param demoAt the time at which the demo's boats stand as they are told
 * @param years whether they come with their years of records
 */
export async function withThrowawayServer<T>(
  work: (server: RunningServer) => Promise<T>,
  demoAt = new Date(),
  { years = true }: { readonly years?: boolean } = {},
): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'latch-throwaway-'));
  chmodSync(folder, 0o755);
  const cluster = await startCluster({ folder, wantedPort: 0, durable: false });
  try {
    const server = await runServer(cluster, await freePort(), 'error', { REQUESTS_PER_MINUTE: '1000000' });
    try {
      await (years ? loadDemo : loadDemoBoats)(server.address, demoAt);
      return await work(server);
    } finally {
      await server.stop();
    }
  } finally {
    await cluster.stop();
    rmSync(cluster.folder, { recursive: true, force: true });
  }
}
