import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { closeSync, createReadStream, createWriteStream, existsSync, openSync, readSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import pg from 'pg';
import { POSTGRES_BIN } from './places';

/**
 * The file of a whole yard: gzipped lines of JSON. The first names the format, then come rows as `[table, row]`, and
 * the last carries the SHA-256 of all before it. Nothing in it is ever run: rows of known tables and columns are read, the
 * rest is refused.
 */
const FORMAT = 'harbor-latch/yard';

/** The tables of a yard and their columns, in the order in which they are put back. */
const tables: Readonly<Record<string, readonly string[]>> = {
  boats: [
    'id',
    'yard_id',
    'version',
    'job',
    'line',
    'removed',
    'created_at',
    'saved_at',
    'saved_by',
    'device',
    'summary',
    'rules',
  ],
  revisions: ['boat_id', 'version', 'job', 'packed', 'began_at', 'saved_at', 'saved_by', 'device', 'kept', 'name'],
  answers: ['key', 'boat_id', 'version', 'saved_at'],
  photos: ['id', 'yard_id', 'bytes', 'added_at', 'added_by'],
  stock_entries: ['id', 'yard_id', 'entry', 'device', 'received_at'],
  records: [
    'id',
    'yard_id',
    'boat_id',
    'circuit_id',
    'kind',
    'made_at',
    'entry',
    'entry_hash',
    'signature',
    'number',
    'received_at',
    'chain_hash',
    'sealed_by',
    'seal',
  ],
};

/** What a row of an earlier release lacks. */
const missing: Readonly<Record<string, string>> = {
  yard_id: `'00000000-0000-4000-8000-000000000001'`,
  removed: 'false',
  saved_by: `''`,
  added_by: `''`,
  began_at: 'saved_at',
  received_at: 'now()',
};

const ROWS_AT_ONCE = 200;
const MOST_LINE_BYTES = 64 * 1024 * 1024;

const refused = (why: string, cause?: unknown) => new Error(`${why}; nothing was changed.`, { cause });

/** Writes the yard into one file. @returns how many boats it holds. */
export async function backUp(url: string, file: string): Promise<number> {
  if (existsSync(file)) throw refused(`${file} is there already`);
  try {
    return await inOneView(url, async (client) => {
      const hash = createHash('sha256');
      const boats = await countBoats(client);
      async function* lines() {
        const told = (line: unknown) => {
          const text = `${JSON.stringify(line)}\n`;
          hash.update(text);
          return text;
        };
        yield told({ format: FORMAT, version: 1, boats });
        for (const [table, columns] of Object.entries(tables)) {
          await client.query(`declare rows no scroll cursor for select ${columns.join(', ')} from ${table}`);
          for (;;) {
            const { rows } = await client.query<{ row: unknown }>(
              // As PostgreSQL itself writes them: no date and no number goes through another's hands.
              `fetch ${ROWS_AT_ONCE} from rows`,
            );
            if (rows.length === 0) break;
            for (const row of rows) yield told([table, plain(row)]);
          }
          await client.query('close rows');
        }
        yield `${JSON.stringify({ sha256: hash.copy().digest('hex') })}\n`;
      }
      await pipeline(lines, createGzip(), createWriteStream(file, { flags: 'wx', mode: 0o600 }));
      return boats;
    });
  } catch (error) {
    rmSync(file, { force: true });
    throw error;
  }
}

/** A row with bytes as text that PostgreSQL reads back. */
function plain(row: object): object {
  return Object.fromEntries(
    Object.entries(row).map(([key, value]: [string, unknown]) => [
      key,
      Buffer.isBuffer(value) ? `\\x${value.toString('hex')}` : value,
    ]),
  );
}

/** Puts a backup in place of what the database holds, in one transaction. @returns how many boats it has then. */
export async function restoreFrom(url: string, file: string): Promise<number> {
  const rows = isOldDump(file) ? rowsOfOldDump(file) : rowsIn(file);
  return inOneView(url, async (client) => {
    // Nothing else ever takes the records away: the yard of the file comes whole in place of this one.
    await client.query('alter table records disable trigger records_stay');
    await client.query(`truncate ${Object.keys(tables).join(', ')}`);
    await client.query('alter table records enable trigger records_stay');
    let waiting: unknown[] = [];
    let table = '';
    const put = async () => {
      if (waiting.length > 0) await insert(client, table, waiting);
      waiting = [];
    };
    for await (const [name, row] of rows) {
      if (name !== table || waiting.length >= ROWS_AT_ONCE) await put();
      table = name;
      waiting.push(row);
    }
    await put();
    // Devices remember points of the feed that was: it is named anew, so that they read the yard from the beginning.
    await client.query('update yards set feed = gen_random_uuid()');
    await client.query('update boats set changed = pg_current_xact_id()');
    await client.query('update stock_entries set changed = pg_current_xact_id()');
    return countBoats(client);
  });
}

async function insert(client: pg.Client, table: string, rows: readonly unknown[]): Promise<void> {
  const columns = tables[table];
  if (!columns) throw refused(`The file holds a table "${table}" that is none of a yard`);
  const values = columns.map((column) => (missing[column] ? `coalesce(${column}, ${missing[column]})` : column));
  await client.query(
    `insert into ${table} (${columns.join(', ')})
      select ${values.join(', ')} from jsonb_populate_recordset(null::${table}, $1::jsonb)`,
    [JSON.stringify(rows)],
  );
}

/** The rows of a backup, once the whole of it has been checked. */
async function* rowsIn(file: string): AsyncGenerator<readonly [string, unknown]> {
  await check(file);
  for await (const line of linesOf(file)) {
    const value: unknown = JSON.parse(line);
    if (Array.isArray(value)) yield [String(value[0]), value[1]];
  }
}

async function check(file: string): Promise<void> {
  const hash = createHash('sha256');
  let first: string | null = null;
  let last: string | null = null;
  for await (const line of linesOf(file)) {
    first ??= line;
    // The last line is the checksum itself.
    if (last !== null) hash.update(`${last}\n`);
    last = line;
  }
  const read = <T>(text: string | null): Partial<T> => {
    try {
      return JSON.parse(text ?? '{}') as Partial<T>;
    } catch {
      return {};
    }
  };
  const head = read<{ format: string; version: number }>(first);
  if (head.format !== FORMAT) throw refused(`${file} is no backup of a yard`);
  if (head.version !== 1) throw refused(`${file} was written by a newer release: update, then restore it`);
  if (read<{ sha256: string }>(last).sha256 !== hash.digest('hex'))
    throw refused(`${file} was cut short or altered: its checksum does not fit`);
}

async function* linesOf(file: string): AsyncGenerator<string> {
  const unzipped = createReadStream(file).pipe(createGunzip());
  let bytes = 0;
  const bounded = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes = chunk.includes(10) ? 0 : bytes + chunk.length;
      done(bytes > MOST_LINE_BYTES ? refused('The file has a line longer than any boat') : null, chunk);
    },
  });
  const text = createInterface({ input: unzipped.pipe(bounded), crlfDelay: Infinity });
  const failed = new Promise<never>((_resolve, reject) => {
    for (const stream of [unzipped, bounded]) stream.once('error', reject);
  });
  failed.catch(() => text.close());
  const lines = text[Symbol.asyncIterator]();
  try {
    for (;;) {
      const { value, done } = await Promise.race([lines.next(), failed]);
      if (done === true) return;
      yield value;
    }
  } catch (error) {
    throw error instanceof Error && error.message.includes('nothing was changed')
      ? error
      : refused(`${file} is no backup of a yard, or was cut short`, error);
  }
}

