import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { assess, readJobText, type Job } from '@harbor-latch/core';
import { everySetting, solve } from '@harbor-latch/core/circuit/index';
import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium } from '@playwright/test';
import { buildAll } from './build';
import { chromiumProgram, needProgram } from './debian';
import { examplesFolder } from './places';
import { say } from './say';
import { withThrowawayServer } from './throwaway';

const budgets = { assessMs: 2, solveMs: 0.3, firstScreenJavaScriptBytes: 700_000 };

/** Median of `times` runs after a warm-up, ms. */
function medianMs(work: () => void, times = 400): number {
  for (let warm = 0; warm < times; warm += 1) work();
  const taken = Array.from({ length: times }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  }).sort((a, b) => a - b);
  return taken[Math.floor(times / 2)] ?? NaN;
}

function demoJobs(): Job[] {
  return ['alder-wren', 'low-samphire', 'pinnock'].map((name) => {
    const read = readJobText(readFileSync(join(examplesFolder, `${name}.json`), 'utf8'));
    if (!read.ok) throw new Error(`${name}: ${read.problems[0].message}`);
    return read.job;
  });
}

function coreFigures() {
  const circuits = demoJobs().flatMap((job) => job.circuits.map((circuit) => ({ ...job, circuits: [circuit] })));
  const assessMs = Math.max(...circuits.map((job) => medianMs(() => assess(job))));
  const solveMs = Math.max(
    ...circuits.flatMap((job) => {
      const [assessed] = assess(job);
      if (assessed?.status !== 'sized') return [];
      const settings = everySetting(assessed.netlist);
      return settings.map((setting) => medianMs(() => solve(assessed.netlist, setting), 2000));
    }),
  );
  return { assessMs, solveMs };
}

/** Bytes of the first screen from a cold cache, as they came over the wire, and when its first boat stood. */
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
  const begun = performance.now();
  await page.goto(address);
  await page
    .getByRole('link', { name: /^Boat / })
    .first()
    .waitFor();
  const shownMs = performance.now() - begun;
  await page.waitForLoadState('networkidle');
  await browser.close();
  return { ...bytes, shownMs };
}

async function main(): Promise<void> {
  needProgram(chromiumProgram);
  await buildAll();
  const { assessMs, solveMs } = coreFigures();
  const begun = performance.now();
  const { timeToServeMs, screen } = await withThrowawayServer(async ({ address }) => ({
    timeToServeMs: performance.now() - begun,
    screen: await firstScreen(address),
  }));
  const report = {
    assessLargestDemoCircuitMs: assessMs,
    solveMs,
    solvesPerSecond: 1000 / solveMs,
    timeToServeMs,
    firstScreen: screen,
    budgets,
    shareOfBudget: {
      assess: assessMs / budgets.assessMs,
      solve: solveMs / budgets.solveMs,
      firstScreenJavaScript: screen.javaScript / budgets.firstScreenJavaScriptBytes,
    },
  };
  process.stdout.write(`${JSON.stringify(report, null, 2)}\n`);
}

main().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
