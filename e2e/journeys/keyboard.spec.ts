import { expect, test } from '../journey';
import { addBoat, demoBoat, open, placesOf } from '../yard';

test(
  'a boat and its circuit are begun by keys alone, and the keys are listed',
  { tag: '@wide-only' },
  async ({ page }) => {
    await open(page, '/', 'Yard');
    await page.keyboard.press('?');
    const list = page.getByRole('dialog');
    await expect(list.getByText('Add a boat')).toBeVisible();
    await expect(list.getByText('Search the yard')).toBeVisible();
    await expect(list.getByText('Add a circuit')).toHaveCount(0);
    await page.keyboard.press('Escape');
    await expect(list).toHaveCount(0);
    await page.keyboard.press('/');
    await expect(page.getByRole('textbox', { name: 'Search the yard' })).toBeFocused();
    // In a field a letter is a letter.
    await page.keyboard.type('n');
    await expect(page.getByRole('textbox', { name: 'Search the yard' })).toHaveValue('n');
    await page.keyboard.press('Backspace');
    await page.keyboard.press('Tab');
    await page.keyboard.press('n');
    await page.getByRole('textbox', { name: 'Length of the hull' }).focus();
    await page.keyboard.type('8');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: /^Boat of 8\sm/ })).toBeVisible();
    await page.keyboard.press('n');
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Bilge pump' })).toBeVisible();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog').getByText('Undo the last change')).toBeVisible();
    await expect(page.getByRole('dialog').getByText('Add a circuit')).toHaveCount(0);
  },
);

test(
  'places, choices and tools are gone through by arrow keys, each a single stop of the tab key',
  { tag: '@wide-only' },
  async ({ page, request }) => {
    const job = await addBoat(request, demoBoat('pinnock', 'Arrows'));
    await open(page, placesOf(job).survey, 'Bilge pump');
    await page.keyboard.press('2');
    const size = page.getByRole('tab', { name: 'Size' });
    await expect(size).toHaveAttribute('aria-selected', 'true');
    await size.focus();
    await page.keyboard.press('ArrowRight');
    const float = page.getByRole('tab', { name: 'Float' });
    await expect(float).toBeFocused();
    await expect(float).toHaveAttribute('aria-selected', 'true');
    await page.keyboard.press('Home');
    await page.keyboard.press('2');
    const school = page.getByRole('radio', { name: '3 % drop' }).filter({ visible: true });
    await school.focus();
    await page.keyboard.press('ArrowRight');
    const other = page.getByRole('radio', { name: '10 % drop' }).filter({ visible: true });
    await expect(other).toBeFocused();
    await expect(other).toHaveAttribute('aria-checked', 'true');
    await page.keyboard.press('Control+z');
    await expect(school).toHaveAttribute('aria-checked', 'true');
    // Of the whole row only the one that is taken is a stop of the tab key.
    await expect(other).toHaveAttribute('tabindex', '-1');
    await expect(school).toHaveAttribute('tabindex', '0');
  },
);

test('the bench’s switch is worked by arrow keys, and the drawing gone through by them', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Keys'));
  await open(page, placesOf(job).bench, 'Main bilge pump');
  const off = page.getByRole('radio', { name: 'Off', exact: true });
  await off.focus();
  await page.keyboard.press('ArrowRight');
  const auto = page.getByRole('radio', { name: 'Auto', exact: true });
  await expect(auto).toBeFocused();
  await expect(auto).toHaveAttribute('aria-checked', 'true');
  // The position that springs back is reached, and runs only while a key is held.
  await page.keyboard.press('ArrowRight');
  const manual = page.getByRole('radio', { name: 'Manual, hold' });
  await expect(manual).toBeFocused();
  await expect(manual).toHaveAttribute('aria-checked', 'false');
  await page.keyboard.down(' ');
  await expect(page.getByText(/^Pump running/)).toBeVisible();
  await page.keyboard.up(' ');
  const stops = page
    .getByRole('radiogroup', { name: /circuit at work/ })
    .first()
    .locator('[role=radio][tabindex="0"]');
  await expect(stops).toHaveCount(1);
  await stops.focus();
  await page.keyboard.press('ArrowRight');
  await expect(stops).not.toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('svg [role=radio][aria-checked=true]').first()).toBeFocused();
});
