import { expect, test } from '../journey';
import { addBoat, demoBoat, Hand, open, openEmptyYard, placesOf, storedBoat } from '../yard';

test('from the empty yard to fuse, cable and float height in at most 20 taps and 12 keys', async ({
  page,
  request,
}) => {
  await openEmptyYard(page);
  await expect(page.getByText('No boats yet')).toBeVisible();
  const hand = new Hand(page);
  await hand.tap('button', 'Add a boat');
  await hand.tap('radio', '8');
  await hand.tap('button', 'Add');
  await hand.tap('button', 'Add a circuit');
  // The three-way switch with a separate float is what is offered first.
  await expect(page.getByRole('radio', { name: 'Three-way switch with separate float' })).toBeChecked();
  await hand.tap('button', 'Add');
  await expect(page.getByText('4 needed').filter({ visible: true }).first()).toBeVisible();
  await hand.type('Pump amperes, in A', '4.2');
  await hand.type('Source to panel, one way, in m', '2.2');
  await hand.type('Panel to bilge, one way, in m', '4.5');
  await hand.tap('button', 'As far as the ways out: 6.7\u00a0m');
  await hand.tap('button', 'See the sizes');
  await expect(
    page.getByText(/^Conductors lose .* Within the 3\s% allowed\.$/).filter({ visible: true }),
  ).toBeVisible();
  await expect(page.getByText('12 AWG').filter({ visible: true }).first()).toBeVisible();
  await expect(page.getByText('7.5\u00a0A').filter({ visible: true }).first()).toBeVisible();
  await hand.tap('tab', /^Float/);
  await hand.tap('button', 'Begin with typical figures');
  await hand.tap('button', 'Put it at the best height');
  await expect(page.getByText(/^It stands there\./)).toBeVisible();
  const id = new URL(page.url()).pathname.split('/')[2] ?? '';
  await expect.poll(async () => (await storedBoat(request, id)).job.circuits[0]?.pump.currentA).toBe(4.2);
  expect(hand.taps).toBeLessThanOrEqual(20);
  expect(hand.keys).toBeLessThanOrEqual(12);
});

test('the same by keyboard alone, and the keys are listed', { tag: '@wide-only' }, async ({ page }) => {
  await open(page, '/', 'Yard');
  const { keyboard } = page;
  await keyboard.press('?');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('Add a boat')).toBeVisible();
  await expect(dialog.getByText('Search the yard')).toBeVisible();
  await expect(dialog.getByText('Add a circuit')).toHaveCount(0);
  await keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
  await keyboard.press('/');
  const search = page.getByRole('textbox', { name: 'Search the yard' });
  await expect(search).toBeFocused();
  // In a field a letter is a letter.
  await keyboard.type('n');
  await expect(search).toHaveValue('n');
  await keyboard.press('Backspace');
  await keyboard.press('Tab');

  await keyboard.press('n');
  await expect(page.getByRole('textbox', { name: 'Length of the hull' })).toBeFocused();
  await keyboard.type('8');
  await keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: /^Boat of 8/ })).toBeVisible();
  await keyboard.press('n');
  await expect(dialog).toBeVisible();
  await keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Bilge pump' })).toBeVisible();
  await keyboard.press('?');
  await expect(dialog.getByText('Undo the last change')).toBeVisible();
  await expect(dialog.getByText('Add a circuit')).toHaveCount(0);
  await keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
  // Each that is needed leads to its field; from one field the tab key goes on to the next.
  const tabTo = async (label: string | RegExp, most: number) => {
    const target = page.getByLabel(label).filter({ visible: true }).first();
    for (let presses = 0; presses < most; presses += 1) {
      if (await target.evaluate((element) => element === document.activeElement)) return;
      await keyboard.press('Tab');
    }
    throw new Error(`The tab key did not come to ${String(label)} in ${most} presses.`);
  };
  await tabTo('Go to Pump amperes', 20);
  await keyboard.press('Enter');
  await keyboard.type('4.2');
  await tabTo('Source to panel, one way, in m', 14);
  await keyboard.type('2.2');
  await tabTo('Panel to bilge, one way, in m', 14);
  await keyboard.type('4.5');
  await tabTo(/^As far as the ways out/, 20);
  await keyboard.press('Enter');
  await expect(page.getByText('Enough for sizes', { exact: true })).toBeVisible();
  await keyboard.press('2');
  await expect(page.getByText(/Within the 3\s% allowed\.$/).filter({ visible: true })).toBeVisible();
  await keyboard.press('3');
  await tabTo('Begin with typical figures', 20);
  await keyboard.press('Enter');
  await tabTo('Put it at the best height', 30);
  await keyboard.press('Enter');
  await expect(page.getByText(/^It stands there\./)).toBeVisible();
});

