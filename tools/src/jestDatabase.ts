import { chmodSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startCluster, type Cluster } from './cluster';

declare global {
  var latchTestCluster: Cluster | undefined;
}

/** A cluster of its own for the tests of the server, thrown away afterwards. */
export default async function start(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'latch-test-'));
  chmodSync(folder, 0o755);
  globalThis.latchTestCluster = await startCluster({ folder, wantedPort: 0, durable: false });
  process.env['TEST_DATABASE_URL'] = globalThis.latchTestCluster.url;
  process.env['TEST_DATABASE_OWNER_URL'] = globalThis.latchTestCluster.ownerUrl;
}
