import type { Page } from '@playwright/test';
import type { Job } from '@harbor-latch/core/job/index';
import { expect, test } from '../journey';
import { addBoat, demoBoat, firstCircuit, open, placesOf, storedBoat } from '../yard';

const radio = (page: Page, name: string) => page.getByRole('radio', { name, exact: true });
const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true });
const told = (page: Page, words: string | RegExp) =>
  expect(page.getByText(words).filter({ visible: true }).first()).toBeVisible();
const floatOf = async (request: Parameters<typeof storedBoat>[0], job: Job) =>
  (await storedBoat(request, job.boat.id)).job.circuits[0]?.water?.float;

test('a float too deep under way is raised in one touch, and the finding is gone', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Raised'));
  await open(page, placesOf(job).float, 'Main bilge pump');
  await told(page, /under way the pump sucks air/);
  await page.getByRole('button', { name: /^Raise the float by 21/ }).click();
  await expect(page.getByText(/never stops, and flattens/)).toHaveCount(0);
  await told(page, 'Best height of its base: 31\u00a0mm');
  await expect.poll(async () => (await floatOf(request, job))?.zM).toBe(0.031);
});

test(
  'a float is dragged in the section, and moved by the arrow keys to the millimetre',
  { tag: '@wide' },
  async ({ page, request }) => {
    const job = await addBoat(request, demoBoat('alder-wren', 'Dragged'));
    await open(page, placesOf(job).float, 'Main bilge pump');
    const float = page.getByRole('slider', { name: /^First float/ });
    const box = await float.boundingBox();
    if (!box) throw new Error('The float is not drawn.');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 10, y - 6, { steps: 4 });
    await page.mouse.move(x + 20, y - 12, { steps: 4 });
    // The shape goes with its handle, and both stay where they were put: they are looked at in every frame.
    await page.evaluate(() => {
      const handle = [...document.querySelectorAll('[role=slider]')].find(
        (one) => one.ariaLabel?.startsWith('First float') && one.checkVisibility(),
      );
      const shape = [...(handle?.parentElement?.querySelectorAll('[data-piece]') ?? [])].at(-1);
      const tops: (readonly [number, number])[] = [];
      Object.assign(window, { tops });
      const note = () => {
        if (handle && shape) tops.push([handle.getBoundingClientRect().top, shape.getBoundingClientRect().top]);
        if (tops.length < 90) requestAnimationFrame(note);
      };
      note();
    });
    await page.mouse.move(x + 20, y - 42, { steps: 6 });
    await page.mouse.up();
    const tops = () => page.evaluate(() => (window as unknown as { tops: [number, number][] }).tops);
    await expect.poll(async () => (await tops()).length).toBe(90);
    const apart = (await tops()).map(([handle, shape]) => Math.round(shape - handle));
    expect(Math.max(...apart) - Math.min(...apart)).toBeLessThanOrEqual(6);
    const handleTops = (await tops()).map(([handle]) => handle);
    const highest = handleTops.indexOf(Math.min(...handleTops));
    expect(Math.max(...handleTops.slice(highest))).toBeLessThan(box.y - 20);
    await expect.poll(async () => (await floatOf(request, job))?.zM ?? 0).toBeGreaterThan(0.015);
    const dragged = await floatOf(request, job);
    expect(dragged?.xM ?? 0).toBeGreaterThan(-0.45);
    await float.focus();
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('ArrowUp');
    await expect
      .poll(async () => Math.round(1000 * ((await floatOf(request, job))?.zM ?? 0)))
      .toBe(Math.round(1000 * (dragged?.zM ?? 0)) + 2);
    await page.getByRole('button', { name: 'Undo the last change' }).click();
    await expect
      .poll(async () => Math.round(1000 * ((await floatOf(request, job))?.zM ?? 0)))
      .toBe(Math.round(1000 * (dragged?.zM ?? 0)) + 1);
  },
);

