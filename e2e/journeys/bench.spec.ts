import { readFileSync } from 'node:fs';
import { schemeKeys } from '@harbor-latch/core/schemes/index';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import type { Page } from '@playwright/test';
import { expect, test } from '../journey';
import { addBoat, demoBoat, firstCircuit, goTo, open, placesOf, storedBoat, unfold } from '../yard';

const radio = (page: Page, name: string) => page.getByRole('radio', { name, exact: true });
const told = (page: Page, words: string) => expect(page.getByText(words)).toBeVisible();

/** Alder Wren with its circuit changed. */
function benchBoat(name: string, change: Partial<Circuit> = {}): Job {
  const job = demoBoat('alder-wren', name);
  return { ...job, circuits: [{ ...firstCircuit(job), ...change }] };
}

test('switch, water and fuse are worked by touch, what is flipped is in sight, and the circuit says what it does', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, benchBoat('Worked', { manual: 'latching' }));
  await open(page, placesOf(job).bench, 'Main bilge pump');
  await told(page, 'Pump standing. Running light dark.');
  await expect(page.getByText(/pull the fuse and prove dead before you work/).filter({ visible: true })).toBeVisible();
  const float = page.locator('svg').getByRole('radio', { name: /^Float.*in the bilge/ });
  await expect(float).not.toBeInViewport();
  await radio(page, 'High').click();
  await expect(float).toBeInViewport();
  await told(page, 'Pump standing. Running light dark.');
  await radio(page, 'Auto').click();
  await expect(page.locator('svg').getByRole('radio', { name: /^common.*in the panel/ })).toBeInViewport();
  await told(page, 'Pump running. Running light lit.');
  await expect(page.getByText('11.80\u00a0V').first()).toBeVisible();
  await page.getByRole('button', { name: 'Fuses and isolators: All in and on' }).click();
  await radio(page, 'Pulled').click();
  await told(page, 'Pump standing. Running light dark.');
  await page.getByRole('button', { name: 'Undo on the bench' }).click();
  await told(page, 'Pump running. Running light lit.');
});

test('a manual that springs back runs only while it is held, by pointer and by key; arrow keys work the switch and go through the drawing', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, benchBoat('Held', { manual: 'momentary' }));
  await open(page, placesOf(job).bench, 'Main bilge pump');
  const manual = page.getByRole('radio', { name: 'Manual, hold' });
  await manual.hover();
  await page.mouse.down();
  await told(page, 'Pump running. Running light lit.');
  await page.mouse.up();
  await told(page, 'Pump standing. Running light dark.');

  await radio(page, 'Off').focus();
  await page.keyboard.press('ArrowRight');
  const auto = radio(page, 'Auto');
  await expect(auto).toBeFocused();
  await expect(auto).toHaveAttribute('aria-checked', 'true');
  // The position that springs back is reached, and runs only while a key is held.
  await page.keyboard.press('ArrowRight');
  await expect(manual).toBeFocused();
  await expect(manual).toHaveAttribute('aria-checked', 'false');
  await page.keyboard.down(' ');
  await told(page, 'Pump running. Running light lit.');
  await page.keyboard.up(' ');
  await told(page, 'Pump standing. Running light dark.');

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

test('two probes are placed in the drawing, and ohms are refused while it is live', async ({ page, request }) => {
  const job = await addBoat(request, benchBoat('Metered'));
  await open(page, placesOf(job).bench, 'Main bilge pump');
  await page.getByRole('tab', { name: 'Meter' }).click();
  const common = page.getByRole('radio', { name: /^Manual \/ off \/ auto, common/ });
  await common.click();
  await expect(common).toHaveAttribute('aria-checked', 'true');
  await told(page, '12.70\u00a0V');
  await radio(page, 'Test lamp').click();
  await expect(page.getByText('Lit', { exact: true })).toBeVisible();
  await radio(page, 'Ohms').click();
  await expect(page.getByText(/Pull the fuse, prove it dead/)).toBeVisible();
  await page.getByRole('tab', { name: 'Try' }).click();
  await page.getByRole('button', { name: 'Fuses and isolators: All in and on' }).click();
  await radio(page, 'Pulled').click();
  await page.getByRole('tab', { name: 'Meter' }).click();
  const manual = page.getByRole('radio', { name: /^Manual \/ off \/ auto, manual/ });
  await manual.focus();
  await page.keyboard.press('Enter');
  // Winding 0.522 Ω and the conductors of the manual way.
  await expect(page.getByText(/^56\d\u00a0mΩ$/)).toBeVisible();
});

