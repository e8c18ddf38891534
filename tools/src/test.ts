import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll } from './build';
import { allChecks } from './checks';
import { chromiumProgram, needProgram, ngspiceProgram, popplerProgram, postgresProgram } from './debian';
import { localFolder } from './places';
import { loadDemoYears } from './demo';
import { run } from './run';
import { say } from './say';
import { withThrowawayServer } from './throwaway';

const results = join(localFolder, 'results');
const unitResults = join(results, 'unit.json');
const browserResults = ['browser', 'years'].map((name) => join(results, `${name}.json`));

/** The long drills in short: so many of their kills, and this share of what they draw at random (`npm run drill`). */
const { KILLS = '8', SHARE_OF_RUNS = '0.2' } = process.env;

function unit(): Promise<boolean> {
  return run({
    what: 'Unit and API tests',
    script: 'jest/bin/jest.js',
    args: ['--ci', '--json', `--outputFile=${unitResults}`, '--testLocationInResults'],
    // Most of what is made in a test is thrown away at once: with room for it a tenth less time goes to clearing away.
    env: { KILLS, SHARE_OF_RUNS, NODE_OPTIONS: `${process.env['NODE_OPTIONS'] ?? ''} --max-semi-space-size=64` },
  });
}

/** @returns whether the application could be built; what is wrong is said. */
async function build(): Promise<boolean> {
  try {
    await buildAll();
    return true;
  } catch (error) {
    say(error instanceof Error ? error.message : String(error));
    return false;
  }
}

async function browser(): Promise<boolean> {
  const asked = process.argv.slice(3);
  const journeys = (what: string, address: string, name: string, projects: readonly string[]) =>
    run({
      what,
      script: '@playwright/test/cli.js',
      args: [
        'test',
        ...['--config', 'e2e/playwright.config.ts'],
        ...projects.map((project) => `--project=${project}`),
        // Those that are asked for by name may stand in one part alone.
        ...(asked.length > 0 ? ['--pass-with-no-tests', ...asked] : []),
      ],
      env: { LATCH_ADDRESS: address, LATCH_RESULTS: name },
    });
  const at = new Date();
  return withThrowawayServer(
    async ({ address }) => {
      const good = await journeys('Browser tests', address, 'browser', ['phone', 'wide']);
      await loadDemoYears(address, at);
      return (await journeys('Browser tests of the demo’s years', address, 'years', ['years'])) && good;
    },
    at,
    { years: false },
  );
}

interface UnitReport {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
}
interface BrowserReport {
  readonly stats: { readonly expected: number; readonly unexpected: number; readonly flaky: number };
}

const reportIn = <T>(file: string): T | null =>
  existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as T) : null;

/** The closing line, added up from what the runners wrote. */
function closingLine(): string {
  const units = reportIn<UnitReport>(unitResults);
  const browsers = browserResults.map((file) => reportIn<BrowserReport>(file)?.stats);
  const sum = (of: (stats: BrowserReport['stats']) => number) =>
    browsers.reduce((all, stats) => all + (stats ? of(stats) : 0), 0);
  const passed = (units?.numPassedTests ?? 0) + sum(({ expected }) => expected);
  const failed = (units?.numFailedTests ?? 0) + sum(({ unexpected }) => unexpected);
  const again = sum(({ flaky }) => flaky);
  return `${passed + again} passed, ${failed} failed${again > 0 ? ` (${again} passed at a second try)` : ''}`;
}

async function main(): Promise<void> {
  const part = process.argv[2] ?? 'all';
  if (!['all', 'checks', 'unit', 'browser'].includes(part)) {
    say('Parts that can be run alone: npm test -- checks | unit | browser');
    process.exit(2);
  }
  const wanted = (name: string) => part === 'all' || part === name;
  needProgram(postgresProgram);
  if (wanted('unit')) [ngspiceProgram, popplerProgram].forEach(needProgram);
  if (wanted('browser')) needProgram(chromiumProgram);
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  // It takes one core for minutes where nothing of it is there yet, and needs nothing of what is done meanwhile.
  const building = wanted('browser') ? build() : null;
  const outcomes = [
    wanted('checks') ? await allChecks() : true,
    wanted('unit') ? await unit() : true,
    building ? (await building) && (await browser()) : true,
  ];
  const good = outcomes.every(Boolean);
  process.stdout.write(`\n${closingLine()}\n`);
  if (!good) say('Something failed; see above.');
  process.exit(good ? 0 : 1);
}

main().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
