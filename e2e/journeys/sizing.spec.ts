import { assessReport } from '@harbor-latch/core/assess/index';
import { expect, test } from '../journey';
import { addBoat, demoBoat, firstCircuit, open, placesOf, storedBoat } from '../yard';

test('the numbers on the screen are those of the headless command; schools and sizes stand side by side, and any figure shows its working', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Compared'));
  const [report] = assessReport(job).circuits;
  if (!report || report.status !== 'sized') throw new Error('not sized');
  const shown = (text: string | RegExp) => expect(page.getByText(text).filter({ visible: true }).first()).toBeVisible();
  await open(page, placesOf(job).size, firstCircuit(job).name);
  await shown(`${report.pumpV?.toFixed(2) ?? ''}\u00a0V`);
  await shown(`${report.dropPercent.toFixed(1)}\u00a0% of 12 V`);
  for (const conductor of report.conductors) await shown(conductor.size);
  for (const finding of report.findings) await shown(finding.message);

  const table = page.getByRole('table', { name: 'Sizes side by side' });
  await expect(table.getByText('10\u00a0% school')).toBeVisible();
  await expect(table.getByText('3\u00a0% school')).toBeVisible();
  await page.getByRole('button', { name: 'Show working' }).click();
  await shown(/^12 V ÷ \(5 × 4\.6\u00a0A\) = 522\u00a0mΩ$/);
  // What is known of the wiring stands where hands are, and asks for nothing.
  await expect(page.getByRole('heading', { name: 'How it is wired' })).toBeVisible();
  await shown(/Under the least size of 16 AWG, which is allowed here: Light tap/);
});

test('a choice is judged, its fix says what it gives, is taken in one tap and can be undone', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Judged'));
  await open(page, placesOf(job).size, 'Bilge pump');
  const stop = page
    .getByText('The fuse of 15\u00a0A before this pump is above the 5\u00a0A that its maker allows')
    .filter({ visible: true })
    .first();
  await expect(stop).toBeVisible();
  await expect(
    page
      .getByText(/This gives: fuse 15\u00a0A → 4\u00a0A/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Use the 4 A blade fuse' }).first().click();
  await expect(stop).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(stop).toBeVisible();
});

test(
  'another size is judged at once, and the working shows how it was reckoned',
  { tag: '@wide' },
  async ({ page, request }) => {
    const job = await addBoat(request, demoBoat('low-samphire', 'Chosen'));
    await open(page, placesOf(job).size, 'Engine well, primary');
    await page.getByRole('button', { name: /^Pump positive, .*: open$/ }).click();
    await page
      .getByRole('radiogroup', { name: 'Size of the pump positive' })
      .getByRole('radio', { name: '18 AWG' })
      .click();
    await expect(
      page
        .getByText(/^Pump positive: 18 AWG is below the least size/)
        .filter({ visible: true })
        .first(),
    ).toBeVisible();
    await expect(page.getByText('chosen by you')).toBeVisible();
    await expect(page.getByText(/17\.241 mΩ·mm²\/m × 1\.1572 \(60 °C\) × 3 m ÷ 0\.823 mm²/)).toBeVisible();
    await page
      .getByRole('radio', { name: '10 % drop' })
      .or(page.getByRole('radio', { name: '10\u00a0% drop' }))
      .click();
    await page.getByRole('radio', { name: 'mm²', exact: true }).click();
    await expect(
      page
        .getByText(/\d mm²/)
        .filter({ visible: true })
        .first(),
    ).toBeVisible();
  },
);

test('a circuit that no size satisfies says which limit fails, by how much and what would help', async ({
  page,
  request,
}) => {
  const job = demoBoat('pinnock', 'Too far');
  const far = {
    ...firstCircuit(job),
    legs: { sourceToPanel: { lengthM: 60 }, panelToBilge: { lengthM: 60 }, bilgeToNegative: { lengthM: 60 } },
    pump: { currentA: 95 },
  };
  await addBoat(request, { ...job, circuits: [far] });
  await open(page, placesOf(job).size, 'Bilge pump');
  await expect(
    page.getByText(
      /No size in the AWG table satisfies this circuit, not even 2\/0 AWG\. The drop is \d+\.\d\d times what is allowed: shorten/,
    ),
  ).toBeVisible();
});

test('a circuit is surveyed and sized by touch alone, without the keyboard, in five taps', async ({
  page,
  request,
}) => {
  const job = demoBoat('pinnock', 'Touched');
  const [first] = job.circuits;
  if (!first) throw new Error('no circuit');
  const open0 = { sourceToPanel: {}, panelToBilge: {}, bilgeToNegative: {} };
  const { choices: _choices, note: _note, ...rest } = first;
  await addBoat(request, { ...job, circuits: [{ ...rest, legs: open0, pump: {} }] });
  await open(page, placesOf(job).survey, 'Bilge pump');
  const tap = async (name: string, role: 'button' | 'radio' = 'button') => {
    await page.getByRole(role, { name, exact: true }).click();
  };
  await tap('Source to panel, one way: 2 m');
  await tap('Panel to bilge, one way: 5 m');
  await tap('Medium, 3000\u00a0L/h', 'radio');
  await tap('Bilge to negative bus, one way: 5 m');
  await tap('See the sizes');
  await expect(page.getByText('12 AWG').filter({ visible: true }).first()).toBeVisible();
  await expect(page.getByText('7.5\u00a0A').filter({ visible: true }).first()).toBeVisible();
});

test('the light’s tap gets its fuse in one tap', async ({ page, request }) => {
  const wren = demoBoat('alder-wren', 'Lit');
  const over = { ...firstCircuit(wren), choices: { protection: { ratingA: 35 } } };
  const job = await addBoat(request, { ...wren, circuits: [over, ...wren.circuits.slice(1)] });
  await open(page, placesOf(job).size, 'Main bilge pump');
  await expect(page.getByText('Light tap: 18 AWG').filter({ visible: true })).toBeVisible();
  await page.getByRole('button', { name: 'Give the tap a 1 A fuse' }).click();
  await expect(page.getByText('Light tap: 18 AWG').filter({ visible: true })).toHaveCount(0);
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.panel?.tapFuseA).toBe(1);
});
