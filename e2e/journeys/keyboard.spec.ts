import { expect, test } from '../journey';
import { addBoat, demoBoat, open, placesOf } from '../yard';

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