test('a backup with alarm is added to an existing boat in at most 12 taps', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Backed up'));
  await open(page, placesOf(job).boat, 'Backed up');
  const hand = new Hand(page);
  await hand.tap('button', 'Add a circuit');
  await hand.tap('radio', 'Backup pump with alarm on its float');
  await expect(page.getByRole('radio', { name: 'As Main bilge pump' })).toBeChecked();
  await hand.tap('button', 'Add');
  await expect(page.getByText('1 needed').filter({ visible: true }).first()).toBeVisible();
  await hand.tap('radio', /^Large/);
  await hand.tap('button', 'See the sizes');
  await expect(page.getByText(/^Conductors lose/).filter({ visible: true })).toBeVisible();
  await hand.tap('tab', /^Float/);
  const best = page.getByRole('button', { name: 'Put it at the best height' });
  if (await best.isVisible()) await hand.tap('button', 'Put it at the best height');
  expect(hand.taps).toBeLessThanOrEqual(12);
  expect(hand.keys).toBe(0);
});

test('swapped manual and auto on an old boat are understood from the bench alone', async ({ page, request }) => {
  const boat = demoBoat('alder-wren', 'Crossed');
  const [circuit, ...others] = boat.circuits;
  if (!circuit) throw new Error('no circuit');
  const rewired = { moved: { manual: { from: 'switch.auto' }, auto: { from: 'switch.manual' } } };
  const job = await addBoat(request, { ...boat, circuits: [{ ...circuit, rewired }, ...others] });
  await open(page, placesOf(job).bench, 'Main bilge pump');
  await expect(page.getByText('Wired otherwise than planned').filter({ visible: true })).toBeVisible();
  await expect(
    page.getByText(/^On auto it runs with or without water, until the battery is flat: about/),
  ).toBeVisible();
  await expect(page.getByText('On manual it runs only while the water is high.')).toBeVisible();
});

test('a first boat is begun from a worked example, every guess marked, and the guesses follow her length', async ({
  page,
}) => {
  await openEmptyYard(page);
  await page.getByRole('button', { name: 'Yacht' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Yacht' })).toBeVisible();
  await page.getByRole('link', { name: 'Circuit Bilge pump' }).click();
  await expect(
    page.getByText(/^By estimates: source to panel, panel to bilge/).filter({ visible: true }),
  ).toBeVisible();
  await page.getByRole('tab', { name: /^Survey/ }).click();
  const length = page.getByLabel('Source to panel, one way, in m');
  await expect(length).toHaveValue('2.8');
  await expect(page.getByText('estimate', { exact: true }).filter({ visible: true })).toHaveCount(4);
  await length.fill('3.1');
  await expect(page.getByText('estimate', { exact: true }).filter({ visible: true })).toHaveCount(3);
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByRole('button', { name: /^About the boat/ }).click();
  await page.getByLabel('Hull length, in m').fill('14');
  await page.getByRole('link', { name: 'Circuit Bilge pump' }).click();
  await page.getByRole('tab', { name: /^Survey/ }).click();
  await expect(page.getByLabel('Panel to bilge, one way, in m')).toHaveValue('7');
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('3.1');
});

test('back leads where one came from, with the place in the list kept', async ({ page, request }) => {
  const listed = `Listed ${Date.now()}`;
  for (let boat = 0; boat < 6; boat += 1) await addBoat(request, demoBoat('low-samphire', `${listed} ${String(boat)}`));
  await open(page, '/', 'Yard');
  await page.getByRole('radio', { name: 'By name' }).click();
  await page.getByRole('radio', { name: 'Circuits', exact: true }).click();
  const circuit = page.getByRole('link', { name: `Circuit Fish-room drain of ${listed} 4` });
  await page.getByRole('textbox', { name: 'Search the yard' }).fill(listed);
  // What is not known yet takes less room than what will be said of it.
  await expect(page.getByText('Being worked out').filter({ visible: true })).toHaveCount(0);
  await circuit.scrollIntoViewIfNeeded();
  await circuit.click();
  await expect(page.getByRole('heading', { level: 1, name: 'Fish-room drain' })).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Yard' })).toBeVisible();
  await expect(circuit).toBeInViewport();
  await page.getByRole('radio', { name: 'Folded' }).click();
  await expect(circuit).toHaveCount(0);
  await page.getByRole('button', { name: `Show the circuits of ${listed} 4` }).click();
  await expect(circuit).toBeVisible();
});
