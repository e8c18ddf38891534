import type { Page } from '@playwright/test';
import { expect, newWindow, test } from '../journey';
import { onDevice } from '../signal';
import { addBoat, demoBoat, goTo, open, placesOf, storedBoat } from '../yard';

test('without a server the application opens from cold on any page, is worked with, and all arrives once later', async ({
  newPhone: { signal, device },
  request,
}) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Aboard'));
  const first = await device.newPage();
  await open(first, `${signal.address}/`, 'Yard');
  await expect(first.getByRole('link', { name: /^Boat Aboard/ })).toBeVisible();
  await onDevice(first);
  await first.close();
  await signal.cut();

  const page = await device.newPage();
  await open(page, `${signal.address}${placesOf(job).survey}`, 'Main bilge pump');
  await page.getByLabel('Source to panel, one way, in m').fill('3.3');
  await expect(page.getByText('Kept here, server away').filter({ visible: true })).toBeVisible();
  await goTo(page, 'Size');
  await expect(
    page
      .getByText(/V at the pump|at the pump/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  await goTo(page, 'Bench');
  await expect(page.getByText('Pump standing. Running light dark.')).toBeVisible();
  const manual = page.getByRole('radio', { name: 'Manual, hold' });
  await manual.hover();
  await page.mouse.down();
  await expect(page.getByText('Pump running. Running light lit.')).toBeVisible();
  await page.mouse.up();
  // A run of a month of the well, in a worker that was never loaded before.
  await goTo(page, 'Float');
  await page.getByRole('tab', { name: 'Runs', exact: true }).click();
  await expect(
    page
      .getByText(/flattens the battery|Battery/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  // Another page from cold, of another kind; what was changed is there.
  await page.close();
  const again = await device.newPage();
  await open(again, `${signal.address}/`, 'Yard');
  await expect(again.getByText('1 thing waits for a signal.', { exact: false })).toBeVisible();
  await again.getByRole('button', { name: 'Look at them' }).click();
  await expect(again.getByRole('link', { name: 'Aboard: Changes to be saved. Waits for a signal' })).toBeVisible();

  await signal.mend();
  await again.getByRole('button', { name: 'Send now' }).click();
  await expect(again.getByText('Nothing waits')).toBeVisible();
  const stored = await storedBoat(request, job.boat.id);
  expect([stored.version, stored.job.circuits[0]?.legs.sourceToPanel.lengthM]).toEqual([2, 3.3]);
});

test('two phones see each other’s changes within a moment, a removed boat goes, and a new one comes', async ({
  page,
  context,
  elsewhere,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Shared'));
  const other = await newWindow(context);
  await open(other, elsewhere + placesOf(job).survey, 'Bilge pump');
  await open(page, placesOf(job).survey, 'Bilge pump');
  await page.getByLabel('Pump amperes, in A').fill('3.3');
  await expect(other.getByLabel('Pump amperes, in A')).toHaveValue('3.3');
  await other.getByRole('button', { name: 'Back' }).click();
  await other.getByRole('button', { name: 'Remove this boat' }).click();
  await expect(page.getByText('This boat is not here')).toBeVisible();
  const { boat } = demoBoat('pinnock', 'Come');
  await addBoat(request, { ...job, boat });
  await open(page, `/boat/${boat.id}`, 'Come');
});

test('what an earlier release kept on the device is carried over once, and what it left unreadable is handed out', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Carried over'));
  const changed = { ...job, boat: { ...job.boat, berth: 'Staithe 9' } };
  const kept = { job: changed, basedOn: 1, base: job, typed: { 'circuits/0/pump/currentA': 'four' } };
  await page.addInitScript(
    ([id, text]) => {
      if (localStorage.getItem('latch.settings') !== null) return;
      localStorage.setItem('latch.settings', '{}');
      localStorage.setItem(`latch.draft.${id}`, text ?? '');
      localStorage.setItem('latch.draft.cut', '{"job":{"format"');
    },
    [job.boat.id, JSON.stringify(kept)],
  );
  await open(page, '/', 'Yard');
  await expect(page.getByText(/A change kept by an earlier version cannot be read/)).toBeVisible();
  const leaving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as a file' }).click();
  expect((await leaving).suggestedFilename()).toBe('latch.draft.cut.json');
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job.boat.berth).toBe('Staithe 9');
  await open(page, placesOf(job).survey, 'Bilge pump');
  await expect(page.getByLabel('Pump amperes, in A')).toHaveValue('four');
  expect(await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('latch.draft.')))).toEqual([
    'latch.draft.cut',
  ]);
});

