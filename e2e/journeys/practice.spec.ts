import { assess } from '@harbor-latch/core/assess/index';
import { buildDrill } from '@harbor-latch/core/trace/buildDrill';
import { drillSolution, type DrillLevel } from '@harbor-latch/core/trace/drill';
import { Practice } from '@harbor-latch/core/trace/practice';
import { barriers } from '../barriers';
import { expect, test } from '../journey';
import { open } from '../yard';

// The lightest and the hardest: what is between is played likewise.
for (const level of [1, 4] as const satisfies readonly DrillLevel[])
  test(`a boat of level ${level} is played: a test is done, the repair named and proved, and the best hunt shown`, async ({
    page,
  }) => {
    const seed = 40 + level;
    const solution = drillSolution(seed, level);
    const { boat } = new Practice(seed, level);
    await open(page, `/practice?seed=${seed}&level=${level}`, 'Practice');
    await expect(page.getByRole('heading', { level: 2, name: boat.symptom })).toBeVisible();
    const look = boat.tests.find(({ place, instrument }) => place === 'panel' && instrument === 'eyes and ears');
    if (look) {
      await page.getByRole('radio', { name: 'Look, listen', exact: true }).click();
      await page.getByRole('button', { name: look.text, exact: true }).click();
      await expect(page.getByRole('status').filter({ hasText: look.text })).toBeVisible();
    }
    expect(await barriers(page)).toEqual([]);
    await page.getByRole('button', { name: 'Name the repair' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('radio', { name: solution.repair, exact: true }).first().click();
    for (const proof of [
      'The test that failed, done again',
      'Real water on auto, until it stops by itself',
      /^Written down/,
    ])
      await dialog.getByRole('checkbox', { name: proof }).click();
    await dialog.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(page.getByText(/of 100 points/)).toBeVisible();
    await expect(page.getByRole('heading', { level: 2, name: solution.words })).toBeVisible();
    expect(await barriers(page)).toEqual([]);
    await expect(page.getByRole('heading', { level: 2, name: 'Step by step' })).toBeVisible({
      visible: look !== undefined,
    });
    await page.goto('/practice');
    // Whoever has no name is one of those who practised.
    await expect(
      page.getByRole('button', { name: /^Without a name: \d+ boats?, \d+ points on average$/ }),
    ).toBeVisible();
    await expect(page.getByText(result(seed, level))).toBeVisible();
  });

/** The kind of fault that a drill hides, in words. */
const result = (seed: number, level: DrillLevel) =>
  new Practice(seed, level).result('', {
    minutes: 0,
    boughtInVain: 0,
    proved: { again: false, water: false, recorded: false },
    unsafe: false,
  }).kind;

test('a bare panel is wired end by end, judged by what runs and lights, and put right', async ({ page }) => {
  const drill = buildDrill(12);
  const [assessed] = assess(drill.job);
  if (!assessed || assessed.status === 'incomplete') throw new Error('not sized');
  const right = drill.ends.map(({ key, words, colour, conductor, side }) => {
    const at = assessed.plan.conductors.find(({ id }) => id === conductor)?.[side];
    const post = drill.posts.find(({ id }) => id === `${at?.part}.${at?.terminal}`);
    return { key, label: `${words}, ${colour}`, post: post?.words ?? '' };
  });
  const put = (label: string, post: string) =>
    page.getByRole('radiogroup', { name: label, exact: true }).getByRole('radio', { name: post, exact: true }).click();
  await open(page, '/practice?bare=12', 'A bare panel');
  for (const { label, post } of right) await put(label, post);
  const manual = right.find(({ key }) => key === 'manual from');
  const auto = right.find(({ key }) => key === 'auto from');
  if (!manual || !auto) throw new Error('no ends');
  await put(manual.label, auto.post);
  await put(auto.label, manual.post);
  await page.getByRole('button', { name: 'Put the fuse in' }).click();
  await expect(page.getByText('33 of 100 points')).toBeInViewport();
  await expect(page.getByText(/^It should be: /).first()).toBeVisible();
  expect(await barriers(page)).toEqual([]);
  await put(manual.label, manual.post);
  await put(auto.label, auto.post);
  await page.getByRole('button', { name: 'Put the fuse in' }).click();
  await expect(page.getByText('100 of 100 points')).toBeVisible();
  await expect(page.getByText('The first time the fuse went in: 33. That is what counts.')).toBeVisible();
});

test('what hurts ends a drill with nothing, and says why', async ({ page }) => {
  await open(page, '/practice?seed=41&level=1', 'Practice');
  await page
    .getByRole('radio', { name: 'Spare fuse' })
    .or(page.getByRole('radio', { name: 'Source', exact: true }))
    .first()
    .click();
  await page.getByRole('radio', { name: 'Source', exact: true }).click();
  await page.getByRole('radio', { name: 'By hand', exact: true }).click();
  await page.getByRole('button', { name: 'Feel the impeller with the lever at auto.' }).click();
  await expect(page.getByText('0 of 100 points')).toBeVisible();
  await expect(page.getByText(/^That hurts, and ends the drill\./)).toBeVisible();
});
