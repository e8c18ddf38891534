import type { Page } from '@playwright/test';
import type { Job } from '@harbor-latch/core/job/index';
import { barriers } from '../barriers';
import { expect, test } from '../journey';
import { addBoat, demoBoat, layAllOut, open, placesOf, workedOut } from '../yard';

const views: readonly (readonly [string, string, (job: Job) => string])[] = [
  ['yard', 'Yard', () => '/'],
  ['boat', 'Axed', (job) => placesOf(job).boat],
  ['survey', 'Main bilge pump', (job) => placesOf(job).survey],
  ['size', 'Main bilge pump', (job) => placesOf(job).size],
  ['float', 'Main bilge pump', (job) => placesOf(job).float],
  ['bench', 'Main bilge pump', (job) => placesOf(job).bench],
  ['build', 'Main bilge pump', (job) => placesOf(job).build],
  ['drawing', 'Main bilge pump', (job) => placesOf(job).drawing],
  ['settings', 'Settings', () => '/settings'],
  ['practice', 'Practice', () => '/practice'],
  ['reference', 'Tables, rules and cautions', () => '/reference'],
  ['versions', 'Versions', (job) => `${placesOf(job).boat}/versions`],
  ['proof', 'Main bilge pump', (job) => placesOf(job).prove],
  ['log', 'Log', (job) => `${placesOf(job).boat}/log`],
  ['trace', 'Main bilge pump', (job) => placesOf(job).trace],
];

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
for (const [view, title, address] of views) {
  test(`the ${view} is accessible by day and night and stays within its edges, upright, turned, wide and in large type`, async ({
    page,
    request,
  }) => {
    const job = await addBoat(request, demoBoat('alder-wren', 'Axed'));
    await page.emulateMedia({ colorScheme: 'light' });
    await open(page, address(job), title);
    await expect(page.getByRole('progressbar')).toHaveCount(0);
    await layAllOut(page);
    expect(await beyondEdge(page, false)).toEqual([]);
    expect(await barriers(page)).toEqual([]);

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

    await page.emulateMedia({ colorScheme: 'light' });
    await resize(page, { width: 1280, height: 800 });
    await expect(page.locator('html')).toHaveCSS('color-scheme', 'light');
    expect(await beyondEdge(page, false)).toEqual([]);
    expect(await barriers(page)).toEqual([]);
  });
}

/** How large the page's title is written, px. */
const fontSize = (page: Page) =>
  page
    .getByRole('heading', { level: 1 })
    .filter({ visible: true })
    .evaluate((element) => parseFloat(getComputedStyle(element).fontSize));

test('the bench with probes, faults, table and rewiring is accessible', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Axed tools'));
  await open(page, placesOf(job).bench, 'Main bilge pump');
  await page.getByRole('radio', { name: 'Auto', exact: true }).click();
  await page.getByRole('radio', { name: 'High', exact: true }).click();
  for (const tool of ['Try', 'Meter', 'Faults', 'Table', 'Rewire']) {
    await page.getByRole('tab', { name: tool }).click();
    expect([tool, await barriers(page)]).toEqual([tool, []]);
  }
});

test('the float station’s cycle, runs and hose are accessible', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Axed water'));
  await open(page, placesOf(job).float, 'Main bilge pump');
  for (const [tool, shown] of [
    ['Cycle', page.getByRole('slider', { name: 'Time in the run' })],
    ['Runs', page.getByText('Gland and a wet night').filter({ visible: true })],
    ['Hose', page.getByText('Side by side').filter({ visible: true })],
  ] as const) {
    await page.getByRole('tab', { name: tool }).click();
    await expect(shown.first()).toBeVisible({ timeout: 40_000 });
    expect([tool, await barriers(page)]).toEqual([tool, []]);
  }
});

test('wells, poses and ingress, opened, are accessible', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('low-samphire', 'Axed wells'));
  await open(page, placesOf(job).boat, 'Axed wells');
  for (const name of [/^Fish-room well/, /^Hauling to port/, /^Washing down/])
    await page.getByRole('button', { name }).click();
  expect(await barriers(page)).toEqual([]);
});

test('every button and field of the survey is big enough for a wet thumb', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Thumbs'));
  await open(page, placesOf(job).survey, 'Main bilge pump');
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
});

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

test.describe('on its side', () => {
  test.use({ viewport: { width: 844, height: 390 } });

  test('the bench has drawing and tools side by side, and what is touched in sight', async ({ page, request }) => {
    const job = await addBoat(request, demoBoat('alder-wren', 'Axed'));
    await open(page, placesOf(job).bench, 'Main bilge pump');
    const drawing = await page
      .getByRole('radiogroup', { name: /circuit at work/ })
      .first()
      .boundingBox();
    const auto = await page.getByRole('radio', { name: 'Auto', exact: true }).boundingBox();
    expect(auto?.x).toBeGreaterThanOrEqual((drawing?.x ?? 0) + (drawing?.width ?? Infinity));
    await expect(page.getByRole('radio', { name: 'Auto', exact: true })).toBeInViewport();
    expect(await barriers(page)).toEqual([]);
  });
});
