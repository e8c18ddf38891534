import { assess } from '@harbor-latch/core/assess/index';
import { measureOhms, measureVolts, withFaults } from '@harbor-latch/core/circuit/index';
import { pulled, settingOf } from '@harbor-latch/core/prove/ground';
import { HarnessIdentifier, type HarnessReading } from '@harbor-latch/core/trace/harness';
import { Hunt } from '@harbor-latch/core/trace/hunt';
import type { HuntReading } from '@harbor-latch/core/trace/huntReading';
import type { Reading } from '@harbor-latch/core/trace/huntTest';
import { symptomKinds, type SymptomCode } from '@harbor-latch/core/trace/symptoms';
import type { Job } from '@harbor-latch/core/job/index';
import type { Closed } from '@harbor-latch/core/reference/faultShares';
import type { Page } from '@playwright/test';
import { barriers } from '../barriers';
import { expect, test } from '../journey';
import { onDevice } from '../signal';
import { addBoat, demoBoat, open, placesOf } from '../yard';

/** A fault planted in a circuit, and what a hand on the bench reads of it. */
function planted(job: Job, symptom: SymptomCode, fault: string, closed: Closed) {
  const [assessed] = assess(job);
  if (!assessed || assessed.status === 'incomplete') throw new Error('not sized');
  const hunt = new Hunt(assessed, { symptom, closed });
  const at = hunt.model.hypotheses.findIndex(({ id }) => id === fault);
  const truth = hunt.model.hypotheses[at];
  if (!truth) throw new Error(`${fault} does not show ${symptom}.`);
  const netlist = withFaults(hunt.model.ground.netlist, truth.faults);
  const read = (id: string): Reading => {
    const one = hunt.test(id);
    if (!one) throw new Error(id);
    const { between, reads, set } = one.test;
    // A meter on the circuit as it is; what is seen and felt is what the fault shows.
    if (!between || truth.water !== null) return one.readings[at] ?? '';
    const probes = { red: between[0], black: between[1] };
    const stands = pulled(netlist, set.fusesOut);
    if (reads.kind === 'volts') return measureVolts(stands, settingOf(set), probes);
    const ohms = measureOhms(stands, settingOf(set), probes);
    return ohms.kind === 'ohms' ? ohms.ohm : ohms.kind;
  };
  return { hunt, truth, read };
}

const shown = (page: Page, text: string | RegExp) => page.getByText(text).filter({ visible: true });

/** Hunts on the page until it names a repair; answers as the bench reads. */
async function huntOn(page: Page, { hunt, read }: ReturnType<typeof planted>, symptom: SymptomCode) {
  await page.getByRole('button', { name: symptomKinds[symptom].text, exact: true }).click();
  const readings: HuntReading[] = [];
  const done = page.getByRole('button', { name: 'Done: it works again' });
  for (let step = 0; step < 15; step += 1) {
    const state = hunt.after(readings);
    const [next] = state.next;
    if (state.settled || !next) break;
    const { test: asked, classes } = next.predicted;
    await expect(page.getByRole('heading', { level: 2, name: asked.text })).toBeVisible();
    const value = read(asked.id);
    const answer = classes.find(({ said, low, high }) =>
      typeof value === 'string'
        ? said === value
        : low !== null && high !== null && value >= low - 0.02 && value <= high + 0.02,
    );
    if (!answer) throw new Error(`${asked.id} reads ${value}`);
    await page
      .getByRole('button', { name: new RegExp(`^${answer.words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}\\.`) })
      .click();
    const taken = answer.said ?? Number((((answer.low ?? 0) + (answer.high ?? 0)) / 2).toFixed(2));
    readings.push({ kind: 'read', test: asked.id, value: taken });
  }
  await expect(done).toBeVisible();
  return { readings, done };
}

