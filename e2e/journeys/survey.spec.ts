import { expect, newWindow, test } from '../journey';
import { addBoat, demoBoat, firstCircuit, goTo, open, placesOf, storedBoat, unfold } from '../yard';

test('impossible figures are answered in place, with what to do; what was typed survives a reload, also when it is no figure yet', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Impossible'));
  const circuit = async () => firstCircuit((await storedBoat(request, job.boat.id)).job);
  await open(page, placesOf(job).survey, 'Bilge pump');
  const answers: readonly (readonly [string, string, RegExp])[] = [
    ['Source to panel, one way, in m', '0', /must be more than 0 m\. Measure one way/],
    ['Panel to bilge, one way, in m', '-3', /must be more than 0 m/],
    ['Pump amperes, in A', '500', /above 100 A is not a bilge-pump circuit/],
    ['Bilge to negative bus, one way, in m', '3 furlongs', /"furlongs" is not a unit of length here/],
  ];
  for (const [label, text, message] of answers) {
    await page.getByLabel(label).fill(text);
    await expect(page.getByText(message).filter({ visible: true }).first()).toBeVisible();
  }
  await expect(page.getByText('4 entries to correct')).toBeVisible();

  await page.getByLabel('Source to panel, one way, in m').fill('1.7');
  await page.getByLabel('Pump amperes, in A').fill('lots');
  await expect(page.getByText('Type a number in A')).toBeVisible();
  // At once after another station was opened: it is the one that opens.
  await goTo(page, 'Size');
  const size = page.getByRole('tab', { name: 'Size', selected: true });
  await expect(size).toBeVisible();
  await page.reload();
  await expect(size).toBeVisible();
  await goTo(page, 'Survey');
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('1.7');
  await expect(page.getByLabel('Pump amperes, in A')).toHaveValue('lots');
  await expect(page.getByText('Type a number in A')).toBeVisible();
  await expect.poll(async () => (await circuit()).legs.sourceToPanel.lengthM).toBe(1.7);
  expect((await circuit()).pump.currentA).toBe(2.8);
});

test('a field that is gone to comes out from under what stays at the top; a default comes back when the entry is emptied', async ({
  page,
  request,
}) => {
  const plain = demoBoat('alder-wren', 'Covered');
  const { currentA: _current, ...pump } = firstCircuit(plain).pump;
  const job = await addBoat(request, { ...plain, circuits: [{ ...firstCircuit(plain), pump }] });
  await open(page, placesOf(job).survey, 'Main bilge pump');
  const bar = page.getByText('1 needed').filter({ visible: true }).last();
  await expect(bar).toBeVisible();
  const field = page.getByLabel('Panel to bilge, one way, in m');
  await field.evaluate((element) => {
    for (let at = element.parentElement; at; at = at.parentElement)
      if (at.scrollHeight > at.clientHeight && getComputedStyle(at).overflowY === 'auto')
        return at.scrollBy(0, element.getBoundingClientRect().top - at.getBoundingClientRect().top - 10);
  });
  const covered = async () => {
    const [over, under] = [await bar.boundingBox(), await field.boundingBox()];
    return over && under ? under.y < over.y + over.height : null;
  };
  expect(await covered()).toBe(true);
  await field.focus();
  await expect.poll(covered).toBe(false);

  await unfold(page, 'Source');
  const stub = page.getByLabel('Battery to fuse, in mm');
  await stub.fill('');
  await expect(stub).toHaveAttribute('placeholder', '150');
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.source?.stubLengthM)
    .toBeUndefined();
});

