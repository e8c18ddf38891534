import {
  test as base,
  chromium,
  expect,
  type BrowserContext,
  type BrowserContextOptions,
  type Page,
} from '@playwright/test';
import { chromiumLaunch } from './chromium';
import { Signal } from './signal';
import { clearAway } from './yard';

/** Collects anything on the console and any request to a place that is not known. */
function watch(context: BrowserContext, known: ReadonlySet<string>, expected: () => readonly RegExp[]): string[] {
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
    if (/^https?:$|^wss?:$/.test(url.protocol) && !known.has(url.origin))
      complain(`request left the origin: ${url.href}`);
  });
  return complaints;
}

/** A browser’s profile that the journeys of a worker share, with its page that is always open. */
interface Profile {
  readonly context: BrowserContext;
  readonly anchor: Page;
}

async function openProfile(options: BrowserContextOptions): Promise<Profile> {
  const context = await chromium.launchPersistentContext('', { ...chromiumLaunch, ...options });
  return { context, anchor: context.pages()[0] ?? (await context.newPage()) };
}

const written = ['cookies', 'indexeddb', 'local_storage'];
const application = ['cache_storage', 'service_workers'];

/** Forgets what a journey left in the profile; only what the browser made of the application’s code is kept. */
async function forget({ context, anchor }: Profile, origins: Iterable<string>, what: readonly string[]): Promise<void> {
  await context.unrouteAll({ behavior: 'ignoreErrors' });
  await context.setOffline(false);
  for (const page of context.pages()) if (page !== anchor) await page.close();
  for (const event of ['console', 'weberror', 'request', 'response'] as const) context.removeAllListeners(event);
  const devtools = await context.newCDPSession(anchor);
  for (const origin of origins)
    await devtools.send('Storage.clearDataForOrigin', { origin, storageTypes: what.join() });
  await devtools.detach();
}

/** A phone that keeps the application on itself, on a way to the server that can be cut. */
interface Phone {
  readonly signal: Signal;
  readonly device: BrowserContext;
}

interface Fixtures {
  /** A browser that has never seen the application, as a stranger’s; others have its code from journeys before. */
  readonly fresh: boolean;
  /** Console messages that the test brings about on purpose. */
  readonly expected: RegExp[];
  /** Where the server is reached in this journey. To a browser each is a place of its own, and so another device. */
  readonly places: Set<string>;
  /** The server by another name: a second device, in the browser of the first. */
  readonly elsewhere: string;
  /** Ways to the server that can be cut: each is one more device, in the browser of the first. */
  readonly links: readonly [Signal, Signal];
  /** A phone with the application on it. */
  readonly phone: Phone;
  /** A phone that has never seen the application. */
  readonly newPhone: Phone;
  readonly cleared: undefined;
  readonly watched: undefined;
}

interface WorkerFixtures {
  readonly profile: Profile;
  readonly signals: readonly [Signal, Signal];
  readonly kept: Profile & { readonly signal: Signal };
}

/** Opens a page in a window of its own: of what lies behind another page only a frame a second is drawn. */
export async function newWindow(context: BrowserContext): Promise<Page> {
  const [opener] = context.pages();
  if (!opener) throw new Error('The browser has no page.');
  const devtools = await context.newCDPSession(opener);
  const opened = context.waitForEvent('page');
  await devtools.send('Target.createTarget', { url: 'about:blank', newWindow: true });
  await devtools.detach();
  return opened;
}

const phoneSize = { viewport: { width: 390, height: 844 } };
/** What the console says of a server that is not reached. */
const away = /Failed to load resource|net::ERR_|EventSource/;

export const test = base.extend<Fixtures, WorkerFixtures>({
  profile: [
    async ({ playwright: _playwright }, use, { project }) => {
      const { viewport = null, hasTouch = false, baseURL } = project.use;
      // With one every page would fetch the whole application; journeys that are about it have a phone.
      const given = baseURL === undefined ? {} : { baseURL };
      const profile = await openProfile({ viewport, hasTouch, serviceWorkers: 'block', ...given });
      await use(profile);
      await profile.context.close();
    },
    { scope: 'worker' },
  ],
  signals: [
    async ({ playwright: _playwright }, use, { project }) => {
      const to = project.use.baseURL ?? '';
      const both = [await Signal.to(to), await Signal.to(to)] as const;
      await use(both);
      for (const signal of both) await signal.cut();
    },
    { scope: 'worker' },
  ],
  kept: [
    async ({ playwright: _playwright }, use, { project }) => {
      const signal = await Signal.to(project.use.baseURL ?? '');
      const profile = await openProfile({ ...phoneSize, serviceWorkers: 'allow' });
      await use({ ...profile, signal });
      await profile.context.close();
      await signal.cut();
    },
    { scope: 'worker' },
  ],
  fresh: [false, { option: true }],
  places: async ({ baseURL }, use) => {
    await use(new Set([new URL(baseURL ?? '').origin]));
  },
  elsewhere: async ({ baseURL, places }, use) => {
    const { protocol, port } = new URL(baseURL ?? '');
    const origin = `${protocol}//localhost:${port}`;
    places.add(origin);
    await use(origin);
  },
  links: async ({ signals, places }, use) => {
    for (const { address } of signals) places.add(address);
    await use(signals);
    for (const signal of signals) await signal.reset();
  },
  phone: async ({ kept, expected }, use) => {
    const { signal, context } = kept;
    const complaints = watch(context, new Set([signal.address]), () => [...expected, away]);
    await use({ signal, device: context });
    expect(complaints).toEqual([]);
    await signal.reset();
    await forget(kept, [signal.address], written);
  },
  newPhone: async ({ browser, baseURL, expected }, use) => {
    const signal = await Signal.to(baseURL ?? '');
    const device = await browser.newContext({ ...phoneSize, serviceWorkers: 'allow' });
    const complaints = watch(device, new Set([signal.address]), () => [...expected, away]);
    await use({ signal, device });
    expect(complaints).toEqual([]);
    await device.close();
    await signal.cut();
  },
  // The code of each page compiled anew took half of what a journey took.
  context: async ({ browser, fresh, viewport, hasTouch, profile, places, baseURL }, use) => {
    if (fresh) {
      const given = baseURL === undefined ? {} : { baseURL };
      const unseen = await browser.newContext({ serviceWorkers: 'block', viewport, hasTouch, ...given });
      await use(unseen);
      return unseen.close();
    }
    await use(profile.context);
    await forget(profile, places, [...written, ...application]);
  },
  // The profile is made as its project says; a journey may want another page or another theme.
  page: async ({ page, viewport, colorScheme }, use) => {
    if (viewport) await page.setViewportSize(viewport);
    await page.emulateMedia({ colorScheme });
    await use(page);
  },
  expected: async ({ playwright: _playwright }, use) => {
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
    async ({ context, places, expected }, use) => {
      const complaints = watch(context, places, () => expected);
      await use(undefined);
      expect(complaints).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };
