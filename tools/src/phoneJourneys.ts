import type { Page } from '@playwright/test';

/** What a tap asks for, and how one sees that it is there: words that must stand somewhere on the page, visible. */
export interface Action {
  readonly name: string;
  /** Steppers, switches, floats and drags are held to the shorter budget. */
  readonly kind: 'open' | 'step';
  /** Brings the page to where the action begins; not measured. */
  readonly before: (page: Page) => Promise<void>;
  /** The button touched, as a screen reader names it; a key instead where there is one. */
  readonly touch: { readonly role: string; readonly name: RegExp } | { readonly key: string };
  /** True in the page once what was asked for is painted. Runs in the page. */
  readonly answered: string;
}

const alderWren = '/boat/a1de0000-3e4e-4c1a-9b0a-000000000001';
const alderPump = `${alderWren}/a1de0000-3e4e-4c1a-9b0a-0000000000c1`;
const pinnockPump = '/boat/b1770000-3e4e-4c1a-9b0a-000000000003/b1770000-3e4e-4c1a-9b0a-0000000000c1';

/** An expression of the page: some visible text matches. */
const says = (pattern: string) => `window.visibleText(${JSON.stringify(pattern)})`;

const at =
  (path: string, ready: RegExp) =>
  async (page: Page): Promise<void> => {
    const there = new URL(page.url()).pathname;
    if (there !== path) {
      await page.evaluate((to) => history.pushState(null, '', to), path);
      await page.evaluate(() => dispatchEvent(new PopStateEvent('popstate')));
      if (new URL(page.url()).pathname !== path) await page.goto(new URL(path, page.url()).href);
    }
    await page.getByText(ready).filter({ visible: true }).first().waitFor();
    await page.waitForTimeout(600);
  };

const touched = (page: Page, role: 'radio' | 'tab' | 'button', name: string) =>
  page.getByRole(role, { name, exact: true }).filter({ visible: true }).first().click();

/** Everyday taps on a phone, in the order of a job. */
export const actions: readonly Action[] = [
  {
    name: 'yard opens a boat',
    kind: 'open',
    before: at('/', /Alder Wren/),
    touch: { role: 'link', name: /^Boat Alder Wren/ },
    answered: says('^Main bilge pump'),
  },
  {
    name: 'boat opens a circuit',
    kind: 'open',
    before: at(alderWren, /Main bilge pump/),
    touch: { role: 'link', name: /Main bilge pump/ },
    answered: "location.pathname.split('/').length > 3 && window.visibleText('Survey|Drop')",
  },
  {
    name: 'opens Survey',
    kind: 'open',
    before: at(`${alderPump}/size`, /Drop/),
    touch: { role: 'tab', name: /^Survey/ },
    answered: says('Source'),
  },
  {
    name: 'opens Size',
    kind: 'open',
    before: at(`${alderPump}/survey`, /Source/),
    touch: { role: 'tab', name: /^Size/ },
    answered: says('Conductors'),
  },
  {
    name: 'opens Bench',
    kind: 'open',
    before: at(`${alderPump}/size`, /Conductors/),
    touch: { role: 'tab', name: /^Bench/ },
    answered: says('Pump standing'),
  },
  {
    name: 'opens Float',
    kind: 'open',
    before: at(`${alderPump}/size`, /Conductors/),
    touch: { role: 'tab', name: /^Float/ },
    answered: says('base'),
  },
  {
    name: 'bench switch to auto',
    kind: 'step',
    before: async (page) => {
      await at(`${alderPump}/bench`, /Pump /)(page);
      await touched(page, 'radio', 'High');
      await touched(page, 'radio', 'Off');
      await page.getByText('Pump standing').first().waitFor();
    },
    touch: { role: 'radio', name: /^Auto$/ },
    answered: says('^Pump running'),
  },
  {
    name: 'float stepper up',
    kind: 'step',
    before: at(`${alderPump}/float`, /base/),
    touch: { role: 'button', name: /^(Raise|Higher|More|\+)/ },
    answered: 'window.changed()',
  },
  {
    name: 'survey stepper',
    kind: 'step',
    before: at(`${alderPump}/survey`, /Source/),
    touch: { role: 'button', name: /more$/i },
    answered: 'window.changed()',
  },
  {
    name: 'fix applied',
    kind: 'open',
    before: async (page) => {
      await at(`${pinnockPump}/size`, /Conductors/)(page);
      const undo = page.getByRole('button', { name: 'Undo the last change' }).filter({ visible: true });
      if (await undo.isEnabled()) await undo.click();
      await page.waitForTimeout(600);
    },
    touch: { role: 'button', name: /^Use / },
    answered: says('^Done: '),
  },
];
