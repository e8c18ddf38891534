import { expect, test } from '../journey';
import { addBoat, demoBoat, open, placesOf } from '../yard';

test('a finger’s tap counts once, goes on where it opens a page, and presses nothing that comes to lie under it', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Touched'));
  await open(page, placesOf(job).boat, 'Touched');
  await page.getByRole('link', { name: /^Circuit Bilge pump/ }).tap();
  await expect(page.getByRole('heading', { level: 1, name: 'Bilge pump' })).toBeVisible();
  await page.getByRole('tab', { name: /^Survey/ }).tap();
  const field = page.getByRole('textbox', { name: /^Source to panel, one way/ });
  await field.fill('2.4');
  await page.getByRole('button', { name: 'More Source to panel, one way' }).tap();
  await expect(field).toHaveValue('2.5');
  await page.getByRole('button', { name: 'Less Source to panel, one way' }).tap();
  await expect(field).toHaveValue('2.4');
  // A finger that goes on taps nothing, and moves the page.
  const more = page.getByRole('button', { name: 'More Source to panel, one way' });
  const box = await more.boundingBox();
  if (!box) throw new Error('No button.');
  const cdp = await page.context().newCDPSession(page);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const finger = (type: 'touchStart' | 'touchMove' | 'touchEnd', down: number) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y: y + down }] });
  await finger('touchStart', 0);
  for (const down of [-20, -40, -60]) await finger('touchMove', down);
  await finger('touchEnd', 0);
  await expect(field).toHaveValue('2.4');
  // Once the page stands again: back, to where another way back lies under the same finger. One page, not two.
  await page.waitForTimeout(1000);
  await page.getByRole('button', { name: 'Back' }).filter({ visible: true }).tap();
  await expect(page.getByRole('heading', { level: 1, name: 'Touched' })).toBeVisible();
});

test('the page that is likely next is made ready, hidden to all, and says nothing until it is opened', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Ready'));
  await open(page, placesOf(job).boat, 'Ready');
  const made = page.locator('[data-page=rests][aria-hidden=true]');
  await expect(made).toHaveCount(1);
  // Its layout is kept, though nothing of it is shown, found or read.
  await expect(made).toHaveCSS('content-visibility', 'hidden');
  await expect(made).toHaveCSS('display', 'flex');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(['Ready']);
  await expect(page).toHaveURL(/\/boat\/[^/]+$/);
  await page.getByRole('link', { name: /^Circuit Bilge pump/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(['Bilge pump']);
  await expect(page).toHaveURL(/\/(size|survey)$/);
  // What lies under it rests likewise, and is there again by the way back.
  await expect(made).toHaveCSS('content-visibility', 'hidden');
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(['Ready']);
});
