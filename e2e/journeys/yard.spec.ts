import type { Response } from '@playwright/test';
import { expect, newWindow, test } from '../journey';
import { addBoat, demoBoat, layAllOut, open, openEmptyYard, placesOf, storedBoat } from '../yard';

test(
  'the yard shows each boat, its circuits and the worst found in them',
  { tag: '@wide' },
  async ({ page, request }, { project }) => {
    const name = `Sighted on ${project.name}`;
    const job = await addBoat(request, demoBoat('low-samphire', name));
    await open(page, '/', 'Yard');
    await page.getByRole('textbox', { name: 'Search the yard' }).fill(name);
    await page.getByRole('radio', { name: 'Circuits', exact: true }).click();
    const boat = page.getByRole('link', { name: `Boat ${name}` });
    await expect(boat.getByText('Stop', { exact: true })).toBeVisible();
    const primary = page.getByRole('link', { name: `Circuit Engine well, primary of ${name}` });
    await expect(primary.getByText(/^Stop: At no height does the water/)).toBeVisible();
    await primary.click();
    await expect(page).toHaveURL(new RegExp(`${placesOf(job).size}$`));
  },
);

test('an empty yard says what to do', async ({ page }) => {
  await openEmptyYard(page);
  await expect(page.getByText('No boats yet')).toBeVisible();
});

test('a yard without a server says so, and tries again', async ({ page, context, expected }) => {
  expected.push(/503|Failed to load resource/);
  await context.route('**/api/changes*', (route) =>
    route.fulfill({ status: 503, json: { code: 'database-away', detail: 'away' } }),
  );
  await open(page, '/', 'Yard');
  await expect(page.getByText('The server is away, and this device holds no boats yet.')).toBeVisible();
  await context.unroute('**/api/changes*');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: /^Boat / }).first()).toBeVisible();
});

test('a boat is removed, and comes back by undo', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Removed'));
  await open(page, placesOf(job).boat, 'Removed');
  await page.getByRole('button', { name: 'Remove this boat' }).click();
  await expect(page.getByText('Removed Removed')).toBeVisible();
  await expect.poll(async () => (await request.get(`/api/boats/${job.boat.id}`)).status()).toBe(404);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job).toEqual(job);
});

test('a circuit is removed, and comes back by undo', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('low-samphire', 'Halved'));
  await open(page, placesOf(job).boat, 'Halved');
  await page.getByRole('button', { name: 'More for circuit Engine well, backup' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job.circuits.length).toBe(3);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job).toEqual(job);
});

test('hostile names are shown as the text they are, on every screen', async ({ page, request }) => {
  const name = '<img src=x onerror=alert(1)> "\u202Etfarc" 😀';
  const plain = demoBoat('low-samphire', name);
  const job = await addBoat(request, {
    ...plain,
    boat: { ...plain.boat, owner: name, berth: name, craft: name, note: name },
    batteries: plain.batteries.map((battery) => ({ ...battery, name })),
    circuits: plain.circuits.map((circuit) => ({ ...circuit, name, note: name })),
  });
  page.on('dialog', () => {
    throw new Error('A name was run as a script.');
  });
  const places = placesOf(job);
  for (const address of [places.boat, places.survey, places.size, places.drawing]) await open(page, address, name);
  await open(page, `${places.boat}/versions`, 'Versions');
  await expect(page.getByText(name).filter({ visible: true }).first()).toBeVisible();
  await open(page, '/', 'Yard');
  await page.getByRole('textbox', { name: 'Search the yard' }).fill('onerror');
  await expect(page.getByText(name).filter({ visible: true }).first()).toBeVisible();
  expect(await page.locator('img[src="x"]').count()).toBe(0);
});

test('an address that leads nowhere says so', async ({ page }) => {
  await open(page, '/harbour', 'Nothing here');
  await page.getByRole('button', { name: 'To the yard' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Yard' })).toBeVisible();
});

test('the yard is searched, ordered and cleared of boats put away', async ({ page, request }, { project }) => {
  const mark = `zz${project.name}`;
  await addBoat(request, demoBoat('alder-wren', `Worse ${mark}`));
  const fine = demoBoat('alder-wren', `Better ${mark}`);
  const [circuit] = fine.circuits;
  if (!circuit) throw new Error('no circuit');
  const { choices: _choices, panel: _panel, water: _water, ...rest } = circuit;
  await addBoat(request, { ...fine, circuits: [rest] });
  await open(page, '/', 'Yard');
  await page.getByRole('textbox', { name: 'Search the yard' }).fill(mark);
  const boats = page.getByRole('link', { name: new RegExp(`^Boat .*${mark}`) });
  await expect(boats).toHaveCount(2);
  await expect(boats.first()).toHaveAccessibleName(`Boat Worse ${mark}, stop`);
  await page.getByRole('radio', { name: 'By name' }).click();
  await expect(boats.first()).toHaveAccessibleName(new RegExp(`^Boat Better ${mark}`));

  await boats.first().click();
  await page.getByRole('button', { name: 'Put this boat away' }).click();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByRole('textbox', { name: 'Search the yard' }).fill(mark);
  await expect(boats).toHaveCount(1);
  await page.getByRole('radio', { name: /^Put away/ }).click();
  await expect(boats.first()).toHaveAccessibleName(new RegExp(`^Boat Better ${mark}`));
  await page.getByRole('textbox', { name: 'Search the yard' }).fill('no such boat');
  await expect(page.getByText('No boat like that')).toBeVisible();
});

test('a boat and a circuit are duplicated, and the copies go by undo', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Twinned'));
  await open(page, placesOf(job).boat, 'Twinned');
  await page.getByRole('button', { name: 'More for circuit Bilge pump' }).click();
  await page.getByRole('button', { name: 'Duplicate', exact: true }).click();
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits.map(({ name }) => name))
    .toEqual(['Bilge pump', 'Bilge pump, copy']);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job).toEqual(job);
  await page.getByRole('button', { name: 'Duplicate this boat' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Twinned, copy' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Twinned', exact: true })).toBeVisible();
});

