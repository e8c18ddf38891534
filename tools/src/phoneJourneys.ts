import type { Page } from '@playwright/test';

/** A tap on a phone, and how one sees that what it asked for is there. */
export interface Action {
  readonly name: string;
  /** Opening a place may take 100 ms; steppers, switches, floats and drags 80; new figures after a change 250. */
  readonly kind: 'open' | 'step' | 'figures';
  /** Brings the page to where the tap is made; not measured. */
  readonly before: (page: Page) => Promise<void>;
  /** Takes back what the tap did, where another could not be made after it. */
  readonly after?: (page: Page) => Promise<void>;
  /** What is touched, as a screen reader names it. */
  readonly touch: {
    readonly role: 'link' | 'tab' | 'radio' | 'button' | 'heading' | 'textbox' | 'slider';
    readonly name: string | RegExp;
  };
  /** What the hand does there: a tap where nothing is said, a key typed at the end of a field, or a finger that goes on. */
  readonly by?: { readonly key: string } | { readonly dragged: readonly [number, number] };
  /**
   * Words that stand on the page, to be seen, once what was asked for is painted; words that then are gone; the field or the
   * slider whose value then is another; the choice that is then made; or the name that a row then has.
   */
  readonly answered:
    | RegExp
    | { readonly gone: RegExp }
    | { readonly field: string }
    | { readonly slider: string }
    | { readonly chosen: string }
    | { readonly row: string };
}

const alderWren = '/boat/a1de0000-3e4e-4c1a-9b0a-000000000001';
const alderPump = `${alderWren}/a1de0000-3e4e-4c1a-9b0a-0000000000c1`;
const pinnockPump = '/boat/b1770000-3e4e-4c1a-9b0a-000000000003/b1770000-3e4e-4c1a-9b0a-0000000000c1';

const seen = (page: Page, words: RegExp) => page.getByText(words).filter({ visible: true }).first().waitFor();

/** By a finger: where a mouse was once, the browser looks in every frame what lies under it. */
const tap = (page: Page, { role, name }: Action['touch']) =>
  page
    .getByRole(role, typeof name === 'string' ? { name, exact: true } : { name })
    .filter({ visible: true })
    .first()
    .tap();

/** A page loaded anew, everything else fetched and at rest. */
const loaded = (path: string, words: RegExp) => async (page: Page) => {
  await page.goto(new URL(path, page.url()).href);
  await seen(page, words);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(400);
};

/** A step says how it stands after its name. */
const tabOf = (name: string): Action['touch'] => ({ role: 'tab', name: new RegExp(`^${name}`) });

const station = (name: string, words: RegExp) => async (page: Page) => {
  const { role, name: tab } = tabOf(name);
  if (!(await page.getByRole(role, { name: tab }).first().isVisible())) await tap(page, tabOf('Plan'));
  await tap(page, tabOf(name));
  await seen(page, words);
};

/** What each station shows once it is there. */
const shown = {
  Survey: /^Source to panel/,
  Size: /^Conductors lose/,
  Bench: /^Pump (standing|running)/,
  Float: /^Base over the pump/,
} as const;

const first = (name: keyof typeof shown, from: string): Action => ({
  name: `${name}, first time`,
  kind: 'open',
  before: loaded(`${alderPump}/${from}`, from === 'size' ? shown.Size : shown.Survey),
  touch: tabOf(name),
  answered: shown[name],
});

const again = (name: keyof typeof shown, from: keyof typeof shown): Action => ({
  name: `${name}, again`,
  kind: 'open',
  before: async (page) => {
    if (!page.url().includes(alderPump)) await loaded(`${alderPump}/size`, shown.Size)(page);
    await station(name, shown[name])(page);
    await station(from, shown[from])(page);
    await page.waitForTimeout(300);
  },
  touch: tabOf(name),
  answered: shown[name],
});

const fuseFix = { role: 'button', name: /^Use the .* fuse/ } as const;

const undo = (page: Page) => tap(page, { role: 'button', name: 'Undo the last change' });

