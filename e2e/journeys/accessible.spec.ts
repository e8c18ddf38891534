import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import type { Job } from '@harbor-latch/core/job/index';
import { addBoat, demoBoat, expect, open, placesOf, test } from '../yard';

async function faults(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 160)}`));
}

const views: readonly (readonly [string, string, (job: Job) => string])[] = [
  ['yard', 'Yard', () => '/'],
  ['boat', 'Axed', (job) => placesOf(job).boat],
  ['survey', 'Main bilge pump', (job) => placesOf(job).survey],
  ['size', 'Main bilge pump', (job) => placesOf(job).size],
  ['drawing', 'Main bilge pump', (job) => placesOf(job).drawing],
  ['settings', 'Settings', () => '/settings'],
  ['reference', 'Tables, rules and cautions', () => '/reference'],
  ['versions', 'Versions', (job) => `${placesOf(job).boat}/versions`],
];

for (const theme of ['light', 'dark'] as const) {
  test.describe(`in the ${theme} theme`, () => {
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

test('every button and field of the survey is big enough for a wet thumb', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Thumbs'));
  await open(page, placesOf(job).survey, 'Main bilge pump');
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
