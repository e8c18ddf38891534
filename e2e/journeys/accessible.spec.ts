import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import type { Job } from '@harbor-latch/core/job/index';
import { addBoat, demoBoat, expect, layAllOut, open, placesOf, test } from '../yard';

async function faults(page: Page): Promise<string[]> {
  await layAllOut(page);
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 160)}`));
}

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

for (const theme of ['light', 'dark'] as const) {
  test.describe(`in the ${theme} theme`, theme === 'light' ? { tag: '@wide' } : {}, () => {
    test.use({ colorScheme: theme });
    for (const [view, title, address] of views) {
      test(`the ${view} is accessible`, async ({ page, request }) => {
        const job = await addBoat(request, demoBoat('alder-wren', 'Axed'));
        await open(page, address(job), title);
        await expect(page.getByRole('progressbar')).toHaveCount(0);
        expect(await faults(page)).toEqual([]);
      });
    }
  });
}

test('the bench with probes, faults, table and rewiring is accessible', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Axed tools'));
  await open(page, placesOf(job).bench, 'Main bilge pump');
  await page.getByRole('radio', { name: 'Auto', exact: true }).click();
  await page.getByRole('radio', { name: 'High', exact: true }).click();
  for (const tool of ['Try', 'Meter', 'Faults', 'Table', 'Rewire']) {
    await page.getByRole('tab', { name: tool }).click();
    expect([tool, await faults(page)]).toEqual([tool, []]);
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
    expect([tool, await faults(page)]).toEqual([tool, []]);
  }
});

test('wells, poses and ingress, opened, are accessible', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('low-samphire', 'Axed wells'));
  await open(page, placesOf(job).boat, 'Axed wells');
  for (const name of [/^Fish-room well/, /^Hauling to port/, /^Washing down/])
    await page.getByRole('button', { name }).click();
  expect(await faults(page)).toEqual([]);
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

for (const [view, title, address] of views) {
  test(`nothing of the ${view} reaches beyond the page’s edge`, { tag: '@wide' }, async ({ page, request }) => {
    const job = await addBoat(request, demoBoat('alder-wren', 'Fits'));
    await open(page, address(job).replace('Axed', 'Fits'), title.replace('Axed', 'Fits'));
    await expect(page.getByRole('progressbar')).toHaveCount(0);
    expect(await beyondEdge(page, false)).toEqual([]);
  });
}

test('text at twice its size is cut nowhere', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Axed'));
  // Every view one after the other.
  test.setTimeout(300_000);
  await page.addInitScript(() => localStorage.setItem('latch.settings', JSON.stringify({ textSize: 'double' })));
  for (const [view, title, address] of views) {
    await open(page, address(job), title);
    await expect(page.getByRole('progressbar')).toHaveCount(0);
    expect([view, await beyondEdge(page, true)]).toEqual([view, []]);
  }
});

test.describe('on its side', () => {
  test.use({ viewport: { width: 844, height: 390 } });

  test('a phone shows every view within its edges, drawing and tools side by side', async ({ page, request }) => {
    test.setTimeout(300_000);
    const job = await addBoat(request, demoBoat('alder-wren', 'Axed'));
    for (const [view, title, address] of views) {
      await open(page, address(job), title);
      await expect(page.getByRole('progressbar')).toHaveCount(0);
      expect([view, await beyondEdge(page, true)]).toEqual([view, []]);
    }
    await open(page, placesOf(job).bench, 'Main bilge pump');
    const drawing = await page
      .getByRole('radiogroup', { name: /circuit at work/ })
      .first()
      .boundingBox();
    const auto = await page.getByRole('radio', { name: 'Auto', exact: true }).boundingBox();
    expect(auto?.x).toBeGreaterThanOrEqual((drawing?.x ?? 0) + (drawing?.width ?? Infinity));
    await expect(page.getByRole('radio', { name: 'Auto', exact: true })).toBeInViewport();
    expect(await faults(page)).toEqual([]);
  });
});
