import { spawnSync } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { assess } from '@harbor-latch/core/assess/index';
import type { Job } from '@harbor-latch/core/job/index';
import { proveTests } from '@harbor-latch/core/prove/proveTests';
import type { ProvePhase, ProveTest, ReadBattery } from '@harbor-latch/core/prove/proveTest';
import { barriers } from '../barriers';
import { expect, newWindow, test } from '../journey';
import { onDevice } from '../signal';
import { addBoat, demoBoat, firstCircuit, open, placesOf, storedBoat } from '../yard';

const shown = (page: Page, text: string | RegExp) => page.getByText(text).filter({ visible: true });
const key = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).filter({ visible: true });

/** A boat whose one circuit has nothing to be accepted but what her findings say. */
const tern = (name: string): Job => demoBoat('alder-wren', name);

function testsOf(job: Job, phase: ProvePhase, battery: ReadBattery = {}): readonly ProveTest[] {
  const [one] = assess(job);
  if (!one || one.status === 'incomplete') throw new Error('not sized');
  return proveTests(one, { phase, battery });
}

/** Types a figure on the pad and takes it. @returns how many touches that took */
async function type(page: Page, figure: string): Promise<number> {
  for (const digit of figure) await key(page, digit === '.' ? 'point' : digit === '-' ? 'minus' : digit).click();
  await key(page, 'Take it').click();
  return figure.length + 1;
}

/** Answers the test that is shown as it should be. @returns how many touches that took */
async function answer(page: Page, { expect: wanted }: ProveTest): Promise<number> {
  if (!('state' in wanted)) {
    let taps = 0;
    if (wanted.unit === 'L/h') {
      await page.getByRole('radio', { name: 'L/h', exact: true }).filter({ visible: true }).click();
      taps += 1;
    }
    return taps + (await type(page, wanted.nominal.toFixed(wanted.unit === 'L/h' ? 0 : 2).replace('-0.00', '0')));
  }
  const [only] = wanted.of;
  if (wanted.of.length === 1 && only) {
    await page.getByRole('button', { name: only.expected, exact: true }).filter({ visible: true }).click();
    return 1;
  }
  for (const { name, expected } of wanted.of)
    await page
      .getByRole('radiogroup', { name, exact: true })
      .filter({ visible: true })
      .getByRole('radio', { name: expected, exact: true })
      .click();
  await page.getByRole('button', { name: 'Take it' }).filter({ visible: true }).click();
  return wanted.of.length + 1;
}

/** How far down an element begins, px. */
const topOf = (element: Element) => Math.round(element.getBoundingClientRect().top);

/** Works down a phase, each test as it comes; once the first reading is said, `afterFirst` is done. */
async function proveAll(
  page: Page,
  job: Job,
  phase: ProvePhase,
  afterFirst: () => Promise<void> = () => Promise.resolve(),
): Promise<number> {
  const needed = testsOf(job, phase).filter((one) => one.needed);
  let taps = 0;
  for (const [at, one] of needed.entries()) {
    await expect(shown(page, new RegExp(`^${at + 1} of ${needed.length} ·`))).toBeVisible();
    await expect(page.getByRole('heading', { level: 2, name: one.text })).toBeVisible();
    if (at === 1) {
      await expect(shown(page, /^As expected/)).toBeVisible();
      await afterFirst();
    }
    taps += await answer(page, one);
  }
  return taps;
}

