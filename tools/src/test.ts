import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll } from './build';
import { allChecks } from './checks';
import { chromiumProgram, needProgram, ngspiceProgram, popplerProgram, postgresProgram } from './debian';
import { localFolder } from './places';
import { run } from './run';
import { say } from './say';
import { withThrowawayServer } from './throwaway';

const results = join(localFolder, 'results');
const unitResults = join(results, 'unit.json');
const browserResults = join(results, 'browser.json');

/** The long drills in short: so many of their kills, and this share of what they draw at random (`npm run drill`). */
const { KILLS = '8', SHARE_OF_RUNS = '0.4' } = process.env;

function unit(): boolean {
  return run({
    what: 'Unit and API tests',
    script: 'jest/bin/jest.js',
    args: ['--ci', '--json', `--outputFile=${unitResults}`, '--testLocationInResults'],
    env: { KILLS, SHARE_OF_RUNS },
  });
}

async function browser(): Promise<boolean> {
  await buildAll();
  return withThrowawayServer(async ({ address }) =>
    run({
      what: 'Browser tests',
      script: '@playwright/test/cli.js',
      args: ['test', '--config', 'e2e/playwright.config.ts', ...process.argv.slice(3)],
      env: { LATCH_ADDRESS: address },
    }),
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
  const browsers = reportIn<BrowserReport>(browserResults)?.stats;
  const passed = (units?.numPassedTests ?? 0) + (browsers?.expected ?? 0);
  const failed = (units?.numFailedTests ?? 0) + (browsers?.unexpected ?? 0);
  const again = browsers?.flaky ?? 0;
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
  const outcomes = [
    wanted('checks') ? await allChecks() : true,
    wanted('unit') ? unit() : true,
    wanted('browser') ? await browser() : true,
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
