import type { Response } from '@playwright/test';
import { expect, newWindow, test } from '../journey';
import { addBoat, demoBoat, goTo, layAllOut, open, placesOf, storedBoat, workedOut } from '../yard';

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

test('what is duplicated, removed or put away on a boat’s page comes back by undo', async ({ page, request }) => {
  const plain = demoBoat('pinnock', 'Undone');
  const job = await addBoat(request, { ...plain, batteries: [...plain.batteries, { id: 'spare', name: 'Spare' }] });
  const stored = async () => (await storedBoat(request, job.boat.id)).job;
  const circuits = async () => (await stored()).circuits.map(({ name }) => name);
  const undo = () => page.getByRole('button', { name: 'Undo', exact: true }).click();
  const ofCircuit = async (action: string) => {
    await page.getByRole('button', { name: 'More for circuit Bilge pump' }).click();
    await page.getByRole('button', { name: action, exact: true }).click();
  };
  await open(page, placesOf(job).boat, 'Undone');
  await ofCircuit('Duplicate');
  await expect.poll(circuits).toEqual(['Bilge pump', 'Bilge pump, copy']);
  await undo();
  await expect.poll(stored).toEqual(job);
  await ofCircuit('Remove');
  await expect.poll(circuits).toEqual([]);
  await undo();
  await expect.poll(stored).toEqual(job);

  await page.getByRole('button', { name: 'Put this boat away' }).click();
  await expect.poll(async () => (await stored()).boat.archived).toBe(true);
  await undo();
  await expect.poll(stored).toEqual(job);
  await page.getByRole('button', { name: /^Spare:/ }).click();
  await page.getByRole('button', { name: 'Remove this battery' }).click();
  await expect.poll(async () => (await stored()).batteries.length).toBe(1);
  await undo();
  await expect.poll(stored).toEqual(job);

  await page.getByRole('button', { name: 'Duplicate this boat' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Undone, copy' })).toBeVisible();
  await undo();
  await expect(page.getByRole('heading', { level: 1, name: 'Undone', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Remove this boat' }).click();
  await expect(page.getByText('Removed Undone')).toBeVisible();
  await expect.poll(async () => (await request.get(`/api/boats/${job.boat.id}`)).status()).toBe(404);
  await undo();
  await expect.poll(stored).toEqual(job);
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
  const shown = async () => {
    await workedOut(page);
    await expect(page.getByText(name).filter({ visible: true }).first()).toBeVisible();
  };
  await open(page, placesOf(job).drawing, name);
  await open(page, '/', 'Yard');
  await page.getByRole('textbox', { name: 'Search the yard' }).fill('onerror');
  await shown();
  await page.getByRole('link', { name: /^Boat <img/ }).click();
  await expect(page.getByRole('button', { name: 'Duplicate this boat' })).toBeVisible();
  await shown();
  await page.getByRole('button', { name: 'Versions' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Versions' })).toBeVisible();
  await shown();
  await page.getByRole('button', { name: 'Back', exact: true }).filter({ visible: true }).click();
  await page
    .getByRole('link', { name: /^Circuit <img/ })
    .filter({ visible: true })
    .first()
    .click();
  for (const station of ['Survey', 'Size', 'Float', 'Bench']) {
    await goTo(page, station);
    await shown();
  }
  expect(await page.locator('img[src="x"]').count()).toBe(0);
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

test('an address that leads nowhere leads to the yard; a boat is added by its length alone, and what is no length is refused in place', async ({
  page,
  request,
}) => {
  await open(page, '/harbour', 'Nothing here');
  await page.getByRole('button', { name: 'To the yard' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Yard' })).toBeVisible();
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
  const main = page.getByRole('main').filter({ visible: true });
  const metric = async () => {
    await workedOut(page);
    await layAllOut(page);
    const text = await main.innerText();
    return [...text.matchAll(/[^\n]*\d\s?(m|mm|cm|L|L\/h|L\/min|°C)(?![\w²·Ω/])[^\n]*/g)].map(([line]) => line);
  };
  const unfoldAll = async () => {
    const folded = main.getByRole('button', { expanded: false }).filter({ visible: true });
    for (let count = await folded.count(), most = 30; count > 0 && most > 0; count = await folded.count(), most -= 1)
      await folded.last().click();
  };
  await open(page, placesOf(job).boat, 'In feet');
  await unfoldAll();
  expect(await metric()).toEqual([]);
  await page.getByRole('link', { name: 'Circuit Engine well, primary' }).click();
  for (const station of ['Size', 'Float', 'Bench', 'Survey']) {
    await goTo(page, station);
    await expect(page.getByRole('tab', { name: station, selected: true })).toBeVisible();
    if (station === 'Survey') await unfoldAll();
    expect([station, await metric()]).toEqual([station, []]);
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