/** A backup of an earlier release, made by the database's own program. */
function isOldDump(file: string): boolean {
  const head = Buffer.alloc(5);
  const open = openSync(file, 'r');
  readSync(open, head, 0, 5, 0);
  closeSync(open);
  return head.toString('latin1') === 'PGDMP';
}

/** The rows of such a backup: turned into text, of which only the rows of known tables are read and nothing is run. */
async function* rowsOfOldDump(file: string): AsyncGenerator<readonly [string, unknown]> {
  const { status, stdout } = spawnSync(
    join(POSTGRES_BIN, 'pg_restore'),
    ['--data-only', '--table=boats', '--table=revisions', '--file=-', file],
    { encoding: 'utf8', maxBuffer: 2 ** 30 },
  );
  if (status !== 0) throw refused(`${file} is no backup of a yard`);
  let table: string | null = null;
  let columns: readonly string[] = [];
  for (const line of stdout.split('\n')) {
    const [, name, listed] = /^COPY public\.(boats|revisions) \(([a-z_, ]+)\) FROM stdin;$/.exec(line) ?? [];
    if (table === null && name !== undefined) [table, columns] = [name, (listed ?? '').split(', ')];
    else if (line === '\\.') table = null;
    else if (table !== null) yield [table, rowOf(columns, line)];
  }
}

const escapes: Readonly<Record<string, string>> = { b: '\b', f: '\f', n: '\n', r: '\r', t: '\t', v: '\v' };

function rowOf(columns: readonly string[], line: string): object {
  const values = line
    .split('\t')
    .map((value) => (value === '\\N' ? null : value.replace(/\\(.)/g, (_all, one: string) => escapes[one] ?? one)));
  return Object.fromEntries(
    columns.map((column, index) => [
      column,
      column === 'job' ? (JSON.parse(values[index] ?? 'null') as unknown) : values[index],
    ]),
  );
}

/** Works in one transaction that sees one state of the database; nothing of it stays where the work fails. */
async function inOneView<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url });
  // Dates as PostgreSQL writes them, to the microsecond.
  client.setTypeParser(pg.types.builtins.TIMESTAMPTZ, (text: string) => text);
  await client.connect();
  try {
    await client.query('begin isolation level repeatable read');
    const done = await work(client);
    await client.query('commit');
    return done;
  } finally {
    await client.end();
  }
}

async function countBoats(client: pg.Client): Promise<number> {
  try {
    const { rows } = await client.query<{ boats: string }>('select count(*) as boats from boats where not removed');
    return Number(rows[0]?.boats ?? 0);
  } catch (error) {
    throw new Error('There is no yard here yet. Run npm start once.', { cause: error });
  }
}
