import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { barriers } from '../barriers';
import { expect, newWindow, test } from '../journey';
import { addBoat, demoBoat, open, placesOf } from '../yard';

const tool = (page: Page, name: string) =>
  page.getByRole('tab', { name, exact: true }).filter({ visible: true }).click();
const shown = (page: Page, text: string | RegExp) => page.getByText(text).filter({ visible: true });

/** A size that no other journey cuts, so that their cuts do not meet. */
const unlike = (name: string, size: string) => {
  const demo = demoBoat('alder-wren', name);
  return {
    ...demo,
    circuits: demo.circuits.map(({ steps: _steps, build: _build, choices, ...circuit }) => ({
      ...circuit,
      choices: { ...choices, conductors: { ...choices?.conductors, feed: size } },
    })),
  };
};

async function addDrum(page: Page, size: string, metres: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a drum or offcut' }).click();
  const dialog = page.getByRole('dialog');
  await dialog
    .getByRole('radiogroup', { name: 'Size', exact: true })
    .getByRole('radio', { name: size, exact: true })
    .click();
  await dialog.getByLabel('On it, m').fill(metres);
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
}

test('a drum is listed, cut from and counted anew; a cut is taken back; parts and prices make an order and an estimate', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, unlike('Cut from the van', '4 AWG'));
  const { build } = placesOf(job);
  await open(page, build, 'Main bilge pump');
  // 1.05 × 3.2 + 0.3 = 3.66, to the next tenth.
  await page.getByRole('button', { name: 'Feed: 4 AWG, red, 3.7 m' }).click();
  await page.getByRole('button', { name: 'To the stock' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Stock' })).toBeVisible();
  await addDrum(page, '4', '-3');
  await expect(page.getByRole('alert').filter({ hasText: /0 to 1000 m|is no|number/ })).toBeVisible();
  await page.getByRole('dialog').getByLabel('On it, m').fill('4');
  await page.getByRole('dialog').getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('button', { name: /^4 AWG, red: 4 m left, whole/ })).toBeVisible();
  expect(await barriers(page)).toEqual([]);

  await page.getByRole('button', { name: 'Back', exact: true }).filter({ visible: true }).click();
  await page.getByRole('button', { name: 'Cut 3.7 m off 4 AWG, red' }).click();
  await expect(page.getByRole('button', { name: 'Feed: 4 AWG, red, 3.7 m, cut' })).toBeVisible();
  await expect(shown(page, /1 of 7 cut\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(shown(page, /0 of 7 cut\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Cut 3.7 m off 4 AWG, red' }).click();
  await expect(shown(page, /1 of 7 cut\.$/)).toBeVisible();

  await open(page, '/stock', 'Stock');
  await page.getByRole('button', { name: /^4 AWG, red: 0\.3 m left/ }).click();
  await page.getByRole('button', { name: 'Count it anew' }).click();
  await page.getByLabel('Left on it, m').fill('6');
  await page.getByRole('button', { name: 'Counted', exact: true }).click();
  await expect(page.getByRole('button', { name: /^4 AWG, red: 6 m left, begun/ })).toBeVisible();

  await tool(page, 'To order');
  await page.getByRole('radio', { name: 'All that are sized' }).click();
  const begun = page.getByRole('link', { name: 'Cut from the van, Main bilge pump: 1 of 7 cut' });
  await expect(begun).toBeVisible();
  const leaving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Order as CSV' }).click();
  const csv = await readFile(await (await leaving).path(), 'utf8');
  expect(csv).toContain('Item,Quantity,Unit,In the stock,For');
  expect(csv).toMatch(/^"?Bilge pump"?,\d/m);

  await tool(page, 'Parts');
  await page
    .getByRole('button', { name: 'Set a rate' })
    .or(page.getByRole('button', { name: 'Another rate' }))
    .click();
  await page.getByLabel('Rate an hour').fill('sixty');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'A figure from 0' })).toBeVisible();
  await page.getByLabel('Rate an hour').fill('60');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(shown(page, '60.00 an hour.')).toBeVisible();
  await tool(page, 'To order');
  await begun.click();
  await expect(page.getByRole('heading', { level: 1, name: 'Main bilge pump' })).toBeVisible();
  await tool(page, 'Parts');
  await page.getByRole('checkbox', { name: /^Bilge pump, 1: on board/ }).click();
  await expect(page.getByRole('checkbox', { name: /^Bilge pump, 1: on board/ })).toBeChecked();
  await expect(shown(page, 'Estimate')).toBeVisible();
  expect(await barriers(page)).toEqual([]);
});

test('two phones without a signal cut the same metre, and both are told once they have one', async ({
  context,
  links,
  expected,
  page,
  request,
}) => {
  expected.push(/Failed to load resource|ERR_CONNECTION_REFUSED|EventSource/);
  const jobs = [unlike('First phone', '2 AWG'), unlike('Second phone', '2 AWG')];
  for (const job of jobs) await addBoat(request, job);
  await open(page, '/stock', 'Stock');
  await addDrum(page, '2', '5');
  await expect(page.getByRole('button', { name: /^2 AWG, red: 5 m left/ })).toBeVisible();
  const [one, two] = links;
  const phones = [
    { signal: one, page: await newWindow(context) },
    { signal: two, page: await newWindow(context) },
  ] as const;
  for (const [at, { page: phone, signal }] of phones.entries()) {
    const job = jobs[at];
    if (!job) throw new Error('no job');
    await open(phone, `${signal.address}${placesOf(job).build}`, 'Main bilge pump');
    await phone.getByRole('button', { name: 'Feed: 2 AWG, red, 3.7 m' }).click();
    await expect(phone.getByRole('button', { name: 'Cut 3.7 m off 2 AWG, red' })).toBeVisible();
  }
  for (const { signal } of phones) await signal.cut();
  for (const { page: phone } of phones) {
    await phone.getByRole('button', { name: 'Cut 3.7 m off 2 AWG, red' }).click();
    await expect(phone.getByRole('button', { name: 'Feed: 2 AWG, red, 3.7 m, cut' })).toBeVisible();
  }
  for (const { signal } of phones) await signal.mend();
  const told = /2 AWG, red: 2\.4 m more was cut than the drum held/;
  for (const { page: phone, signal } of phones) {
    await open(phone, `${signal.address}/stock`, 'Stock');
    await expect(shown(phone, told)).toBeVisible({ timeout: 30_000 });
  }
  const [first] = phones;
  await first?.page.getByRole('button', { name: 'Take back the last cut' }).click();
  for (const { page: phone } of phones) await expect(shown(phone, told)).toBeHidden({ timeout: 30_000 });
});
