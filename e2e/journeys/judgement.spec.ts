import { expect, test } from '../journey';
import { addBoat, demoBoat, firstCircuit, open, placesOf, storedBoat } from '../yard';

test('a pump of unknown curve is run with nothing until its class is taken in one tap', async ({ page, request }) => {
  const wren = demoBoat('alder-wren', 'Unknown');
  const {
    shutOffHeadM: _head,
    openFlowLPerH: _flow,
    curve: _curve,
    catalogue: _class,
    ...pump
  } = firstCircuit(wren).pump ?? {};
  const job = await addBoat(request, {
    ...wren,
    circuits: [{ ...firstCircuit(wren), pump }, ...wren.circuits.slice(1)],
  });
  await open(page, placesOf(job).float, 'Main bilge pump');
  await page
    .getByRole('tab', { name: 'Cycle' })
    .or(page.getByRole('radio', { name: 'Cycle' }))
    .first()
    .click();
  await expect(page.getByText(/No run can be shown: what Main bilge pump moves is not known/)).toBeVisible();
  await page
    .getByRole('button', { name: /class|typical/i })
    .first()
    .click();
  await expect(page.getByText(/No run can be shown/)).toHaveCount(0);
  await expect
    .poll(async () => firstCircuit((await storedBoat(request, job.boat.id)).job).pump?.shutOffHeadM)
    .toBeDefined();
});

test('one battery’s short is spoken of once, whatever hangs on it', async ({ page, request }) => {
  const wren = demoBoat('alder-wren', 'Once');
  const first = firstCircuit(wren);
  const second = { ...first, id: 'second', name: 'Second pump' };
  const job = await addBoat(request, { ...wren, circuits: [first, second] });
  const short = page.getByText(/can deliver .* into a short/).filter({ visible: true });
  await open(page, placesOf(job).size, 'Main bilge pump');
  await expect(short).toHaveCount(1);
  await open(page, `${placesOf(job).boat}/second/size`, 'Second pump');
  await expect(page.getByText('At the pump from 12.0 V').first()).toBeVisible();
  await expect(short).toHaveCount(0);
});
