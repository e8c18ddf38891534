import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { readJobText } from '@harbor-latch/core/file/index';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import {
  test as base,
  chromium,
  expect,
  type APIRequestContext,
  type BrowserContext,
  type Page,
} from '@playwright/test';
import { chromiumLaunch } from './chromium';

/** A demo boat of the repository, under an id of its own. */
export function demoBoat(file: string, name: string): Job {
  const read = readJobText(readFileSync(new URL(`../examples/${file}.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problems[0].message);
  return { ...read.job, boat: { ...read.job.boat, id: randomUUID(), name } };
}

/** The addresses of a boat's first circuit. */
export function placesOf(job: Job) {
  const boat = `/boat/${job.boat.id}`;
  const circuit = `${boat}/${firstCircuit(job).id}`;
  return {
    boat,
    survey: `${circuit}/survey`,
    size: `${circuit}/size`,
    float: `${circuit}/float`,
    bench: `${circuit}/bench`,
    build: `${circuit}/build`,
    prove: `${circuit}/prove`,
    trace: `${circuit}/trace`,
    drawing: `${circuit}/drawing`,
  };
}

export function firstCircuit(job: Job): Circuit {
  const [circuit] = job.circuits;
  if (!circuit) throw new Error('The boat has no circuit.');
  return circuit;
}

export async function addBoat(request: APIRequestContext, job: Job): Promise<Job> {
  const answer = await request.put(`/api/boats/${job.boat.id}`, { data: job, headers: { 'If-None-Match': '*' } });
  expect(answer.status()).toBe(201);
  added.push(job.boat.id);
  return job;
}

/** Boats that the journey under way added by hand. */
const added: string[] = [];

/** Takes them away again: every page of a later journey would fetch them. */
async function clearAway(request: APIRequestContext): Promise<void> {
  for (const id of added.splice(0)) {
    const answer = await request.get(`/api/boats/${id}`);
    if (!answer.ok()) continue;
    const { version } = (await answer.json()) as { version: number };
    await request.delete(`/api/boats/${id}`, { headers: { 'If-Match': `"${version}"` } });
  }
}

/** A boat as the server has her; waits until it has. */
export async function storedBoat(request: APIRequestContext, id: string): Promise<{ version: number; job: Job }> {
  const ask = () => request.get(`/api/boats/${id}`);
  await expect.poll(async () => (await ask()).status()).toBe(200);
  return (await (await ask()).json()) as { version: number; job: Job };
}

/** Fails a test for anything on the console and any request that leaves the origin. */
function watch(context: BrowserContext, origin: string, expected: () => readonly RegExp[]): string[] {
  const complaints: string[] = [];
  const complain = (text: string) => {
    if (!expected().some((pattern) => pattern.test(text))) complaints.push(text);
  };
  context.on('console', (message) => {
    if (message.type() === 'error') complain(`console: ${message.text()}`);
  });
  context.on('weberror', (error) => complain(`page error: ${error.error().message}`));
  context.on('request', (sent) => {
    const url = new URL(sent.url());
    if (/^https?:$|^wss?:$/.test(url.protocol) && url.origin !== origin)
      complain(`request left the origin: ${url.href}`);
  });
  return complaints;
}

/** A browser’s profile that the journeys of a worker share, with its page that is always open. */
interface Profile {
  readonly context: BrowserContext;
  readonly anchor: Page;
}

/** Forgets what a journey left in the profile; only what the browser made of the application’s code is kept. */
async function forget({ context, anchor }: Profile, origin: string): Promise<void> {
  await context.unrouteAll({ behavior: 'ignoreErrors' });
  await context.setOffline(false);
  for (const page of context.pages()) if (page !== anchor) await page.close();
  for (const event of ['console', 'weberror', 'request', 'response'] as const) context.removeAllListeners(event);
  const devtools = await context.newCDPSession(anchor);
  const storageTypes = 'cookies,indexeddb,local_storage,cache_storage,service_workers';
  await devtools.send('Storage.clearDataForOrigin', { origin, storageTypes });
  await devtools.detach();
}

interface Fixtures {
  /** A browser that has never seen the application, as a stranger’s; others have its code from journeys before. */
  readonly fresh: boolean;
  /** Console messages that the test brings about on purpose. */
  readonly expected: RegExp[];
  readonly cleared: undefined;
  readonly watched: undefined;
}

export const test = base.extend<Fixtures, { readonly profile: Profile }>({
  profile: [
    async ({ playwright: _playwright }, use, { project }) => {
      const { viewport = null, hasTouch = false, baseURL } = project.use;
      const options = { viewport, hasTouch, serviceWorkers: 'block' as const, ...(baseURL ? { baseURL } : {}) };
      const context = await chromium.launchPersistentContext('', { ...chromiumLaunch, ...options });
      const anchor = context.pages()[0] ?? (await context.newPage());
      await use({ context, anchor });
      await context.close();
    },
    { scope: 'worker' },
  ],
  fresh: [false, { option: true }],
  // The code of each page compiled anew took half of what a journey took.
  context: async ({ context, fresh, serviceWorkers, profile, baseURL }, use) => {
    if (fresh || serviceWorkers === 'allow') return use(context);
    await use(profile.context);
    await forget(profile, new URL(baseURL ?? '').origin);
  },
  // The profile is made as its project says; a journey may want another page or another theme.
  page: async ({ page, viewport, colorScheme }, use) => {
    if (viewport) await page.setViewportSize(viewport);
    await page.emulateMedia({ colorScheme });
    await use(page);
  },
  expected: async ({ page: _page }, use) => {
    await use([]);
  },
  // Before the page in order, and so after it at the end.
  cleared: [
    async ({ request }, use) => {
      await use(undefined);
      await clearAway(request);
    },
    { auto: true },
  ],
  watched: [
    async ({ context, baseURL, expected }, use) => {
      const complaints = watch(context, new URL(baseURL ?? '').origin, () => expected);
      await use(undefined);
      expect(complaints).toEqual([]);
    },
    { auto: true },
  ],
});

/** Waits until nothing is worked out beside the page any more. */
export async function workedOut(page: Page): Promise<void> {
  await expect(page.locator('[aria-busy="true"]').filter({ visible: true })).toHaveCount(0);
  await expect(page.getByText('Being worked out').filter({ visible: true })).toHaveCount(0);
}

/** Opens an address and waits until its title stands, and what is known of it. */
export async function open(page: Page, address: string, title: string | RegExp): Promise<void> {
  await page.goto(address);
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  await workedOut(page);
}

export { expect };

/** Has what lies outside the window laid out too, which the browser else leaves until it comes near. */
export async function layAllOut(page: Page): Promise<void> {
  await page.evaluate(() => {
    // Cards alone are left so.
    for (const element of document.querySelectorAll<HTMLElement>('[data-card]'))
      if (getComputedStyle(element).contentVisibility === 'auto') element.style.contentVisibility = 'visible';
  });
}

/** Goes to a station: on a phone by way of its place. */
export async function goTo(page: Page, station: string): Promise<void> {
  const tab = page.getByRole('tab', { name: new RegExp(`^${station}`) });
  if (!(await tab.first().isVisible())) await page.getByRole('tab', { name: 'Plan' }).click();
  await tab.first().click();
}

/** Opens a folded part of the survey. */
export async function unfold(page: Page, title: string): Promise<void> {
  await page
    .getByRole('button', { name: new RegExp(`^${title}: `), expanded: false })
    .filter({ visible: true })
    .click();
}

/** A user's hand: every touch and every key of a keyboard is counted. */
export class Hand {
  taps = 0;
  keys = 0;

  constructor(private readonly page: Page) {}

  async tap(role: 'button' | 'radio' | 'tab' | 'link', name: string | RegExp): Promise<void> {
    const target = this.page
      .getByRole(role, { name, ...(typeof name === 'string' ? { exact: true } : {}) })
      .filter({ visible: true });
    await target.first().tap();
    this.taps += 1;
  }

  /** Puts a figure into a field that is touched first, unless the keyboard is there already. */
  async type(label: string, text: string): Promise<void> {
    const field = this.page.getByLabel(label).filter({ visible: true });
    if (!(await field.evaluate((element) => element === document.activeElement))) {
      await field.tap();
      this.taps += 1;
    }
    await this.page.keyboard.type(text);
    this.keys += text.length;
  }
}

/** Opens the yard as it is before there is a boat; what is added is saved all the same. */
export async function openEmptyYard(page: Page): Promise<void> {
  const point = `${randomUUID()}.0.${randomUUID()}`;
  await page.route('**/api/changes*', (route) => {
    const whole = !new URL(route.request().url()).searchParams.has('after');
    return route.fulfill({ json: { whole, boats: 0, changes: [], next: point, more: false } });
  });
  await open(page, '/', 'Yard');
}