/** The fuse that a finding asks for. */
const fix: Pick<Action, 'before' | 'touch' | 'after'> = {
  after: async (page) => {
    await undo(page);
    await page.getByRole(fuseFix.role, { name: fuseFix.name }).filter({ visible: true }).first().waitFor();
  },
  before: async (page) => {
    if (!page.url().includes(pinnockPump)) await loaded(`${pinnockPump}/size`, shown.Size)(page);
    await page.getByRole(fuseFix.role, { name: fuseFix.name }).filter({ visible: true }).first().waitFor();
    await page.waitForTimeout(400);
  },
  touch: fuseFix,
};

/** Another size for a feed. */
const sizeChip: Pick<Action, 'before' | 'touch'> = {
  before: async (page) => {
    if (!page.url().includes(pinnockPump)) await loaded(`${pinnockPump}/size`, shown.Size)(page);
    const closed = page.getByRole('button', { name: /^Feed, .*: open$/ }).filter({ visible: true });
    if ((await closed.count()) > 0) await closed.tap();
    await tap(page, { role: 'radio', name: /^12 AWG/ });
    await page.getByRole('button', { name: /^Feed, 12 AWG/ }).waitFor();
    await page.waitForTimeout(400);
  },
  touch: { role: 'radio', name: /^10 AWG/ },
};

/** Everyday taps, in the order of a job. */
export const actions: readonly Action[] = [
  {
    name: 'the title alone, which does nothing',
    kind: 'step',
    before: async (page) => {
      if (!page.url().includes(alderPump)) await loaded(`${alderPump}/size`, shown.Size)(page);
      await page.waitForTimeout(300);
    },
    touch: { role: 'heading', name: 'Main bilge pump' },
    answered: shown.Size,
  },
  {
    name: 'yard opens a boat',
    kind: 'open',
    before: loaded('/', /^Alder Wren/),
    touch: { role: 'link', name: /^Boat Alder Wren/ },
    answered: /^Add a circuit$/,
  },
  {
    name: 'boat opens a circuit',
    kind: 'open',
    before: loaded(alderWren, /^Main bilge pump/),
    touch: { role: 'link', name: /^Circuit Main bilge pump/ },
    answered: /^(Source to panel|Conductors lose)/,
  },
  {
    name: 'back to the boat',
    kind: 'open',
    before: async (page) => {
      await loaded(alderWren, /^Main bilge pump/)(page);
      await tap(page, { role: 'link', name: /^Circuit Main bilge pump/ });
      await seen(page, /^(Source to panel|Conductors lose)/);
      await page.waitForTimeout(1000);
    },
    touch: { role: 'button', name: 'Back' },
    answered: /^Add a circuit$/,
  },
  {
    name: 'back to the yard',
    kind: 'open',
    before: async (page) => {
      await loaded('/', /^Alder Wren/)(page);
      await tap(page, { role: 'link', name: /^Boat Alder Wren/ });
      await seen(page, /^Add a circuit$/);
      await page.waitForTimeout(1000);
    },
    touch: { role: 'button', name: 'Back' },
    answered: /^Yard$/,
  },
  first('Survey', 'size'),
  first('Size', 'survey'),
  first('Bench', 'size'),
  first('Float', 'size'),
  again('Survey', 'Size'),
  again('Size', 'Survey'),
  again('Bench', 'Size'),
  again('Float', 'Size'),
  {
    name: 'bench switch',
    kind: 'step',
    before: async (page) => {
      if (!page.url().endsWith('/bench')) await loaded(`${alderPump}/bench`, shown.Bench)(page);
      await tap(page, { role: 'radio', name: 'High' });
      await tap(page, { role: 'radio', name: 'Off' });
      await seen(page, /^Pump standing/);
      await page.waitForTimeout(300);
    },
    touch: { role: 'radio', name: 'Auto' },
    answered: /^Pump running/,
  },
  {
    name: 'float stepper',
    kind: 'step',
    before: async (page) => {
      if (!page.url().endsWith('/float')) await loaded(`${alderPump}/float`, shown.Float)(page);
      await page.waitForTimeout(300);
    },
    touch: { role: 'button', name: 'More Base over the pump’s' },
    answered: { field: 'Base over the pump’s' },
  },
  {
    name: 'survey stepper',
    kind: 'step',
    before: async (page) => {
      if (!page.url().endsWith('/survey')) await loaded(`${alderPump}/survey`, shown.Survey)(page);
      await page.waitForTimeout(300);
    },
    touch: { role: 'button', name: 'More Source to panel, one way' },
    answered: { field: 'Source to panel, one way' },
  },
  {
    name: 'a key typed',
    kind: 'step',
    before: async (page) => {
      if (!page.url().endsWith('/survey')) await loaded(`${alderPump}/survey`, shown.Survey)(page);
      await page
        .getByRole('textbox', { name: /^Source to panel, one way/ })
        .filter({ visible: true })
        .fill('2.');
      await page.waitForTimeout(300);
    },
    touch: { role: 'textbox', name: /^Source to panel, one way/ },
    by: { key: '4' },
    answered: { field: 'Source to panel, one way' },
  },
  {
    name: 'float dragged',
    kind: 'step',
    before: async (page) => {
      if (!page.url().endsWith('/float')) await loaded(`${alderPump}/float`, shown.Float)(page);
      const undo = page.getByRole('button', { name: 'Undo the last change' }).filter({ visible: true });
      if (await undo.isEnabled()) await undo.tap();
      await page.waitForTimeout(300);
    },
    touch: { role: 'slider', name: /^First float/ },
    by: { dragged: [0, -20] },
    answered: { slider: 'First float' },
  },
  {
    name: 'pose',
    kind: 'step',
    before: async (page) => {
      if (!page.url().endsWith('/float')) await loaded(`${alderPump}/float`, shown.Float)(page);
      await tap(page, { role: 'radio', name: 'At rest' });
      await page.waitForTimeout(400);
    },
    touch: { role: 'radio', name: 'Under way' },
    answered: { chosen: 'Under way' },
  },
  {
    name: 'fault planted',
    kind: 'step',
    before: async (page) => {
      if (!page.url().endsWith('/bench')) await loaded(`${alderPump}/bench`, shown.Bench)(page);
      if (!(await page.getByRole('tab', { name: 'Faults', selected: true }).isVisible()))
        await tap(page, { role: 'tab', name: 'Faults' });
      const mend = page.getByRole('button', { name: 'Mend: Float: stuck down' });
      if ((await mend.count()) > 0) await mend.tap();
      await tap(page, { role: 'radio', name: 'Float stuck down' });
      await page.waitForTimeout(300);
    },
    touch: { role: 'radio', name: 'Float' },
    answered: /^Float: stuck down$/,
  },
  { ...fix, name: 'fix applied', kind: 'open', answered: /^Done: / },
  {
    ...fix,
    name: 'fix applied, new figures',
    kind: 'figures',
    answered: { gone: /^The fuse of \d+\u00a0A before this pump/ },
  },
  {
    name: 'fix undone',
    kind: 'step',
    before: async (page) => {
      await fix.before(page);
      await tap(page, fuseFix);
      await seen(page, /^Done: /);
      await page.waitForTimeout(400);
    },
    touch: { role: 'button', name: 'Undo the last change' },
    answered: { gone: /^Done: / },
  },
  { ...sizeChip, name: 'size chip', kind: 'step', answered: { chosen: '10 AWG' } },
  { ...sizeChip, name: 'size chip, new figures', kind: 'figures', answered: { row: 'Feed, 10 AWG' } },
];

const enginePump = '/boat/105a0000-3e4e-4c1a-9b0a-000000000002/105a0000-3e4e-4c1a-9b0a-0000000000c1';

/** Opens a run of the largest demo boat, ready to be played. */
export async function openRun(page: Page): Promise<void> {
  await loaded(`${enginePump}/float`, shown.Float)(page);
  await tap(page, { role: 'tab', name: 'Cycle' });
  await tap(page, { role: 'radio', name: 'Hauling to port' });
  await page.getByRole('slider', { name: 'Time in the run' }).waitFor();
  await page.waitForTimeout(1000);
}
