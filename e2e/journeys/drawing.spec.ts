import type { APIRequestContext, Page } from '@playwright/test';
import { expect, test } from '../journey';
import { addBoat, demoBoat, open, placesOf } from '../yard';

const longest = 'W'.repeat(40) + ' battery under the after cabin sole, second of three';

async function drawnTexts(page: Page) {
  return page.locator('svg[role=radiogroup] text').evaluateAll((texts) =>
    // Stations that are kept ready have drawings of their own, unseen.
    texts
      .filter((text) => text.checkVisibility({ visibilityProperty: true }))
      .map((text) => {
        const { x, y, width, height } = text.getBoundingClientRect();
        return { words: text.textContent ?? '', x, y, width, height };
      }),
  );
}

/** Words of the drawing that lie on another. */
async function overlapping(page: Page): Promise<string[]> {
  const texts = await drawnTexts(page);
  expect(texts.length).toBeGreaterThan(20);
  return texts.flatMap((a, index) =>
    texts
      .slice(index + 1)
      .filter(
        (b) =>
          a.x + a.width > b.x + 1 && b.x + b.width > a.x + 1 && a.y + a.height > b.y + 4 && b.y + b.height > a.y + 4,
      )
      .map((b) => `${a.words} / ${b.words}`),
  );
}

/** Opens the drawing of a boat's first circuit, with a battery of the longest name; it fits the page. */
async function openFitting(page: Page, request: APIRequestContext, file: string, title: string): Promise<void> {
  const job = demoBoat(file, 'Drawn');
  const [battery, ...others] = job.batteries;
  if (!battery) throw new Error('no battery');
  await addBoat(request, { ...job, batteries: [{ ...battery, name: longest }, ...others] });
  await open(page, placesOf(job).drawing, title);
  await expect(page.getByRole('radio', { name: /^Conductor Feed/ })).toBeVisible();
  expect(await overlapping(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
}

test(
  'the drawing of four circuits fits the page and no word lies on another',
  { tag: '@wide' },
  async ({ page, request }) => {
    await openFitting(page, request, 'low-samphire', 'Engine well, primary');
  },
);

test(
  'the drawing of one circuit fits, no word lies on another, and a conductor touched in it tells its figures',
  { tag: '@wide' },
  async ({ page, request }, { project }) => {
    await openFitting(page, request, 'alder-wren', 'Main bilge pump');
    const auto = page.getByRole('radio', { name: /^Conductor Auto/ });
    await auto.locator('text').first().click();
    await expect(auto).toHaveAttribute('aria-checked', 'true');
    if (project.name === 'phone') {
      await expect(page.getByRole('heading', { name: 'Auto positive, 18 AWG' })).toBeVisible();
      await expect(page.getByText('blue, 5.5\u00a0m, 133\u00a0mΩ')).toBeVisible();
    } else {
      await expect(page.getByRole('button', { name: 'Auto positive, 18 AWG: close' })).toBeVisible();
    }
  },
);

test(
  'everything in the drawing is reached and chosen by keyboard',
  { tag: '@wide-only' },
  async ({ page, request }) => {
    const job = await addBoat(request, demoBoat('pinnock', 'Keys'));
    await open(page, placesOf(job).drawing, 'Bilge pump');
    const pump = page.getByRole('radio', { name: /^Pump/ });
    await pump.focus();
    await page.keyboard.press('Enter');
    await expect(pump).toHaveAttribute('aria-checked', 'true');
    await page.keyboard.press(' ');
    await expect(pump).toHaveAttribute('aria-checked', 'false');
  },
);
