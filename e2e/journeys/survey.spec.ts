import { addBoat, demoBoat, expect, open, placesOf, storedBoat, test } from '../yard';

test('what was typed survives a reload, also when it is no figure yet', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Reloaded'));
  await open(page, placesOf(job).survey, 'Bilge pump');
  await page.getByLabel('Source to panel, one way, in m').fill('1.7');
  await page.getByLabel('Pump amperes, in A').fill('lots');
  await expect(page.getByText('Type a number in A')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('1.7');
  await expect(page.getByLabel('Pump amperes, in A')).toHaveValue('lots');
  await expect(page.getByText('Type a number in A')).toBeVisible();
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.sourceToPanel.lengthM)
    .toBe(1.7);
  expect((await storedBoat(request, job.boat.id)).job.circuits[0]?.pump.currentA).toBe(2.8);
});

test('impossible figures are answered in place, with what to do', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Impossible'));
  await open(page, placesOf(job).survey, 'Bilge pump');
  const answers: readonly (readonly [string, string, RegExp])[] = [
    ['Source to panel, one way, in m', '0', /must be more than 0 m\. Measure one way/],
    ['Panel to bilge, one way, in m', '-3', /must be more than 0 m/],
    ['Pump amperes, in A', '500', /above 100 A is not a bilge-pump circuit/],
    ['Bilge to negative bus, one way, in m', '3 furlongs', /"furlongs" is not a unit of length here/],
  ];
  for (const [label, text, message] of answers) {
    await page.getByLabel(label).fill(text);
    await expect(page.getByText(message).first()).toBeVisible();
  }
  await expect(page.getByText('4 entries to correct')).toBeVisible();
});

test('a field takes either unit system, and the same length comes out', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Units'));
  await open(page, placesOf(job).survey, 'Bilge pump');
  await page.getByLabel('Panel to bilge, one way, in m').fill('12 ft');
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.panelToBilge.lengthM)
    .toBeCloseTo(3.6576, 9);
  await page.getByRole('button', { name: 'Source to panel, one way: unit m, change' }).click();
  await expect(page.getByLabel('Source to panel, one way, in ft')).toHaveValue('3.94');
  await page.getByRole('button', { name: 'More Source to panel, one way' }).click();
  await expect(page.getByLabel('Source to panel, one way, in ft')).toHaveValue('4.5');
});

test('a default is shown as one, and comes back when the entry is emptied', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Defaults'));
  await open(page, placesOf(job).survey, 'Main bilge pump');
  const stub = page.getByLabel('Battery to fuse, in mm');
  await stub.fill('');
  await expect(stub).toHaveAttribute('placeholder', '150');
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.source?.stubLengthM)
    .toBeUndefined();
});

test('a dead server during typing loses nothing', async ({ page, request, context, expected }) => {
  expected.push(/ERR_FAILED|Failed to load resource/);
  const job = await addBoat(request, demoBoat('pinnock', 'Away'));
  await open(page, placesOf(job).survey, 'Bilge pump');
  await context.route('**/api/**', (route) => route.abort());
  await page.getByLabel('Source to panel, one way, in m').fill('2.2');
  await expect(page.getByText('Kept on this device, server away')).toBeVisible();
  await context.unroute('**/api/**');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 12_000 });
  expect((await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.sourceToPanel.lengthM).toBe(2.2);
});

test('a stale save shows both ways out and loses neither copy', async ({ page, request, expected }) => {
  expected.push(/412/);
  const job = await addBoat(request, demoBoat('pinnock', 'Contested'));
  await open(page, placesOf(job).survey, 'Bilge pump');
  const elsewhere = { ...job, boat: { ...job.boat, berth: 'Mooring 12' } };
  await request.put(`/api/boats/${job.boat.id}`, { data: elsewhere, headers: { 'If-Match': '"1"' } });
  await page.getByLabel('Source to panel, one way, in m').fill('4.4');
  await expect(page.getByText(/was changed elsewhere at/)).toBeVisible();
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('4.4');
  await page.getByRole('button', { name: 'Take the other' }).click();
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('1.2');
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('4.4');
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.sourceToPanel.lengthM)
    .toBe(4.4);
});
