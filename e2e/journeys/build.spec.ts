import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { barriers } from '../barriers';
import { expect, test } from '../journey';
import { onDevice } from '../signal';
import { addBoat, demoBoat, goTo, open, placesOf, storedBoat } from '../yard';

const tool = (page: Page, name: string) =>
  page.getByRole('tab', { name, exact: true }).filter({ visible: true }).click();
const shown = (page: Page, text: string | RegExp) => page.getByText(text).filter({ visible: true });

test('a circuit is built from the phone: what to cut, how to join, what to buy, one step after the other', async ({
  page,
  request,
}) => {
  const demo = demoBoat('alder-wren', 'To be built');
  const circuits = demo.circuits.map(({ build: _build, steps: _steps, ...circuit }) => circuit);
  const job = await addBoat(request, { ...demo, circuits });
  const { build } = placesOf(job);
  await open(page, build, 'Main bilge pump');

  // 1.05 × 5.5 + 0.3 + 0.45 + 0.1 + 0.05 + 0.1 = 6.775, to the next tenth.
  const manual = page.getByRole('button', { name: /^Manual positive: / });
  await expect(manual).toHaveAccessibleName('Manual positive: 10 AWG, brown, 6.8 m');
  await manual.click();
  await expect(shown(page, 'Up to bench or deck')).toBeVisible();
  await page
    .getByRole('radiogroup', { name: 'Insulation of Manual positive' })
    .getByRole('radio', { name: 'yellow' })
    .click();
  await expect(shown(page, /Yellow is a negative: a positive in it is joined to the bus/)).toBeVisible();
  await page.getByRole('radio', { name: 'Banded brown at both ends' }).click();
  await expect(shown(page, /Yellow is a negative: a positive in it/)).toBeHidden();
  await expect(shown(page, /Manual positive: yellow in place of brown, banded/)).toBeVisible();
  await page.getByLabel('Manual positive as pulled, in m').fill('5.2');
  await expect(shown(page, /5.2 m as pulled is shorter than its route of 5.5 m/)).toBeVisible();
  await page.getByLabel('Manual positive as pulled, in m').fill('6.1');
  await expect(shown(page, /as pulled is shorter/)).toBeHidden();
  const leaving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Cut list as CSV' }).click();
  const csv = await readFile(await (await leaving).path(), 'utf8');
  expect(csv).toContain('"Manual / off / auto, manual"');
  expect(csv.split('\r\n').filter((line) => line.startsWith('Manual positive,'))).toHaveLength(1);

  await tool(page, 'Joints');
  await page
    .getByRole('radiogroup', { name: 'Way of joining', exact: true })
    .getByRole('radio', { name: 'Terminal block or stud' })
    .click();
  await expect(shown(page, /1\.5 mΩ a joint; 15 minutes for all of them/)).toBeVisible();
  await tool(page, 'Parts');
  await expect(shown(page, 'Terminal blocks or studs')).toBeVisible();
  await page.getByRole('button', { name: /^Hole for the skin fitting: / }).click();
  await page.getByLabel('Thread, across, in mm').fill('40');
  await page.getByLabel('Hole, as drilled, in mm').fill('42');
  await expect(shown(page, /A hole of 42.mm is too large for a thread of 40.mm/).first()).toBeVisible();
  await page.getByLabel('Hole, as drilled, in mm').fill('41.2');
  await expect(shown(page, /too large for a thread/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Hole for the skin fitting: Drill 41\.2/ })).toBeVisible();
  await tool(page, 'Cable');
  await page.getByRole('button', { name: /^How it is pulled: / }).click();
  await page.getByRole('button', { name: /^Panel to bilge: / }).click();
  await page.getByRole('textbox', { name: /^Bends, panel to bilge/ }).fill('3');
  await expect(shown(page, /Proposed. The pull goes round 3 bends/)).toBeVisible();

  await tool(page, 'Steps');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(shown(page, /^Next · .* · 1 of 20 done$/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(shown(page, /^Next · .* · 0 of 20 done$/)).toBeVisible();
  for (const done of [1, 2, 3]) {
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(shown(page, new RegExp(`· ${done} of 20 done$`))).toBeVisible();
  }
  // One ahead of its time, and one that is left out: only with a reason.
  await page.getByRole('button', { name: /^Step \d+, Bed the skin fitting/ }).click();
  await page.getByRole('button', { name: /^Done/ }).last().click();
  await expect(shown(page, 'Polyurethane takes a load').first()).toBeVisible();
  await page.getByRole('button', { name: 'Leave it out' }).first().click();
  await page.getByRole('dialog').getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Say why' })).toBeVisible();
  await page.getByLabel('Why').fill('There already');
  await page.getByRole('dialog').getByRole('button', { name: 'Leave it out' }).click();
  await expect(shown(page, 'Left out: There already')).toBeVisible();
  expect(await barriers(page)).toEqual([]);

  await expect
    .poll(async () => Object.keys((await storedBoat(request, job.boat.id)).job.circuits[0]?.steps ?? {}).length)
    .toBe(5);
  const { job: stored } = await storedBoat(request, job.boat.id);
  expect(stored.circuits[0]?.build).toMatchObject({
    school: 'block',
    colours: { manual: { base: 'yellow', banded: true } },
    pulledM: { manual: 6.1 },
  });
  await open(page, build, 'Main bilge pump');
  await tool(page, 'Steps');
  const calendar = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Steps as a calendar' }).click();
  const ics = await readFile(await (await calendar).path(), 'utf8');
  expect(ics.match(/BEGIN:VEVENT/g)?.length).toBeGreaterThan(14);
  expect(ics).toContain('Polyurethane takes a load: over');
  // The clock ran on with the page closed, and what was built counts everywhere.
  await expect(shown(page, /^until .* to go$/)).toBeVisible();
  await goTo(page, 'Size');
  await expect(shown(page, 'yellow').first()).toBeVisible();
});

test('the papers are made on the phone without a signal: searchable, with our own faces, and small', async ({
  phone: { signal, device },
  request,
}) => {
  const demo = demoBoat('low-samphire', '=On “paper” & <b>wet</b>');
  const measured = { outlet: { threadM: 0.0419 }, cutOut: { widthM: 0.12, heightM: 0.08 } };
  const job = await addBoat(request, { ...demo, circuits: demo.circuits.map((one) => ({ ...one, build: measured })) });
  const page = await device.newPage();
  await open(page, `${signal.address}${placesOf(job).build}`, 'Engine well, primary');
  await onDevice(page);
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await signal.cut();
  await tool(page, 'Papers');
  for (const [button, fewest] of [
    ['Job sheet as PDF', 5],
    ['Labels as PDF', 1],
    ['Cut-outs at full size as PDF', 1],
  ] as const) {
    const leaving = page.waitForEvent('download');
    await page.getByRole('button', { name: button }).click();
    const bytes = await readFile(await (await leaving).path());
    const text = bytes.toString('latin1');
    expect(text.startsWith('%PDF-1.')).toBe(true);
    expect(bytes.length).toBeLessThan(300 * 1024);
    expect(text.match(/\/Type \/Page\b/g)?.length).toBeGreaterThanOrEqual(fewest);
    // Our faces are in it, with what a reader needs to find words.
    expect(text).toMatch(/\/BaseFont \/[A-Z]{6}\+AtkinsonHyperlegible/);
    expect(text).toContain('/ToUnicode');
  }
});

test('posts without print are found by one touch of the meter after the other, and are called so from then on', async ({
  page,
  request,
}) => {
  const demo = demoBoat('alder-wren', 'Bare posts');
  const job = await addBoat(request, {
    ...demo,
    circuits: demo.circuits.map(({ panel: { outline: _outline, ...panel } = {}, ...circuit }) => ({
      ...circuit,
      panel,
    })),
  });
  const { build } = placesOf(job);
  await open(page, build, 'Main bilge pump');
  await tool(page, 'Posts');
  for (const count of [1, 2, 3]) {
    await page.getByRole('button', { name: 'Add a post' }).click();
    await expect(page.getByRole('button', { name: new RegExp(`^post ${count}\\. Arrow`) })).toBeVisible();
  }
  // A post is moved by the keyboard, named, and named too long.
  await page.getByRole('button', { name: /^post 3\. Arrow/ }).press('ArrowDown');
  await page.getByRole('button', { name: 'What is printed' }).click();
  await page.getByLabel('What is printed at it').fill('a name that is much too long for a post');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'At most 20' })).toBeVisible();
  await page.getByLabel('What is printed at it').fill('A');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(shown(page, 'Printed: A')).toBeVisible();

  // The panel is wired so: 1 auto, 2 common, 3 manual.
  const roles = ['', 'auto', 'common', 'manual'];
  const found = page.getByRole('button', { name: 'Call them so everywhere' });
  for (let asked = 0; asked < 3; asked += 1) {
    const question = shown(page, /^Lever at/);
    // The next one is worked out beside the page.
    await expect(question.or(found).first()).toBeVisible();
    if (await found.isVisible()) break;
    const told = (await question.textContent()) ?? '';
    const [, lever, one, other] =
      /^Lever at (\w+)\. One probe on post (\d)[^,]*, the other on post (\d)/.exec(told) ?? [];
    const pair = [roles[Number(one)], roles[Number(other)]];
    const joined = pair.includes('common') && pair.includes(lever);
    await page.getByRole('button', { name: joined ? 'Near nothing, it beeps' : 'Nothing, open' }).click();
    await expect(question.filter({ hasText: told })).toHaveCount(0);
  }
  await found.click();
  await expect(shown(page, 'Every drawing, list and label calls them so.')).toBeVisible();
  expect(await barriers(page)).toEqual([]);
  await tool(page, 'Cable');
  await expect(shown(page, /post 2/).first()).toBeVisible();
  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.circuits[0]?.panel?.posts)
    .toEqual({ 'switch.auto': '1', 'switch.common': '2', 'switch.manual': 'A' });

  // A reading that no sound switch gives is told, and taken back.
  await tool(page, 'Posts');
  await page.getByRole('button', { name: /^Take the last of/ }).click();
  await page.getByRole('button', { name: 'Some ohms, as of a lamp' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'No sound switch reads so' })).toBeVisible();
  await page.getByRole('button', { name: /^Take the last of/ }).click();
  await expect(shown(page, /^Lever at/)).toBeVisible();
});
