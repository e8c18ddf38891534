import { spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import type { Cluster } from './cluster';
import { join } from 'node:path';
import { localFolder, migrationsFolder, root, serverBundle, webFolder } from './places';

export interface RunningServer {
  readonly address: string;
  readonly process: ChildProcess;
  stop(): Promise<void>;
}

/** Starts the built server on a loopback port and waits until it is ready. @throws when it ends or stays silent. */
export async function runServer(
  database: Pick<Cluster, 'url' | 'ownerUrl'>,
  port: number,
  logLevel: string,
  settings: Readonly<Record<string, string>> = {},
): Promise<RunningServer> {
  mkdirSync(localFolder, { recursive: true });
  const child = spawn(process.execPath, ['--enable-source-maps', settings['SERVER_BUNDLE'] ?? serverBundle], {
    cwd: root,
    // Its own group, so that Ctrl-C in the terminal reaches it only through us, in order.
    detached: true,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      YARD_KEY_FILE: join(localFolder, 'yard-key'),
      ...settings,
      DATABASE_URL: database.url,
      DATABASE_OWNER_URL: database.ownerUrl,
      MIGRATIONS_FOLDER: migrationsFolder,
      WEB_FOLDER: webFolder,
      HOST: '127.0.0.1',
      PORT: String(port),
      LOG_LEVEL: logLevel,
      NODE_ENV: 'production',
    },
  });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 150; tries += 1) {
    if (child.exitCode !== null) throw new Error('The server ended before it was ready.');
    if (await isReady(address)) {
      return {
        address,
        process: child,
        stop: async () => {
          child.kill('SIGTERM');
          await ended;
        },
      };
    }
    await wait(100);
  }
  child.kill('SIGKILL');
  throw new Error('The server did not become ready.');
}

async function isReady(address: string): Promise<boolean> {
  try {
    return (await fetch(`${address}/api/health`)).ok;
  } catch {
    return false;
  }
}