test('a field takes either unit system, speaks of a figure in another unit and of one typical of its class; a leg gets a further piece', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Filled in'));
  const legs = async () => firstCircuit((await storedBoat(request, job.boat.id)).job).legs;
  await open(page, placesOf(job).survey, 'Bilge pump');
  await page.getByLabel('Panel to bilge, one way, in m').fill('12 ft');
  await expect.poll(async () => (await legs()).panelToBilge.lengthM).toBeCloseTo(3.6576, 9);
  await page.getByRole('button', { name: 'Source to panel, one way: unit m, change' }).click();
  await expect(page.getByLabel('Source to panel, one way, in ft')).toHaveValue('3.94');
  await page.getByRole('button', { name: 'More Source to panel, one way' }).click();
  await expect(page.getByLabel('Source to panel, one way, in ft')).toHaveValue('4.5');

  await unfold(page, 'Panel to bilge');
  const pieces = async () => (await legs()).panelToBilge.further;
  await page.getByRole('button', { name: 'Add a piece in other surroundings' }).click();
  await expect.poll(pieces).toEqual([{ lengthM: 1, engineSpace: true }]);
  // What was opened stays open, also when its fields begin anew.
  await page.getByRole('button', { name: 'Remove piece 2' }).click();
  await expect.poll(pieces).toBeUndefined();
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect.poll(pieces).toEqual([{ lengthM: 1, engineSpace: true }]);

  await unfold(page, 'Pump');
  await page.getByLabel('Open flow, in L/h').fill('500');
  await expect(page.getByText('Does the label say gallons? Then it is 1893 L/h.')).toBeVisible();
  await page.getByLabel('Pump amperes, in A').fill('');
  await page.getByRole('radio', { name: 'Small, 1900\u00a0L/h' }).click();
  await expect(page.getByText(/figures typical of the class/)).toBeVisible();
  await expect(page.getByLabel('Open flow, in L/h')).toHaveValue('1900');
  await page.getByRole('button', { name: 'These are the label’s figures now' }).click();
  await expect(page.getByText(/figures typical of the class/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByText(/figures typical of the class/)).toBeVisible();
});

test('a dead server during typing loses nothing', async ({ page, request, context, expected }) => {
  expected.push(/ERR_FAILED|Failed to load resource/);
  const job = await addBoat(request, demoBoat('pinnock', 'Away'));
  await open(page, placesOf(job).survey, 'Bilge pump');
  await context.route('**/api/**', (route) => route.abort());
  await page.getByLabel('Source to panel, one way, in m').fill('2.2');
  await expect(page.getByText('Kept here, server away')).toBeVisible();
  await context.unroute('**/api/**');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  expect((await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.sourceToPanel.lengthM).toBe(2.2);
});

test('what another changed in the same field meanwhile is asked, and neither copy is lost', async ({
  page,
  context,
  request,
  expected,
}) => {
  expected.push(/412|ERR_INTERNET_DISCONNECTED/);
  const job = await addBoat(request, demoBoat('pinnock', 'Contested'));
  const [circuit] = job.circuits;
  if (!circuit) throw new Error('no circuit');
  const legs = { ...circuit.legs, sourceToPanel: { ...circuit.legs.sourceToPanel, lengthM: 5 } };
  await open(page, placesOf(job).survey, 'Bilge pump');
  await context.setOffline(true);
  await page.getByLabel('Source to panel, one way, in m').fill('4.4');
  await expect(page.getByText('Kept here, server away').filter({ visible: true })).toBeVisible();
  await request.put(`/api/boats/${job.boat.id}`, {
    data: { ...job, circuits: [{ ...circuit, legs }] },
    headers: { 'If-Match': '"1"', 'X-Person': 'Samphire' },
  });
  await context.setOffline(false);
  await expect(
    page
      .getByText(/was changed by Samphire at/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('4.4');
  await page.getByRole('button', { name: 'Take the other' }).click();
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('5');
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByLabel('Source to panel, one way, in m')).toHaveValue('4.4');
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.sourceToPanel.lengthM)
    .toBe(4.4);
});

test('two devices that changed different things are saved together, and what both changed is asked for', async ({
  page,
  context,
  elsewhere,
  request,
  expected,
}) => {
  expected.push(/ERR_FAILED|Failed to load resource/);
  const job = await addBoat(request, demoBoat('pinnock', 'Two devices'));
  const other = await newWindow(context);
  await open(other, elsewhere + placesOf(job).survey, 'Bilge pump');
  await other.route('**/api/**', (route) => route.abort());
  await other.getByLabel('Panel to bilge, one way, in m').fill('7.7');
  await other.getByLabel('Pump amperes, in A').fill('4');
  await open(page, placesOf(job).survey, 'Bilge pump');
  await page.getByLabel('Source to panel, one way, in m').fill('4.4');
  await page.getByLabel('Pump amperes, in A').fill('3');
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.pump.currentA).toBe(3);
  await other.unroute('**/api/**');
  await expect(other.getByText('Changed on both sides').filter({ visible: true })).toBeVisible();
  await other.getByRole('radio', { name: 'Other: 3\u00a0A' }).click();
  await other.getByRole('button', { name: 'Save both together' }).click();
  await expect
    .poll(async () => {
      const [circuit] = (await storedBoat(request, job.boat.id)).job.circuits;
      return [circuit?.legs.sourceToPanel.lengthM, circuit?.legs.panelToBilge.lengthM, circuit?.pump.currentA];
    })
    .toEqual([4.4, 7.7, 3]);
  // The first device sees it without being asked.
  await expect(page.getByLabel('Panel to bilge, one way, in m')).toHaveValue('7.7');
});