test('a circuit is proved from the bench to the signature without a signal, its record is checked by command, and a changed cable makes some of it due again', async ({
  phone: { signal, device },
  request,
}) => {
  test.setTimeout(300_000);
  const job = await addBoat(request, tern('Proved in the bilge'));
  const { prove } = placesOf(job);
  const page = await device.newPage();
  await open(page, signal.address + prove, 'Main bilge pump');
  await onDevice(page);
  await expect(shown(page, 'Once it is in the boat')).toBeVisible();
  await page.waitForTimeout(4000);
  await signal.cut();

  let taps = 3;
  await page.getByRole('radio', { name: 'On the bench' }).click();
  await expect(shown(page, 'Before anything is in the bilge')).toBeVisible();
  await key(page, 'Begin').click();
  // What was read is said in room that was there: an answer that moved under a finger would be another.
  const top = () => page.getByRole('heading', { level: 2 }).filter({ visible: true }).evaluate(topOf);
  const [look] = testsOf(job, 'bench');
  await expect(page.getByRole('heading', { level: 2, name: look?.text ?? '' })).toBeVisible();
  const before = await top();
  taps += await proveAll(page, job, 'bench', () => expect.poll(top).toBe(before));
  await expect(shown(page, /^Proved$/)).toBeVisible();
  await page.getByLabel('Name', { exact: true }).filter({ visible: true }).fill('Orla');
  const sign = async () => {
    for (const field of await page
      .getByLabel(/^Why it is accepted: /)
      .filter({ visible: true })
      .all()) {
      await field.fill('Told the owner; mended at the next lay-up.');
      taps += 1;
    }
    await key(page, 'Sign: proved').click();
    taps += 2;
  };
  await sign();
  await expect(shown(page, /^Signed by Orla/).first()).toBeVisible();
  await expect(shown(page, 'Not yet in the chain: it waits for a signal.')).toBeVisible();

  await page.getByRole('radio', { name: 'In the boat' }).click();
  await key(page, 'Begin').click();
  // Typed wrong first: asked before it is taken, looked at again, taken back.
  await type(page, '126');
  await expect(shown(page, 'A 12 V circuit shows no 126 V.')).toBeVisible();
  await key(page, 'It shows 126.00 V').click();
  await expect(shown(page, 'Missed')).toBeVisible();
  await key(page, 'Read again').click();
  taps += 2 + (await proveAll(page, job, 'commission'));
  await page.getByLabel('Name', { exact: true }).filter({ visible: true }).fill('Orla');
  await sign();
  await expect(shown(page, /^Signed by Orla/).first()).toBeVisible();
  const fingerprint = ((await shown(page, /^Fingerprint /).textContent()) ?? '').replace(/Fingerprint|\s/g, '');
  expect(fingerprint).toMatch(/^[0-9a-f]{64}$/);
  test.info().annotations.push({ type: 'touches', description: String(taps) });

  const leaving = page.waitForEvent('download');
  await key(page, 'Certificate as PDF').click();
  const pdf = test.info().outputPath('certificate.pdf');
  await (await leaving).saveAs(pdf);
  const text = spawnSync('pdftotext', ['-layout', pdf, '-'], { encoding: 'utf8' }).stdout;
  expect(text).toContain('Signed by Orla');
  expect(text.replace(/\s/g, '')).toContain(fingerprint);
  expect(text).toContain('Not yet in the boat’s chain');

  await signal.mend();
  await expect(shown(page, /^Number \d+ in the boat’s chain\.$/)).toBeVisible({ timeout: 60_000 });
  const bundle = test.info().outputPath('boat.zip');
  const zip = page.waitForEvent('download');
  await page.goto(`${signal.address}/boat/${job.boat.id}/log`);
  await page.getByRole('button', { name: 'Export boat and records as one file' }).click();
  await (await zip).saveAs(bundle);
  const run = spawnSync('npm', ['run', '--silent', 'latch', '--', 'verify', bundle, '--head', fingerprint], {
    encoding: 'utf8',
  });
  expect(JSON.parse(run.stdout)).toMatchObject({ ok: true });
  expect(run.status).toBe(0);

  // Somebody changes a cable.
  const { version, job: now } = await storedBoat(request, job.boat.id);
  const circuit = firstCircuit(now);
  const longer = { ...circuit.legs.panelToBilge, lengthM: (circuit.legs.panelToBilge.lengthM ?? 0) + 3 };
  const changed = { ...now, circuits: [{ ...circuit, legs: { ...circuit.legs, panelToBilge: longer } }] };
  const saved = await request.put(`/api/boats/${job.boat.id}`, {
    data: changed,
    headers: { 'If-Match': `"${version}"` },
  });
  expect(saved.status()).toBe(200);
  await page.goto(signal.address + prove);
  await expect(shown(page, 'Of an earlier wiring')).toBeVisible();
  await expect(shown(page, /tests are due again: something was changed or mended since/)).toBeVisible();
  await expect(shown(page, /volts from the auto post to the manual post/)).toBeVisible();
  await expect(shown(page, /^Fuse out, float lifted: volts from the common post/)).toHaveCount(0);
});

