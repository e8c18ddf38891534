import type { Locator, Page } from '@playwright/test';
import type { Job } from '@harbor-latch/core/job/index';
import { barriers } from '../barriers';
import { expect, test } from '../journey';
import { addBoat, demoBoat, layAllOut, open, placesOf, workedOut } from '../yard';

/** A main view, and what else is looked at while it is open. */
interface View {
  readonly title: string;
  readonly address: (job: Job) => string;
  /** Has it show more than it does at first. */
  readonly prepare?: (page: Page) => Promise<void>;
  /** Its other tools, and what each shows once it is there. */
  readonly tools?: Readonly<Record<string, (page: Page) => Locator>>;
  readonly turned?: (page: Page) => Promise<void>;
  readonly atLast?: (page: Page) => Promise<void>;
}

const circuit = 'Main bilge pump';
const views: Readonly<Record<string, View>> = {
  yard: { title: 'Yard', address: () => '/' },
  boat: {
    title: 'Axed',
    address: (job) => placesOf(job).boat,
    prepare: async (page) => {
      for (const name of [/^Well under the engine/, /^Under way/, /^Gland drip/])
        await page.getByRole('button', { name }).first().click();
    },
  },
  survey: { title: circuit, address: (job) => placesOf(job).survey, atLast: everyTargetIsBig },
  size: { title: circuit, address: (job) => placesOf(job).size },
  float: {
    title: circuit,
    address: (job) => placesOf(job).float,
    tools: {
      Cycle: (page) => page.getByRole('slider', { name: 'Time in the run' }),
      Runs: (page) => page.getByText('Gland and a wet night').filter({ visible: true }),
      Hose: (page) => page.getByText('Side by side').filter({ visible: true }),
    },
  },
  bench: {
    title: circuit,
    address: (job) => placesOf(job).bench,
    prepare: async (page) => {
      for (const name of ['Auto', 'High']) await page.getByRole('radio', { name, exact: true }).click();
    },
    tools: Object.fromEntries(
      ['Meter', 'Faults', 'Table', 'Rewire', 'Try'].map((tool) => [
        tool,
        (page: Page) => page.getByRole('tab', { name: tool, selected: true }),
      ]),
    ),
    turned: drawingBesideTools,
  },
  build: { title: circuit, address: (job) => placesOf(job).build },
  drawing: { title: circuit, address: (job) => placesOf(job).drawing },
  settings: { title: 'Settings', address: () => '/settings' },
  practice: { title: 'Practice', address: () => '/practice' },
  reference: { title: 'Tables, rules and cautions', address: () => '/reference' },
  versions: { title: 'Versions', address: (job) => `${placesOf(job).boat}/versions` },
  proof: { title: circuit, address: (job) => placesOf(job).prove },
  log: { title: 'Log', address: (job) => `${placesOf(job).boat}/log` },
  trace: { title: circuit, address: (job) => placesOf(job).trace },
};

const phone = { width: 390, height: 844 };

/** Lays the page out at another size, as a phone that is turned or a window that is drawn wider. */
async function resize(page: Page, size: { readonly width: number; readonly height: number }): Promise<void> {
  await page.setViewportSize(size);
  await workedOut(page);
}

/** Changes settings as they come from another tab of the device. */
async function settingsFromAnotherTab(page: Page, settings: Readonly<Record<string, string>>): Promise<void> {
  await page.evaluate((text) => {
    localStorage.setItem('latch.settings', text);
    dispatchEvent(new StorageEvent('storage', { key: 'latch.settings' }));
  }, JSON.stringify(settings));
  await workedOut(page);
}

