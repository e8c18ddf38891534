import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The repository's root and the folders the tools work in. */
export const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
export const localFolder = join(root, '.local');
export const webFolder = join(root, 'app', 'dist');
export const serverBundle = join(root, 'server', 'dist', 'main.js');
export const migrationsFolder = join(root, 'server', 'migrations');
export const examplesFolder = join(root, 'examples');
export const clusterFolder = join(localFolder, 'postgres');
export const WANTED_DATABASE_PORT = 54318;
export const POSTGRES_BIN = '/usr/lib/postgresql/15/bin';
