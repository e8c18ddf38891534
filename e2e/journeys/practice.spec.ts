import { AxeBuilder } from '@axe-core/playwright';
import { drillSolution, type DrillLevel } from '@harbor-latch/core/trace/drill';
import { Practice } from '@harbor-latch/core/trace/practice';
import { expect, open, test } from '../yard';

for (const level of [1, 2, 3] as const satisfies readonly DrillLevel[])
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
    expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual(
      [],
    );
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
    expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual(
      [],
    );
    await page.goto('/practice');
    await expect(page.getByText('1 boat, ', { exact: false })).toBeVisible();
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
