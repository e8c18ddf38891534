import { rmSync } from 'node:fs';

export default async function stop(): Promise<void> {
  const cluster = globalThis.latchTestCluster;
  await cluster?.stop();
  if (cluster) rmSync(cluster.folder, { recursive: true, force: true });
}