test('the section is cut across and shown closer; a run is played and its water caught; a long task is cancelled', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('low-samphire', 'Played'));
  await open(page, placesOf(job).float, 'Engine well, primary');
  await expect(page.getByRole('img', { name: /Engine well, cut along, At rest\. Water 6\d mm/ })).toBeVisible();
  await radio(page, 'Across').click();
  await radio(page, 'At the limit').click();
  await expect(page.getByRole('img', { name: /cut across, At rest\. Water 418 mm/ })).toBeVisible();
  await page.getByRole('button', { name: 'Larger' }).click();
  await radio(page, 'Backup float').click();
  await told(page, /Not above 267\u00a0mm/);
  await radio(page, 'Along').click();

  await tab(page, 'Cycle').click();
  await radio(page, 'Hauling to port').click();
  // The run of the pose before goes with its pose.
  await expect(page.getByRole('img', { name: /cut along, Hauling to port/ })).toBeVisible();
  const time = page.getByRole('slider', { name: 'Time in the run' });
  await expect(time).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Play' }).click();
  await expect
    .poll(async () => Number(await time.getAttribute('aria-valuenow')), { timeout: 15_000 })
    .toBeGreaterThan(3000);
  await page.getByRole('button', { name: 'Pause' }).click();
  await told(page, /battery at \d+ %/);
  await time.focus();
  await page.keyboard.press('ArrowRight');
  await radio(page, 'Float stuck down').click();
  await told(page, /0 starts/);

  await tab(page, 'Runs').click();
  await radio(page, '30 days').click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await told(page, 'Runs was cancelled.');
  await page.getByRole('button', { name: 'Begin again' }).click();
  await expect(page.getByRole('progressbar').or(page.getByText('Glands and deck leaks')).first()).toBeVisible();
});

test('hose and cable stand side by side and a choice is taken; every pose with every ingress is run, kept, and put beside another hose', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Weekend'));
  const boreM = async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.water?.hose?.boreM;
  await open(page, placesOf(job).float, 'Bilge pump');
  await tab(page, 'Hose').click();
  await told(page, '570\u00a0L/h');
  await told(page, /factor 0\.\d+ \(Colebrook/);
  await page.getByRole('button', { name: 'Take: Hose 16 mm' }).click();
  await told(page, '841\u00a0L/h');
  await expect.poll(boreM).toBe(0.016);
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await told(page, '570\u00a0L/h');
  await expect.poll(boreM).toBe(firstCircuit(job).water?.hose?.boreM);

  await tab(page, 'Runs').click();
  await expect(page.getByText(/Starting battery, full on Friday evening/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Keep to compare' }).click();
  await page.getByRole('button', { name: 'Use smooth hose of the same bore' }).click();
  await expect(page.getByText(/2\.2\u00a0days → 3\.0\u00a0days/).first()).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/Starting battery, full on Friday/)).toHaveCount(0);
  await page
    .getByRole('button', { name: /^On the mooring/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'How sure are the days?' }).click();
  await expect(page.getByText(/nine times in ten/)).toBeVisible({ timeout: 40_000 });
});

test('a boat without wells begins with typical figures, each marked as a guess', async ({ page, request }) => {
  const { wells: _wells, poses: _poses, ingress: _ingress, ...dry } = demoBoat('alder-wren', 'Begun');
  const { water: _water, ...circuit } = firstCircuit(dry);
  const job = await addBoat(request, { ...dry, circuits: [circuit] });
  await open(page, placesOf(job).float, 'Main bilge pump');
  await page.getByRole('button', { name: 'Begin with typical figures' }).click();
  await told(page, 'Still estimates: the well, the poses, the hose.');
  await told(page, /Best height of its base/);
  await page.getByRole('button', { name: 'Back', exact: true }).filter({ visible: true }).click();
  await page.getByRole('button', { name: /^Bilge: V, .* estimate$/ }).click();
  await page.getByRole('button', { name: 'These are measured now' }).first().click();
  await expect(page.getByRole('button', { name: /^Bilge: V, .* long$/ })).toBeVisible();
});

test('what cannot be is refused where it was typed, and the rest still answers', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Typed wrong'));
  await open(page, placesOf(job).boat, 'Typed wrong');
  await page.getByRole('button', { name: /^Well under the engine/ }).click();
  const fore = page.getByRole('textbox', { name: /^Fore end/ });
  await fore.fill('-1200');
  await expect(page.getByText(/A well has a length/)).toBeVisible();
  await page.goto(placesOf(job).float);
  await told(page, /under way the pump sucks air/);
  await page.goto(placesOf(job).boat);
  await page.getByRole('button', { name: /^Well under the engine/ }).click();
  await expect(page.getByRole('textbox', { name: /^Fore end/ })).toHaveValue('-1200');
});