test('two people read one proof on two phones, a miss says what it suggests, and what is left out is not proved', async ({
  context,
  elsewhere,
  request,
  page,
}) => {
  const job = await addBoat(request, tern('Proved by two'));
  const { prove } = placesOf(job);
  const second = await newWindow(context);
  await open(page, prove, 'Main bilge pump');
  await key(page, 'Begin').click();
  await type(page, '12.7');
  await expect(shown(page, 'As expected: 12.70 V')).toBeVisible();
  await open(second, elsewhere + prove, 'Main bilge pump');
  // What the one read the other sees, and goes on.
  await expect(shown(second, /^2 of 32 ·/)).toBeVisible();
  await type(second, '11.9');
  await expect(shown(second, 'Missed')).toBeVisible();
  await expect(shown(second, /It is live from somewhere else/)).toBeVisible();
  await page.getByRole('tab', { name: 'All tests' }).click();
  await expect(
    page.getByRole('button', { name: /the common post to battery negative.* Missed, 11\.90 V$/ }),
  ).toBeVisible();
  await page
    .getByRole('button', { name: /the manual post to battery negative, the lever in every position\. To be done$/ })
    .click();
  await key(page, 'Leave out').click();
  await page.getByLabel('Why').fill('');
  await page.getByRole('button', { name: 'Set' }).click();
  await expect(page.getByText('Write something.')).toBeVisible();
  await page.getByLabel('Why').fill('The panel is sealed');
  await page.getByRole('button', { name: 'Set' }).click();
  await page.getByRole('tab', { name: 'Sign' }).click();
  await expect(shown(page, /1 missed, 1 left out, \d+ to be done\.$/)).toBeVisible();
  await key(page, 'Sign: not proved').click();
  await expect(page.getByRole('alert').filter({ hasText: /Say why this is accepted/ })).toBeVisible();
  for (const tool of ['Test', 'All tests', 'Sign']) {
    await page.getByRole('tab', { name: tool, exact: true }).click();
    expect([tool, await barriers(page)]).toEqual([tool, []]);
  }
});

test('a trip check takes two touches from the yard; counts, repairs and rain go into the log, which goes out as a table', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, tern('Logged'));
  await open(page, '/', 'Yard');
  await page.getByRole('textbox', { name: 'Search the yard' }).fill('Logged');
  await page.getByRole('button', { name: 'Trip check of Logged' }).click();
  await page.getByRole('button', { name: 'Water comes' }).click();
  await expect(shown(page, 'Logged: checked, good')).toBeVisible();
  await open(page, `/boat/${job.boat.id}/log`, 'Log');
  await expect(page.getByRole('button', { name: /Manual for ten seconds, water at the outlet: good/ })).toBeVisible();

  await page.getByRole('button', { name: 'Add an entry' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('radio', { name: 'Run count' }).click();
  await dialog.getByLabel('Starts in all of them').fill('two');
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(dialog.getByRole('alert')).toBeVisible();
  await dialog.getByLabel('Starts in all of them').fill('12');
  await dialog.getByLabel('Minutes it ran in all').fill('9');
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('button', { name: /12 starts in 7 days, 9 min in all/ })).toBeVisible();

  await page.getByRole('button', { name: 'Add an entry' }).click();
  await dialog.getByRole('radio', { name: 'Repair', exact: true }).click();
  await dialog.getByLabel('What was done').fill('New splice at the float');
  await dialog.getByRole('checkbox', { name: 'J1' }).click();
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  const repair = page.getByRole('button', { name: /New splice at the float/ });
  await expect(repair).toBeVisible();
  await repair.click();
  await dialog.getByRole('button', { name: 'It was wrong: take it back' }).click();
  await expect(page.getByRole('button', { name: /New splice at the float, taken back/ })).toBeVisible();

  const leaving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the log as a table' }).click();
  const csv = await readFile(await (await leaving).path(), 'utf8');
  expect(csv).toContain('Number,Made at,By,Circuit,Kind,Entry,Fingerprint');
  expect(csv).toMatch(/12 starts in 7 days/);

  await page.getByRole('tab', { name: 'Due' }).click();
  await page.getByRole('button', { name: /^Bucket, floats, alarm, Main bilge pump: done/ }).click();
  await expect(shown(page, 'Bucket, floats, alarm: done')).toBeVisible();
  for (const tool of ['Log', 'Due', 'Trends']) {
    await page.getByRole('tab', { name: tool, exact: true }).click();
    await page.waitForTimeout(500);
    expect([tool, await barriers(page)]).toEqual([tool, []]);
  }
});