test('three planted faults are found on a phone, one of them without a signal, each cheaper than from the source outward', async ({
  phone: { signal, device },
  request,
}) => {
  test.setTimeout(300_000);
  const page = await device.newPage();
  // What a hunt of the yard found makes it likelier in the next.
  let closed: Closed = {};
  for (const [index, [symptom, fault]] of (
    [
      ['auto-dead', 'way-off@joint-float.cable'],
      ['no-water', 'blocked'],
      ['weak', 'corroded@joint-negative=5'],
    ] as const
  ).entries()) {
    const job = await addBoat(request, demoBoat('alder-wren', `Hunted ${index}`));
    const there = planted(job, symptom, fault, closed);
    const { expectedMinutes, textbookMinutes } = there.hunt.after([]);
    expect(expectedMinutes).toBeLessThan(textbookMinutes);
    await open(page, `${signal.address}${placesOf(job).trace}`, 'Main bilge pump');
    if (index === 2) {
      await onDevice(page);
      await page.reload();
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await signal.cut();
    }
    const { readings, done } = await huntOn(page, there, symptom);
    await expect(page.getByRole('heading', { level: 2, name: there.truth.repair.words })).toBeVisible();
    // A reading taken back is as if it had not been, and it comes again.
    if (index === 0) {
      await page.getByRole('button', { name: new RegExp(`^Read so far: ${readings.length} reading`) }).click();
      await page
        .getByRole('button', { name: /^Take back: / })
        .last()
        .click();
      const { next } = there.hunt.after(readings.slice(0, -1));
      await expect(page.getByRole('heading', { level: 2, name: next[0]?.predicted.test.text ?? '' })).toBeVisible();
      expect(await barriers(page)).toEqual([]);
      await page.getByRole('button', { name: 'End this hunt' }).click();
      await expect(shown(page, 'What does it do?')).toBeVisible();
      continue;
    }
    await done.click();
    await expect(shown(page, /^Mended/).first()).toBeVisible();
    await expect(shown(page, 'What does it do?')).toBeVisible();
    closed = { ...closed, [there.truth.group]: 1 };
  }
});

test('wires that nobody knows are told apart by ohms, and written into the log', async ({ page, request }) => {
  const job = await addBoat(request, demoBoat('alder-wren', 'Unknown wires'));
  const [assessed] = assess(job);
  if (!assessed || assessed.status === 'incomplete') throw new Error('not sized');
  // The wires lie as auto, negative, manual: ohms between two of them as the meter would read.
  const truth = ['auto', 'negative', 'manual'];
  const identifier = new HarnessIdentifier(assessed, truth.length);
  const words = { beeps: 'Near nothing, it beeps', some: 'Some ohms, as of a motor', none: 'Nothing, open' } as const;
  await open(page, placesOf(job).trace, 'Main bilge pump');
  await page.getByRole('button', { name: /^Wires that nobody knows/ }).click();
  const readings: HarnessReading[] = [];
  let found = identifier.after(readings);
  while (found.kind === 'asking') {
    const { question } = found;
    const pair = [truth[question.a], truth[question.b]].sort().join();
    const float = question.lifted === 'up';
    const reads = pair === 'manual,negative' ? 'some' : !float ? 'none' : pair === 'auto,manual' ? 'beeps' : 'some';
    await expect(
      page.getByText(
        `${float ? 'Float lifted' : 'Float down'}. One probe on wire ${question.a + 1}, the other on wire ${question.b + 1}.`,
      ),
    ).toBeVisible();
    await page.getByRole('button', { name: words[reads], exact: true }).click();
    readings.push({ ...question, reads });
    found = identifier.after(readings);
  }
  expect(found.kind).toBe('found');
  await expect(page.getByText('Wire 1', { exact: true })).toBeVisible();
  await expect(page.getByText('Label both ends “Auto positive”', { exact: false })).toBeVisible();
  expect(await barriers(page)).toEqual([]);
  // What was read stays while the page is away.
  await page.reload();
  await page.getByRole('button', { name: /^Wires that nobody knows: \d readings/ }).click();
  await page.getByRole('button', { name: 'Write it into the log' }).click();
  // Said only once the entry is kept on the device.
  await expect(page.getByText('In the log', { exact: true })).toBeVisible();
  await open(page, `/boat/${job.boat.id}/log`, 'Log');
  await expect(
    page.getByText('Wires told apart: wire 1 is Auto positive, wire 2 is Negative, wire 3 is Manual positive.'),
  ).toBeVisible();
});