test('two tabs of one device without a server lose nothing of each other', async ({
  page,
  context,
  request,
  expected,
}) => {
  expected.push(/ERR_INTERNET_DISCONNECTED/);
  const job = await addBoat(request, demoBoat('pinnock', 'Two tabs'));
  const other = await newWindow(context);
  await open(page, placesOf(job).survey, 'Bilge pump');
  await open(other, placesOf(job).survey, 'Bilge pump');
  await context.setOffline(true);
  await page.getByLabel('Source to panel, one way, in m').fill('4.4');
  await other.getByLabel('Panel to bilge, one way, in m').fill('7.7');
  await expect(page.getByLabel('Panel to bilge, one way, in m')).toHaveValue('7.7');
  await expect(other.getByLabel('Source to panel, one way, in m')).toHaveValue('4.4');
  // The tab that sends is closed before there is a signal: the other takes over.
  await page.close();
  await context.setOffline(false);
  await expect
    .poll(async () => {
      const [circuit] = (await storedBoat(request, job.boat.id)).job.circuits;
      return [circuit?.legs.sourceToPanel.lengthM, circuit?.legs.panelToBilge.lengthM];
    })
    .toEqual([4.4, 7.7]);
});

test('a version is looked at, restored, and the restoring undone', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Versions'));
  await open(page, placesOf(job).survey, 'Bilge pump');
  await page.getByLabel('Source to panel, one way, in m').fill('9');
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).version).toBe(2);
  await page.getByRole('button', { name: 'Back' }).click();
  await page.getByRole('button', { name: 'Versions' }).click();
  await page.getByRole('button', { name: /^Version 1,/ }).click();
  await expect(page.getByText('1.2\u00a0m → 9\u00a0m', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Restore version 1' }).click();
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job).toEqual(job);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.sourceToPanel.lengthM)
    .toBe(9);
});

test('a device without room says so and offers the file, and what was typed is saved all the same', async ({
  page,
  request,
  expected,
}) => {
  expected.push(/ERR_FAILED|Failed to load resource/);
  const job = await addBoat(request, demoBoat('pinnock', 'No room'));
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await open(page, placesOf(job).survey, 'Bilge pump');
  await page.route('**/api/boats/**', (route) => route.abort());
  await page.getByLabel('Source to panel, one way, in m').fill('2.3');
  await expect(page.getByText('Not kept: no room on this device')).toBeVisible();
  const leaving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the job file' }).filter({ visible: true }).click();
  expect((await leaving).suggestedFilename()).toBe('no-room.json');
  await page.unroute('**/api/boats/**');
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.sourceToPanel.lengthM)
    .toBe(2.3);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

test.describe('on a device that never saw the application', () => {
  test.use({ fresh: true });
  test('pages not yet seen open without a connection, once the first has stood for a while', async ({
    page,
    context,
    request,
    expected,
  }) => {
    expected.push(/ERR_INTERNET_DISCONNECTED|Failed to load resource/);
    const job = await addBoat(request, demoBoat('pinnock', 'Out of reach'));
    const ahead = context.waitForEvent('response', (answer) => /\/water-[^/]*\.js$/.test(answer.url()));
    await open(page, placesOf(job).boat, job.boat.name);
    // The last that is fetched ahead.
    await (await ahead).finished();
    await context.setOffline(true);
    await page.getByRole('link', { name: /Bilge pump/ }).click();
    for (const station of ['Survey', 'Size', 'Float', 'Bench']) {
      await goTo(page, station);
      await expect(page.getByRole('tab', { name: station, selected: true })).toBeVisible();
    }
    await expect(page.getByText('Pump standing.').filter({ visible: true }).first()).toBeVisible();
    await goTo(page, 'Survey');
    await page.getByLabel('Source to panel, one way, in m').fill('2.6');
    await expect(page.getByText('Kept here, server away').filter({ visible: true })).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText('Saved', { exact: true }).filter({ visible: true })).toBeVisible();
    expect((await storedBoat(request, job.boat.id)).job.circuits[0]?.legs.sourceToPanel.lengthM).toBe(2.6);
  });
});
