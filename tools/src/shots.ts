import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium, type Page } from '@playwright/test';
import { buildAll } from './build';
import { chromiumProgram, needProgram } from './debian';
import { root } from './places';
import { say } from './say';
import { withThrowawayServer } from './throwaway';

const folder = join(root, 'docs', 'screenshots');
const phone = { width: 390, height: 844 };
const wide = { width: 1280, height: 800 };
const MORNING = new Date('2026-05-04T08:30:00Z');
const SAVED = new Date('2026-05-03T16:20:00Z');

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly size: typeof phone;
  /** Words that stand on the view once it is there. */
  readonly shows: RegExp;
  readonly dark?: boolean;
  readonly before?: (page: Page) => Promise<void>;
}

const alderWren = '/boat/a1de0000-3e4e-4c1a-9b0a-000000000001';
const alderPump = `${alderWren}/a1de0000-3e4e-4c1a-9b0a-0000000000c1`;
const lowSamphire = '/boat/105a0000-3e4e-4c1a-9b0a-000000000002';
const engineWell = `${lowSamphire}/105a0000-3e4e-4c1a-9b0a-0000000000c1`;
const pinnockPump = '/boat/b1770000-3e4e-4c1a-9b0a-000000000003/b1770000-3e4e-4c1a-9b0a-0000000000c1';

/** Auto selected and the water high. */
async function pumpOnAuto(page: Page): Promise<void> {
  await page.getByRole('radio', { name: 'Auto', exact: true }).click();
  await page.getByRole('radio', { name: 'High', exact: true }).click();
  await page.mouse.move(0, 0);
}

/** One of the bench's tools. */
function tool(name: string) {
  return (page: Page) => page.getByRole('tab', { name }).click();
}

/** One of the boat's poses. */
function pose(name: string) {
  return (page: Page) => page.getByRole('radio', { name, exact: true }).click();
}

/** A new proof, at its first test. */
async function proofBegun(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: 'Prove again' })
    .or(page.getByRole('button', { name: 'Begin' }))
    .click();
  await page.getByRole('tab', { name: 'All tests' }).click();
  await page
    .getByRole('button', { name: /: ohms from .* to battery negative/ })
    .first()
    .click();
}

/** The proof that is open by then, at its second test. */
async function firstRead(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'All tests' }).click();
  await page
    .getByRole('button', { name: /: volts from .* to battery negative/ })
    .first()
    .click();
}

/** The well cut across, heeled. */
async function acrossToPort(page: Page): Promise<void> {
  await pose('Hauling to port')(page);
  await pose('Across')(page);
}

const shots: readonly Shot[] = [
  { name: 'yard-phone', path: '/', size: phone, shows: /Alder Wren/ },
  { name: 'boat-phone', path: lowSamphire, size: phone, shows: /^Engine well, primary/ },
  { name: 'stock-phone', path: '/stock', size: phone, shows: /^16 AWG, black/ },
  { name: 'survey-phone', path: `${alderPump}/survey`, size: phone, shows: /^Source to panel/ },
  { name: 'size-phone', path: `${pinnockPump}/size`, size: phone, shows: /^Touch one for other sizes/ },
  { name: 'drawing-phone', path: `${alderPump}/drawing`, size: phone, shows: /^House battery/ },
  { name: 'size-wide', path: `${alderPump}/size`, size: wide, shows: /^Touch one for other sizes/ },
  { name: 'bench-phone', path: `${alderPump}/bench`, size: phone, shows: /^Pump running/, before: pumpOnAuto },
  {
    name: 'bench-table-phone',
    path: `${engineWell}/bench`,
    size: phone,
    shows: /^Changed\. It should be/,
    before: async (page) => {
      await tool('Faults')(page);
      await page.getByRole('radio', { name: 'Float stuck up' }).click();
      await page.getByRole('radio', { name: 'Float', exact: true }).last().click();
      await tool('Table')(page);
    },
  },
  { name: 'float-phone', path: `${alderPump}/float`, size: phone, shows: /^Base over/, before: pose('Under way') },
  { name: 'float-wide', path: `${engineWell}/float`, size: wide, shows: /^Base over/, before: acrossToPort },
  {
    name: 'float-cycle-phone-dark',
    path: `${pinnockPump}/float`,
    size: phone,
    shows: /starts/,
    dark: true,
    before: async (page) => {
      await tool('Cycle')(page);
      const time = page.getByRole('slider', { name: 'Time in the run' });
      await time.waitFor();
      for (let step = 0; step < 3; step += 1) await time.press('Shift+ArrowRight');
    },
  },
  { name: 'trace-phone', path: `${pinnockPump}/trace`, size: phone, shows: /^What it may be/ },
  {
    name: 'build-steps-phone',
    path: `${alderPump}/build`,
    size: phone,
    shows: /^How long it takes/,
    before: tool('Steps'),
  },
  { name: 'build-wide-dark', path: `${alderPump}/build`, size: wide, shows: /^Cut list/, dark: true },
  { name: 'reference-phone-dark', path: '/reference', size: phone, shows: /Our rules/, dark: true },
  { name: 'prove-phone', path: `${pinnockPump}/prove`, size: phone, shows: /^5 of|^\d+ of/, before: proofBegun },
  {
    name: 'prove-wide-dark',
    path: `${pinnockPump}/prove`,
    size: wide,
    shows: /^\d+ of/,
    dark: true,
    before: firstRead,
  },
  {
    name: 'log-trends-phone',
    path: `${alderWren}/log`,
    size: phone,
    shows: /more in the auto/,
    before: tool('Trends'),
  },
];