test('a planted fault shows in the drawing and the table, and is mended; the table is compared, printed and exported', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, benchBoat('Tabled'));
  await open(page, placesOf(job).bench, 'Main bilge pump');
  await page.getByRole('tab', { name: 'Faults' }).click();
  await radio(page, 'Float stuck down').click();
  await radio(page, 'Float').click();
  await expect(page.getByText('Float: stuck down').first()).toBeVisible();
  await page.getByRole('tab', { name: 'Table' }).click();
  await expect(
    page.getByText(/^Every setting solved as it stands on the bench: \d of \d otherwise than planned\.$/),
  ).toBeVisible();
  await expect(page.getByText('running', { exact: false }).filter({ visible: true })).not.toHaveCount(0);
  await page.getByRole('tab', { name: 'Faults' }).click();
  await page.getByRole('button', { name: 'Mend: Float: stuck down' }).click();
  await told(page, 'Nothing is broken. Choose a fault, then where it sits; the bench shows what it does.');

  await page.evaluate(() => {
    const printed: string[] = [];
    Object.assign(window, { printed });
    new MutationObserver((changes) => {
      for (const { addedNodes } of changes)
        for (const node of addedNodes)
          if (node instanceof HTMLIFrameElement && node.contentWindow) {
            const frame = node.contentWindow;
            frame.print = () => printed.push(frame.document.body.textContent ?? '');
          }
    }).observe(document.body, { childList: true });
    const { append } = Element.prototype;
    Element.prototype.append = function (...nodes) {
      append.apply(this, nodes);
      for (const node of nodes)
        if (node instanceof HTMLIFrameElement && node.contentWindow) {
          const frame = node.contentWindow;
          frame.print = () => printed.push(frame.document.body.textContent ?? '');
        }
    };
  });
  await page.getByRole('tab', { name: 'Table' }).click();
  await page.getByRole('button', { name: 'Compare with what I expect' }).click();
  const row = page.getByRole('radiogroup', { name: 'What I expect with Auto, float up' });
  await row.getByRole('radio', { name: 'Stands' }).click();
  await told(page, '1 of 1 compared is not as you expect.');
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.expects)
    .toEqual({ 'switch=auto float=up': 'stands' });
  await page.getByRole('button', { name: 'Print' }).click();
  const printed = await page.evaluate(() => (window as unknown as { printed: string[] }).printed.join());
  expect(printed).toContain('Tabled, Main bilge pump, truth table');
  expect(printed).toContain('Auto, float uprunning');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as CSV' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text.split('\r\n').filter(Boolean)).toHaveLength(7);
  expect(text).toContain('"Auto, float up",running');
});

test(
  'a conductor is moved in the drawing, the findings follow, and it goes back to plan',
  { tag: '@wide' },
  async ({ page, request }) => {
    const job = await addBoat(request, benchBoat('Rewired'));
    await open(page, placesOf(job).bench, 'Main bilge pump');
    await page.getByRole('tab', { name: 'Rewire' }).click();
    await radio(page, 'Auto positive').click();
    await page.getByRole('button', { name: 'Move its start' }).click();
    await page
      .locator('svg')
      .getByRole('radio', { name: /^Manual \/ off \/ auto, common/ })
      .click();
    await expect(
      page.getByText(/^Auto positive: moved from Manual \/ off \/ auto, auto to Manual \/ off \/ auto, common\.$/),
    ).toBeVisible();
    await goTo(page, 'Size');
    await expect(page.getByText(/off does not isolate it/)).toBeVisible();
    await page.getByRole('tab', { name: 'Bench' }).click();
    await page.getByRole('tab', { name: 'Rewire' }).click();
    await page.getByRole('button', { name: 'Back to plan' }).click();
    await told(page, 'Wired as planned.');
    await expect.poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.rewired).toBeUndefined();
  },
);

test('every scheme is drawn and solved on the bench', async ({ page, request }) => {
  test.setTimeout(240_000);
  const job = await addBoat(request, benchBoat('Schemes'));
  const { boat } = placesOf(job);
  const plain = firstCircuit(job);
  const every: Job = {
    ...job,
    circuits: schemeKeys.map((scheme) => ({
      ...plain,
      id: scheme,
      name: scheme,
      scheme,
      manual: 'latching',
      panel: {},
      choices: {},
    })),
  };
  const { version } = await storedBoat(request, job.boat.id);
  await request.put(`/api/boats/${job.boat.id}`, { data: every, headers: { 'If-Match': `"${version}"` } });
  await open(page, boat, 'Schemes');
  for (const scheme of schemeKeys) {
    await page
      .getByRole('link', { name: new RegExp(`^Circuit ${scheme}[,:.]`) })
      .filter({ visible: true })
      .click();
    await goTo(page, 'Bench');
    const alone = scheme === 'standalone-alarm';
    if (scheme === 'plain-switch') await radio(page, 'On').click();
    else {
      if (await radio(page, 'Auto').isVisible()) await radio(page, 'Auto').click();
      await radio(page, 'High').click();
    }
    await expect(page.getByText(alone ? /Alarm sounding/ : /Pump running/)).toBeVisible();
    await page.getByRole('tab', { name: 'Table' }).click();
    await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
    await page.goBack();
  }
});

test('the way a circuit is wired is chosen among all schemes, each with when it is used', async ({ page, request }) => {
  const job = await addBoat(request, benchBoat('Choosing'));
  await open(page, placesOf(job).survey, 'Main bilge pump');
  await page.getByRole('button', { name: /^Wired as: Three-way switch with separate float/ }).click();
  await expect(page.getByRole('radiogroup', { name: 'Wired as' }).getByRole('radio')).toHaveCount(schemeKeys.length);
  await page.getByRole('radio', { name: 'Three-way switch and float through a relay' }).click();
  await unfold(page, 'Panel');
  await expect(page.getByText('Across the coil')).toBeVisible();
  await expect.poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.scheme).toBe('relay');
});
