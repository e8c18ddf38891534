import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { mutantRooms, type MutantRoom } from './mutantRooms';
import { mutantsPage, scoreOf, survivorsOf, type MutationReport, type RoomResult } from './mutantsPage';
import { localFolder, root } from './places';
import { say } from './say';

/** So much of the usual tries of a property is enough to tell a mutant from the code. */
const SHARE_OF_RUNS = '0.04';
const LEAST_PERCENT = 85;
const folder = join(localFolder, 'mutants');
const page = join(root, 'docs/mutants.md');

/** The texts that a room's tests keep, as of one file. */
function keptTexts({ tests }: MutantRoom): string {
  const folders = [...new Set(tests.map((test) => join(root, dirname(test), '__snapshots__')))].filter(existsSync);
  return folders
    .flatMap((one) => readdirSync(one).map((file) => join(one, file)))
    .filter((file) => tests.some((test) => file.endsWith(`${test.split('/').at(-1)}.snap`)))
    .map((file) => readFileSync(file, 'utf8'))
    .join('\n');
}

/** Everything by which a room's mutants are judged: the tests and all that they stand on beside the code itself. */
function judgedBy(room: MutantRoom, texts: string): string {
  const fixtures = readdirSync(join(root, 'core'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.fixture.ts'))
    .map((file) => join('core', file));
  const hash = createHash('sha256').update(texts);
  for (const file of [...room.tests, ...fixtures].sort()) hash.update(readFileSync(join(root, file)));
  return hash.digest('hex').slice(0, 12);
}

function judge(room: MutantRoom, code: readonly string[]): void {
  say(`\nMutants of ${room.name}, judged by ${room.tests.length} files of tests …`);
  const texts = keptTexts(room);
  writeFileSync(join(root, 'tools/mutants/every.snap'), texts);
  const report = reportOf(room);
  const before = latestOf(room);
  rmSync(report, { force: true });
  const begun = performance.now();
  const { status } = spawnSync(
    process.execPath,
    [join(root, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', 'tools/mutants/stryker.config.mjs'],
    {
      cwd: root,
      stdio: ['ignore', 2, 2],
      env: {
        ...process.env,
        SHARE_OF_RUNS,
        MUTANTS_CODE: code.join(','),
        MUTANTS_TESTS: room.tests.join(','),
        MUTANTS_REPORT: report,
        MUTANTS_KNOWN: join(folder, `${room.name}-${judgedBy(room, texts)}.json`),
      },
    },
  );
  if (status !== 0) throw new Error(`The mutants of ${room.name} could not be run.`);
  if (code.length < room.code.length) joinTo(before, report);
  say(`${room.name}: ${((performance.now() - begun) / 60_000).toFixed(1)} min.`);
}

/** Of a room judged in part, what was found before of its other files stays. */
function joinTo(before: readonly RoomResult[], report: string): void {
  const { files } = JSON.parse(readFileSync(report, 'utf8')) as MutationReport;
  writeFileSync(report, JSON.stringify({ files: { ...before[0]?.files, ...files } }));
}

const reportOf = ({ name }: MutantRoom) => join(folder, `${name}.json`);

/** What was found out of a room when it was last judged. */
function latestOf(room: MutantRoom): RoomResult[] {
  if (!existsSync(reportOf(room))) return [];
  const { files } = JSON.parse(readFileSync(reportOf(room), 'utf8')) as MutationReport;
  return [{ room: room.name, files }];
}

mkdirSync(folder, { recursive: true });
const wanted = process.argv.slice(2);
const judged = mutantRooms
  .map((room) => ({
    room,
    code: room.code.filter(
      (file) => wanted.length === 0 || wanted.includes(room.name) || wanted.some((name) => file.endsWith(`/${name}`)),
    ),
  }))
  .filter(({ code }) => code.length > 0);
// The page alone, from what was found before: after a reason was written.
const pageOnly = wanted.includes('--page');
if (judged.length === 0 && !pageOnly) {
  say(`No such room or file. There are: ${mutantRooms.map(({ name }) => name).join(', ')}.`);
  process.exit(2);
}
if (!pageOnly) judged.forEach(({ room, code }) => judge(room, code));
const results = mutantRooms.flatMap(latestOf);
const missing = mutantRooms.filter(({ name }) => results.every(({ room }) => room !== name)).map(({ name }) => name);
const text = mutantsPage(results, missing);
writeFileSync(page, text);
process.stdout.write(text);
const unexplained = results.flatMap(survivorsOf).filter(({ reason }) => reason === null);
const poor = results.filter((result) => scoreOf(result).percent < LEAST_PERCENT);
for (const { room } of poor) say(`${room}: fewer than ${LEAST_PERCENT} % of its mutants are killed.`);
if (unexplained.length > 0)
  say(`${unexplained.length} survivors have no reason in tools/src/mayLive.ts: tests are owed.`);
process.exit(poor.length > 0 ? 1 : 0);
