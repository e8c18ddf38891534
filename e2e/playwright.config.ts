import { defineConfig } from '@playwright/test';
import { chromiumLaunch } from './chromium';

const address = process.env['LATCH_ADDRESS'];
if (address === undefined)
  throw new Error('LATCH_ADDRESS is missing: run "npm test -- browser", which starts a server.');

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true };

export default defineConfig({
  testDir: './journeys',
  outputDir: '../test-results',
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  // A machine that stalled for half a minute is no fault of the application; what needed a second try is counted and told.
  retries: 1,
  // A busy machine may take long over a page; none of these is a measure of speed.
  timeout: 240_000,
  expect: { timeout: 25_000 },
  reporter: [['list'], ['json', { outputFile: `../.local/results/${process.env['LATCH_RESULTS'] ?? 'browser'}.json` }]],
  use: {
    baseURL: address,
    launchOptions: chromiumLaunch,
    screenshot: 'only-on-failure',
  },
  projects: [
    // A phone has no keyboard of its own.
    { name: 'phone', grepInvert: /@wide-only|@years/, use: phone },
    // Journeys in which a wide page is laid out otherwise.
    { name: 'wide', grep: /@wide/, use: { viewport: { width: 1280, height: 800 } } },
    // Journeys through the demo's years of records, which every device would fetch: they come last, by themselves.
    { name: 'years', grep: /@years/, use: phone },
  ],
});