/** The page once two pictures of it, a quarter of a second apart, are the same. */
async function stillPicture(page: Page, name: string): Promise<Buffer> {
  let last: Buffer = Buffer.alloc(0);
  for (let turn = 0; turn < 40; turn += 1) {
    const picture = await page.screenshot({ animations: 'disabled', caret: 'hide' });
    if (picture.equals(last)) return picture;
    last = picture;
    await page.waitForTimeout(250);
  }
  throw new Error(`The view “${name}” never stood still.`);
}

/** One current picture of each main view, from the demo data. */
async function main(): Promise<void> {
  needProgram(chromiumProgram);
  await buildAll();
  mkdirSync(folder, { recursive: true });
  for (const old of readdirSync(folder)) rmSync(join(folder, old));
  await withThrowawayServer(async ({ address }) => {
    const browser = await chromium.launch(chromiumLaunch);
    for (const { name, path, size, shows, dark = false, before } of shots) {
      const context = await browser.newContext({
        viewport: size,
        // A phone is touched: no field takes the keyboard by itself.
        hasTouch: size === phone,
        colorScheme: dark ? 'dark' : 'light',
        // The same data give the same pixels: nothing moves, and it is always the same morning.
        reducedMotion: 'reduce',
      });
      const page = await context.newPage();
      await page.clock.setFixedTime(MORNING);
      // What the server has just saved was saved the day before.
      await page.route('**/api/**', async (route) => {
        // A stream has no end that could be waited for.
        if (route.request().url().endsWith('/api/events')) return route.abort();
        const answer = await route.fetch();
        const body = (await answer.text()).replace(/"(savedAt|beganAt)":"[^"]+"/g, `"$1":"${SAVED.toISOString()}"`);
        await route.fulfill({ response: answer, body });
      });
      await page.goto(`${address}${path}`);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await page.waitForLoadState('networkidle');
      await page.getByRole('progressbar').waitFor({ state: 'detached' });
      await before?.(page);
      // A view that never comes ends the command, saying which.
      await page
        .getByText(shows)
        .filter({ visible: true })
        .first()
        .waitFor()
        .catch(() => {
          throw new Error(`The view “${name}” never came: nothing on it says ${String(shows)}.`);
        });
      await page.getByRole('progressbar').waitFor({ state: 'detached' });
      // Nothing is still being worked out beside the page.
      for (const working of [
        page.locator('[aria-busy="true"]'),
        page.getByText(/Being worked out|Trying what may answer it/),
      ])
        await working.filter({ visible: true }).first().waitFor({ state: 'detached' });
      writeFileSync(join(folder, `${name}.png`), await stillPicture(page, name));
      // What is still on its way when a view is done is nobody's any more.
      await page.unrouteAll({ behavior: 'ignoreErrors' });
      await context.close();
      say(`${name}.png`);
    }
    await browser.close();
  }, MORNING);
}

main().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
