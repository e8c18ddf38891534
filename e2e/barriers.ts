import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { layAllOut } from './yard';

/**
 * What on a page keeps somebody out, by the rules of axe; all of the page, also what lies outside the window.
 * @param only rules to hold it against, where not all
 */
export async function barriers(page: Page, only?: readonly string[]): Promise<string[]> {
  await layAllOut(page);
  // There are no frames here, so it need not be gathered on a page of its own; what passes is not written out.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const { violations } = await (only ? axe.withRules([...only]) : axe).analyze();
  return violations.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 160)}`));
}
