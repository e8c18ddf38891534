import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium } from '@playwright/test';
import { buildSync } from 'esbuild';
import type { CoreFigures } from './benchCore';
import { phoneFigures } from './benchPhone';
import { buildAll } from './build';
import { chromiumProgram, needProgram, ngspiceProgram } from './debian';
import { examplesFolder, localFolder, root } from './places';
import { say } from './say';
import { withThrowawayServer } from './throwaway';

/** What must not be exceeded, ms and bytes; the ratios are what must be reached. */
const budgets = {
  assessMs: 1,
  solveMs: 0.05,
  monthMs: 15,
  monthWithHoleMs: 30,
  monthTracedMs: 60,
  window200PosesMs: 2,
  // 1.35 times the 305 kB of an empty application on the same stack.
  firstScreenJavaScriptBytes: 411_750,
  timesNgspice: 50,
  timesFixedSteps: 1000,
};

/** The core's figures, measured in plain JavaScript as it is shipped, in a process of its own. */
function coreFigures(): CoreFigures {
  const script = join(localFolder, 'benchCore.cjs');
  buildSync({
    entryPoints: [join(root, 'tools/src/benchCore.ts')],
    outfile: script,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
  });
  const { stdout, stderr, status } = spawnSync(process.execPath, [script, examplesFolder], { encoding: 'utf8' });
  if (status !== 0) throw new Error(stderr);
  return JSON.parse(stdout) as CoreFigures;
}

/**
 * Bytes from a cold cache, as they came over the wire: until the first boat stood,
 * and once every other page had been fetched ahead as well.
 */
async function firstScreen(address: string) {
  const browser = await chromium.launch(chromiumLaunch);
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  const network = await page.context().newCDPSession(page);
  await network.send('Network.enable');
  const kinds = new Map<string, string>();
  const bytes = { javaScript: 0, all: 0, requests: 0 };
  network.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type));
  network.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    bytes.all += encodedDataLength;
    bytes.requests += 1;
    if (kinds.get(requestId) === 'Script') bytes.javaScript += encodedDataLength;
  });
  // The last that is fetched ahead.
  const last = page.context().waitForEvent('response', (answer) => /\/water-[^/]*\.js$/.test(answer.url()));
  const begun = performance.now();
  await page.goto(address);
  await page
    .getByRole('link', { name: /^Boat / })
    .first()
    .waitFor();
  const shownMs = performance.now() - begun;
  const first = { ...bytes };
  await (await last).finished();
  await page.waitForLoadState('networkidle');
  await browser.close();
  return { ...first, shownMs, everyPage: bytes };
}

/** `npm run bench -- phone [action]`: taps on a phone's page alone. */
async function phone(only: string | undefined): Promise<void> {
  await buildAll();
  const figures = await withThrowawayServer(({ address }) => phoneFigures(address, new RegExp(only ?? '.')));
  process.stdout.write(
    `${JSON.stringify({ ...figures, budgetsMs: { open: 100, step: 80, figures: 250 } }, null, 2)}\n`,
  );
}

async function main(): Promise<void> {
  needProgram(chromiumProgram);
  const [what, only] = process.argv.slice(2);
  if (what === 'phone') return phone(only);
  needProgram(ngspiceProgram);
  await buildAll();
  const { machineMs, assess, solveMs, besideNgspice, water, build } = coreFigures();
  const slowestMonth = (opening: boolean) =>
    Math.max(...water.month.filter((one) => one.opening === opening).map(({ ms }) => ms));
  const [monthMs, monthWithHoleMs] = [slowestMonth(false), slowestMonth(true)];
  const assessMs = Math.max(...assess.filter(({ circuitsAssessed }) => circuitsAssessed === 1).map(({ ms }) => ms));
  const begun = performance.now();
  const { timeToServeMs, screen } = await withThrowawayServer(async ({ address }) => ({
    timeToServeMs: performance.now() - begun,
    screen: await firstScreen(address),
  }));
  const report = {
    machineMs,
    assess,
    assessLargestDemoCircuitMs: assessMs,
    solveMs,
    solvesPerSecond: 1000 / solveMs,
    besideNgspice,
    water,
    build,
    monthOfBusiestDemoWellMs: monthMs,
    monthWithHoleMs,
    timeToServeMs,
    firstScreen: screen,
    budgets,
    shareOfBudget: {
      assess: assessMs / budgets.assessMs,
      solve: solveMs / budgets.solveMs,
      month: monthMs / budgets.monthMs,
      monthWithHole: monthWithHoleMs / budgets.monthWithHoleMs,
      monthTraced: water.tracedMs / budgets.monthTracedMs,
      window200Poses: water.window200PosesMs / budgets.window200PosesMs,
      // How many times the ratio asked for is reached; more is better.
      timesNgspice: besideNgspice.ratioWithoutStart / budgets.timesNgspice,
      timesFixedSteps: water.besideFixedSteps.ratio / budgets.timesFixedSteps,
      firstScreenJavaScript: screen.javaScript / budgets.firstScreenJavaScriptBytes,
    },
  };
  process.stdout.write(`${JSON.stringify(report, null, 2)}\n`);
}

main().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