/** The word of a newer release on the page that is seen; the one made ready under it has it too. */
const newer = (page: Page) =>
  page.getByText('A newer version of Harbor Latch is on this device', { exact: false }).filter({ visible: true });

test('a newer release waits beside the old one, is said, and is begun in all tabs together with what was typed', async ({
  newPhone: { signal, device },
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Renewed'));
  const first = await device.newPage();
  await open(first, `${signal.address}${placesOf(job).survey}`, 'Bilge pump');
  await onDevice(first);
  await first.reload();
  await first.getByLabel('Pump amperes, in A').fill('four');
  const second = await device.newPage();
  await open(second, `${signal.address}/`, 'Yard');
  await expect.poll(() => second.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  await expect(newer(second)).toBeHidden();

  signal.release = 'newer';
  await second.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
  await expect(newer(second)).toBeVisible();
  // The old one still serves both tabs: nothing is mixed.
  await expect(first.getByLabel('Pump amperes, in A')).toHaveValue('four');
  const reloads = Promise.all([first.waitForEvent('load'), second.waitForEvent('load')]);
  await second.getByRole('button', { name: 'Begin the new version' }).click();
  await reloads;
  await expect(first.getByLabel('Pump amperes, in A')).toHaveValue('four');
  await expect(second.getByRole('heading', { level: 1, name: 'Yard' })).toBeVisible();
  await expect(newer(second)).toBeHidden();
});

/** Edits in a row over a slow link; a drill makes more of them. */
const EDITS = Number(process.env['EDITS'] ?? 10);

test('edits one after the other on a slow phone over a slow link are never a conflict of one’s own, and arrive once', async ({
  phone: { signal, device },
  request,
}) => {
  test.setTimeout(120_000 + EDITS * 3000);
  const job = await addBoat(request, demoBoat('pinnock', 'Slow'));
  const first = await device.newPage();
  await open(first, `${signal.address}/`, 'Yard');
  await expect(first.getByRole('link', { name: /^Boat Slow/ })).toBeVisible();
  await onDevice(first);
  await first.close();

  // From cold with no server at all, on a processor four times slower.
  await signal.cut();
  const page = await device.newPage();
  const slow = await page.context().newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const began = Date.now();
  await page.goto(`${signal.address}/`);
  await expect(page.getByRole('link', { name: /^Boat Slow/ })).toBeVisible();
  const coldMs = Date.now() - began;

  signal.delayMs = 1500;
  await signal.mend();
  await page.goto(`${signal.address}${placesOf(job).survey}`);
  const more = page.getByRole('button', { name: 'More Source to panel, one way' });
  await expect(more).toBeVisible();
  const field = page.getByLabel('Source to panel, one way, in m');
  const from = Number(await field.inputValue());
  for (let edit = 0; edit < EDITS; edit += 1) {
    await more.click();
    // Some fold into one save, some are made while one is under way.
    await page.waitForTimeout(edit % 3 === 0 ? 900 : 120);
  }
  const to = Number(await field.inputValue());
  expect(to).toBeGreaterThan(from);
  await expect(page.getByText('Saved', { exact: true }).filter({ visible: true })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/[Cc]hanged elsewhere/)).toHaveCount(0);
  const stored = await storedBoat(request, job.boat.id);
  expect(stored.job.circuits[0]?.legs.sourceToPanel.lengthM).toBeCloseTo(to, 6);
  expect(stored.version).toBeLessThanOrEqual(EDITS + 1);
  process.stdout.write(
    `${EDITS} edits became ${stored.version - 1} saves; cold start without a server ${coldMs} ms.\n`,
  );
});
