import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium, type Page } from '@playwright/test';

/** How long a yard takes to open on a phone's page with a processor four times slower, ms. */
export interface YardFigures {
  readonly boats: number;
  /** On a device that holds nothing yet: until the first boat stands. */
  readonly newDeviceMs: number;
  /** On one that was there before, from a cold browser. */
  readonly openMs: number;
  /** From a cold browser without a server. */
  readonly withoutServerMs: number;
  readonly searchMs: number;
  readonly heapMB: number;
}

async function firstBoat(page: Page, address: string): Promise<number> {
  const begun = performance.now();
  await page.goto(address);
  await page
    .getByRole('link', { name: /^Boat / })
    .first()
    .waitFor({ timeout: 180_000 });
  return performance.now() - begun;
}

async function phonePage(context: Awaited<ReturnType<typeof newDevice>>): Promise<Page> {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  return page;
}

async function newDevice() {
  const browser = await chromium.launch(chromiumLaunch);
  return browser.newContext({ viewport: { width: 390, height: 844 } });
}

/** Opens a yard as a phone does: new, again, and without a server. */
export async function yardFigures(address: string, boats: number): Promise<YardFigures> {
  const context = await newDevice();
  const first = await phonePage(context);
  const newDeviceMs = await firstBoat(first, address);
  // Until all lines are here, and every file of the application.
  await first.evaluate(async () => {
    const { navigator } = globalThis as unknown as { navigator: { serviceWorker: { ready: Promise<unknown> } } };
    await navigator.serviceWorker.ready;
  });
  await first.waitForTimeout(4000 + boats);
  await first.close();
  const second = await phonePage(context);
  const openMs = await firstBoat(second, address);
  await second.waitForTimeout(3000);
  const named = boats < 1000 ? 7 : 987;
  const begun = performance.now();
  await second.getByRole('textbox', { name: 'Search the yard' }).fill(`Filled ${named}`);
  await second
    .getByRole('link', { name: new RegExp(`^Boat Filled ${named}`) })
    .first()
    .waitFor();
  const searchMs = performance.now() - begun;
  const heapMB = await second.evaluate(
    () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize / 1e6,
  );
  await second.close();
  await context.setOffline(true);
  const third = await phonePage(context);
  const withoutServerMs = await firstBoat(third, address);
  await context.browser()?.close();
  return { boats, newDeviceMs, openMs, withoutServerMs, searchMs, heapMB };
}
