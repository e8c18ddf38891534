import { readFileSync } from 'node:fs';
import { writeJobText } from '@harbor-latch/core/file/index';
import type { Page } from '@playwright/test';
import { expect, test } from '../journey';
import { addBoat, demoBoat, open, placesOf, storedBoat } from '../yard';

async function importFile(page: Page, name: string, text: string): Promise<void> {
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Import a file' }).click();
  await (await choosing).setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
}

test('an exported job file comes back without loss', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('low-samphire', 'Carried'));
  await open(page, placesOf(job).boat, 'Carried');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the job file' }).click();
  const download = await downloading;
  expect(download.suggestedFilename()).toBe('carried.json');
  const text = readFileSync(await download.path(), 'utf8');
  expect(JSON.parse(text)).toEqual(job);
  await request.delete(`/api/boats/${job.boat.id}`, { headers: { 'If-Match': '"1"' } });

  await open(page, '/', 'Yard');
  // The page hears that she was removed a moment later.
  await page.getByRole('textbox', { name: 'Search the yard' }).fill('Carried');
  await expect(page.getByRole('link', { name: /^Boat Carried,/ })).toHaveCount(0);
  await expect(page.getByText('No boat like that')).toBeVisible();
  await importFile(page, 'carried.json', text);
  await expect(page.getByRole('heading', { level: 1, name: 'Carried' })).toBeVisible();
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job).toEqual(job);
});

test('a file of a boat that is here already replaces it only on request, and that can be undone', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Twice'));
  await open(page, '/', 'Yard');
  await page.getByRole('textbox', { name: 'Search the yard' }).fill('Twice');
  await expect(page.getByRole('link', { name: /^Boat Twice,/ }).first()).toBeVisible();
  await importFile(page, 'twice.json', writeJobText({ ...job, boat: { ...job.boat, name: 'Twice, newer' } }));
  await expect(page.getByText('Twice → Twice, newer')).toBeVisible();
  await page.getByRole('button', { name: 'Replace' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Twice, newer' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Twice', exact: true })).toBeVisible();
});

test('a file that is no job is refused in place, each for its reason, and nothing changes', async ({ page }) => {
  const good = writeJobText(demoBoat('pinnock', 'Refused'));
  await open(page, '/', 'Yard');
  const refused: readonly (readonly [string, string, RegExp])[] = [
    [
      'newer.json',
      good.replace(/"version": \d+/, '"version": 99'),
      /File version: The file was written by a newer version \(99\)/,
    ],
    ['notes.json', 'pump, float, switch', /This is not a JSON file/],
    [
      'typo.json',
      good.replace('"currentA"', '"curentA"'),
      /Circuit 1: pump, “curentA”: Unknown key "curentA"\. Did you mean "currentA"\?/,
    ],
    ['large.json', 'x'.repeat(10 * 1024 * 1024), /large\.json is larger than 5 MiB/],
  ];
  for (const [name, text, message] of refused) {
    await importFile(page, name, text);
    await expect(page.getByText(`${name} was not imported. Nothing was changed.`)).toBeVisible();
    await expect(page.getByText(message)).toBeVisible();
    await page.getByRole('button', { name: 'Dismiss' }).click();
  }
  await expect(page.getByRole('link', { name: 'Boat Refused' })).toHaveCount(0);
});

test('the conductor list and the drawing leave as files in which hostile names are text', async ({ page, request }) => {
  const name = '=HYPERLINK("http://example.invalid")<svg onload=alert(1)>';
  const job = demoBoat('pinnock', 'Listed');
  const [battery, ...others] = job.batteries;
  const [circuit, ...more] = job.circuits;
  if (!battery || !circuit) throw new Error('no battery or circuit');
  await addBoat(request, {
    ...job,
    batteries: [{ ...battery, name }, ...others],
    circuits: [{ ...circuit, name }, ...more],
  });
  await open(page, placesOf(job).boat, 'Listed');
  const listing = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the conductor list' }).click();
  const list = readFileSync(await (await listing).path(), 'utf8');
  const lines = list.trim().split('\r\n');
  expect(lines).toHaveLength(6);
  expect(lines[0]).toContain('Circuit,Conductor,From,To,Colour,Size');
  for (const line of lines.slice(1)) expect(line).toMatch(/^"'=HYPERLINK/);

  await open(page, placesOf(job).drawing, name);
  const drawing = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the drawing' }).click();
  const svg = readFileSync(await (await drawing).path(), 'utf8');
  const unread = await page.evaluate(
    (text) => new DOMParser().parseFromString(text, 'image/svg+xml').querySelector('parsererror')?.textContent ?? null,
    svg,
  );
  expect(unread).toBeNull();
  expect(svg).toMatch(/<svg[^>]* xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
  expect(svg).toContain('16 AWG');
  expect(svg).not.toContain('<svg onload');
  expect(svg).not.toContain('tabindex');
});