test('settings change what new circuits begin with, and the size of text, in every tab', async ({
  page,
  context,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Set'));
  const other = await newWindow(context);
  await open(other, '/settings', 'Settings');
  await open(page, '/settings', 'Settings');
  const heading = page.getByRole('heading', { level: 1 });
  const before = await heading.evaluate((element) => parseFloat(getComputedStyle(element).fontSize));
  await page.getByRole('radio', { name: 'Largest' }).click();
  expect(await heading.evaluate((element) => parseFloat(getComputedStyle(element).fontSize))).toBeCloseTo(
    before * 1.3,
    1,
  );
  // What one tab changed, the other does not undo.
  await expect(other.getByRole('radio', { name: 'Largest' })).toBeChecked();
  await other.getByRole('radio', { name: 'mm²' }).click();
  await expect(page.getByRole('radio', { name: 'mm²' })).toBeChecked();
  await expect(page.getByRole('radio', { name: 'Largest' })).toBeChecked();
  await page.getByRole('radio', { name: '10\u00a0%' }).click();
  await page.getByRole('radio', { name: 'ISO 13297' }).click();
  await open(page, placesOf(job).boat, 'Set');
  await page.getByRole('button', { name: 'Add a circuit' }).click();
  await page.getByLabel('Name of the circuit').fill('New one');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[1]?.choices)
    .toEqual({ family: 'metric', rules: 'iso', dropSchool: 'general' });
});

test('putting a boat away, and removing a battery, come back by undo', async ({ page, request }) => {
  const plain = demoBoat('pinnock', 'Undone');
  const job = await addBoat(request, { ...plain, batteries: [...plain.batteries, { id: 'spare', name: 'Spare' }] });
  const stored = async () => (await storedBoat(request, job.boat.id)).job;
  await open(page, placesOf(job).boat, 'Undone');
  await page.getByRole('button', { name: 'Put this boat away' }).click();
  await expect.poll(async () => (await stored()).boat.archived).toBe(true);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(stored).toEqual(job);
  await page.getByRole('button', { name: /^Spare:/ }).click();
  await page.getByRole('button', { name: 'Remove this battery' }).click();
  await expect.poll(async () => (await stored()).batteries.length).toBe(1);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(stored).toEqual(job);
});

test('a boat is added by its length alone, and what is no length is refused in place', async ({ page, request }) => {
  await open(page, '/', 'Yard');
  await page.getByRole('button', { name: 'Add a boat' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add a boat' });
  const length = dialog.getByLabel('Length of the hull');
  await length.fill('long');
  await dialog.getByRole('button', { name: 'Add' }).click();
  await expect(dialog.getByText(/Type a number in m/)).toBeVisible();
  await length.fill('900');
  await expect(dialog.getByText(/Hull length/)).toBeVisible();
  await dialog.getByRole('radio', { name: '10', exact: true }).click();
  await expect(length).toHaveValue('10');
  await dialog.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('heading', { name: /^Boat of 10\sm/ })).toBeVisible();
  const id = /boat\/([^/]+)/.exec(page.url())?.[1] ?? '';
  await expect
    .poll(async () => {
      const answer = await request.get(`/api/boats/${id}`);
      return answer.ok() ? (await storedBoat(request, id)).job.boat.hullLengthM : null;
    })
    .toBe(10);
});

test('where feet and gallons are shown nothing is told in metres, litres or degrees Celsius', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('low-samphire', 'In feet'));
  await page.addInitScript(() => localStorage.setItem('latch.settings', JSON.stringify({ units: 'us' })));
  const places = placesOf(job);
  for (const address of [places.boat, places.survey, places.size, places.float, places.bench]) {
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.locator('[aria-busy="true"]').filter({ visible: true })).toHaveCount(0);
    const folded = page.getByRole('main').getByRole('button', { expanded: false }).filter({ visible: true });
    if (address === places.survey || address === places.boat)
      for (let count = await folded.count(), most = 30; count > 0 && most > 0; count = await folded.count(), most -= 1)
        await folded.last().click();
    await layAllOut(page);
    const text = await page.getByRole('main').innerText();
    const metric = [...text.matchAll(/[^\n]*\d\s?(m|mm|cm|L|L\/h|L\/min|°C)(?![\w²·Ω/])[^\n]*/g)].map(([line]) => line);
    expect([address, metric]).toEqual([address, []]);
  }
});

test.describe('on a device that never saw the application', () => {
  test.use({ fresh: true });
  test('before the yard comes no more code than she needs', async ({ page, request }) => {
    await addBoat(request, demoBoat('pinnock', 'Light to bring'));
    const scripts: Response[] = [];
    page.on('response', (answer) => {
      if (/\/(entry|__common|YardScreen|__expo-metro-runtime)-[^/]*\.js$/.test(answer.url())) scripts.push(answer);
    });
    await open(page, '/', 'Yard');
    await expect(page.getByRole('link', { name: /^Boat / }).first()).toBeVisible();
    const sizes = await Promise.all(scripts.map((script) => script.request().sizes()));
    expect(sizes.length).toBeGreaterThan(2);
    // 1.35 times the 305 kB of an empty application on the same stack.
    expect(sizes.reduce((sum, { responseBodySize }) => sum + responseBodySize, 0)).toBeLessThan(411_750);
  });
});