test('the demo’s years show a corroding joint, and the charts open what they are made of @years', async ({ page }) => {
  await open(page, '/', 'Yard');
  await page.getByRole('link', { name: /^Boat Alder Wren/ }).click();
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  await page.getByRole('tab', { name: 'Trends' }).filter({ visible: true }).click();
  await expect(
    shown(page, /Ω more in the auto conductor, the float and their joints than when it was proved/).first(),
  ).toBeVisible();
  await page.getByRole('button', { name: /Added in the auto conductor.*: open the entry of this point/ }).click();
  await expect(page.getByRole('dialog').getByText(/^Fingerprint /)).toBeVisible();
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  expect(await barriers(page)).toEqual([]);
  await page.goto('/due');
  await expect(page.getByRole('heading', { level: 1, name: 'Due' })).toBeVisible();
  await page.getByRole('radio', { name: 'All', exact: true }).click();
  await expect(page.getByRole('link', { name: /Alder Wren, Main bilge pump/ }).first()).toBeVisible();
  expect(await barriers(page)).toEqual([]);
});

test('a page checks a file of records without a server, and names what was altered', async ({ page, request }) => {
  const job = await addBoat(request, tern('Checked by a stranger'));
  await open(page, '/', 'Yard');
  await page.getByRole('textbox', { name: 'Search the yard' }).fill('Checked by a stranger');
  await page.getByRole('button', { name: 'Trip check of Checked by a stranger' }).click();
  await page.getByRole('button', { name: 'Water comes' }).click();
  await expect(shown(page, 'Checked by a stranger: checked, good')).toBeVisible();
  await expect
    .poll(
      async () =>
        ((await (await request.get(`/api/records?boat=${job.boat.id}`)).json()) as { records: object[] }).records
          .length,
    )
    .toBe(1);
  const zip = Buffer.from(await (await request.get(`/api/records/bundle?boat=${job.boat.id}`)).body());
  await open(page, '/check', 'Check records');
  const check = async (bytes: Buffer) => {
    const choosing = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose the file' }).click();
    await (await choosing).setFiles({ name: 'boat.zip', mimeType: 'application/zip', buffer: bytes });
  };
  await check(zip);
  await expect(shown(page, 'As it was written')).toBeVisible();
  await check(Buffer.from(zip.subarray(0, zip.length - 30)));
  await expect(page.getByRole('alert')).toContainText('no bundle of a boat');
  await page.getByLabel('Fingerprint from a certificate').fill('ab'.repeat(32));
  await check(zip);
  await expect(shown(page, 'Not as it was written')).toBeVisible();
  await page.getByLabel('Fingerprint from a certificate').fill('nothing');
  await page.getByRole('button', { name: 'Choose the file' }).click();
  await expect(page.getByRole('alert')).toContainText('64 digits');
  expect(await barriers(page)).toEqual([]);
});