// Each view is opened once and looked at in every way: opening takes longer than looking.
for (const [view, { title, address, prepare, tools = {}, turned, atLast }] of Object.entries(views)) {
  test(`the ${view} is accessible by day and night and stays within its edges, upright, turned, wide and in large type`, async ({
    page,
    request,
  }) => {
    const job = await addBoat(request, demoBoat('alder-wren', 'Axed'));
    await page.emulateMedia({ colorScheme: 'light' });
    await open(page, address(job), title);
    await expect(page.getByRole('progressbar')).toHaveCount(0);
    await prepare?.(page);
    expect(await beyondEdge(page, false)).toEqual([]);
    expect(await barriers(page)).toEqual([]);
    for (const [tool, shown] of Object.entries(tools)) {
      await page.getByRole('tab', { name: tool, exact: true }).click();
      await expect(shown(page).first()).toBeVisible({ timeout: 40_000 });
      expect([tool, await barriers(page)]).toEqual([tool, []]);
    }

    await page.emulateMedia({ colorScheme: 'dark' });
    await expect(page.locator('html')).toHaveCSS('color-scheme', 'dark');
    // Nothing but colours is other by night.
    expect(await barriers(page, ['color-contrast'])).toEqual([]);

    await settingsFromAnotherTab(page, { textSize: 'double' });
    await expect.poll(() => fontSize(page)).toBeGreaterThan(30);
    expect(await beyondEdge(page, true)).toEqual([]);
    await settingsFromAnotherTab(page, {});

    await resize(page, { width: phone.height, height: phone.width });
    expect(await beyondEdge(page, true)).toEqual([]);
    await turned?.(page);

    await page.emulateMedia({ colorScheme: 'light' });
    await resize(page, { width: 1280, height: 800 });
    await expect(page.locator('html')).toHaveCSS('color-scheme', 'light');
    expect(await beyondEdge(page, false)).toEqual([]);
    expect(await barriers(page)).toEqual([]);
    if (!atLast) return;
    await resize(page, phone);
    await atLast(page);
  });
}

/** How large the page's title is written, px. */
const fontSize = (page: Page) =>
  page
    .getByRole('heading', { level: 1 })
    .filter({ visible: true })
    .evaluate((element) => parseFloat(getComputedStyle(element).fontSize));

/** Every button and field, also what was folded, is big enough for a wet thumb. */
async function everyTargetIsBig(page: Page): Promise<void> {
  const folded = page.getByRole('main').getByRole('button', { expanded: false }).filter({ visible: true });
  // Each that is opened is one less, and may have brought others.
  for (let count = await folded.count(); count > 0; count = await folded.count()) await folded.last().click();
  await layAllOut(page);
  const small = await page
    .getByRole('button')
    .or(page.getByRole('textbox'))
    .or(page.getByRole('radio'))
    .or(page.getByRole('tab'))
    .evaluateAll((targets) =>
      targets
        .filter((target) => !target.closest('svg'))
        .map((target) => ({ name: target.getAttribute('aria-label') ?? '', box: target.getBoundingClientRect() }))
        .filter(({ box }) => box.height < 48 || box.width < 44)
        .map(({ name, box }) => `${name} ${Math.round(box.width)}×${Math.round(box.height)}`),
    );
  expect(small).toEqual([]);
}

/** On its side the drawing and its tools lie side by side, and what is touched is in sight. */
async function drawingBesideTools(page: Page): Promise<void> {
  const drawing = await page
    .getByRole('radiogroup', { name: /circuit at work/ })
    .first()
    .boundingBox();
  const auto = page.getByRole('radio', { name: 'Auto', exact: true });
  expect((await auto.boundingBox())?.x).toBeGreaterThanOrEqual((drawing?.x ?? 0) + (drawing?.width ?? Infinity));
  await expect(auto).toBeInViewport();
  expect(await barriers(page)).toEqual([]);
}

/** What can be touched or is a heading, and reaches beyond the page's edge or is cut within. */
async function beyondEdge(page: Page, cut: boolean): Promise<string[]> {
  await layAllOut(page);
  return page.locator('[role=button], [role=radio], [role=tab], [role=link], a, input, h1, h2').evaluateAll(
    (targets, within) =>
      targets
        .filter((target) => target.checkVisibility({ visibilityProperty: true }) && !target.closest('svg'))
        .map((target) => ({
          name: target.getAttribute('aria-label') ?? target.textContent ?? '',
          box: target.getBoundingClientRect(),
          hidden: within && !(target instanceof HTMLInputElement) ? target.scrollWidth - target.clientWidth : 0,
        }))
        .filter(({ box, hidden }) => box.width > 0 && (box.right > innerWidth + 1 || box.left < -1 || hidden > 2))
        .map(({ name, box }) => `${name} ${Math.round(box.left)} to ${Math.round(box.right)} of ${innerWidth}`),
    cut,
  );
}
