import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { POSTGRES_BIN } from './places';

/** Writes the whole database into one file. @returns how many boats it holds. */
export async function backUp(url: string, file: string): Promise<number> {
  const boats = await countBoats(url);
  try {
    run('pg_dump', ['--format=custom', '--no-owner', `--file=${file}`], url);
  } catch (error) {
    rmSync(file, { force: true });
    throw error;
  }
  return boats;
}

/** Puts a backup in place of what the database holds, in one transaction. @returns how many boats it has then. */
export async function restoreFrom(url: string, file: string): Promise<number> {
  run('pg_restore', ['--clean', '--if-exists', '--no-owner', '--single-transaction', '--exit-on-error', file], url);
  return countBoats(url);
}

function run(program: string, args: readonly string[], url: string): void {
  const { hostname, port, username, password, pathname } = new URL(url);
  const { status, stderr } = spawnSync(
    join(POSTGRES_BIN, program),
    ['--host', hostname, '--port', port, '--username', username, '--dbname', pathname.slice(1), ...args],
    { encoding: 'utf8', env: { ...process.env, PGPASSWORD: decodeURIComponent(password) } },
  );
  if (status !== 0) throw new Error(`${program} failed; nothing was changed.\n${stderr}`);
}

async function countBoats(url: string): Promise<number> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows } = await client.query<{ boats: string }>('select count(*) as boats from boats');
    return Number(rows[0]?.boats ?? 0);
  } catch (error) {
    throw new Error('There is no yard here yet. Run npm start once.', { cause: error });
  } finally {
    await client.end();
  }
}
