import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium } from '@playwright/test';
import { cpSync, renameSync, rmSync, writeFileSync, existsSync } from 'node:fs';
import { actions } from './phoneJourneys';
import { buildAll } from './build';
import { withThrowawayServer } from './throwaway';
const only = new RegExp(process.argv[2] ?? 'bench switch');
await buildAll();
if (existsSync('/tmp/nomin')) {
  renameSync('app/dist', '/tmp/dist-kept');
  cpSync('/tmp/nomin', 'app/dist', { recursive: true });
}
try {
  await withThrowawayServer(async ({ address }) => {
    const browser = await chromium.launch(chromiumLaunch);
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const page = await context.newPage();
    const cdp = await context.newCDPSession(page);
    await page.goto(address);
    await cdp.send('Profiler.enable');
    await cdp.send('Profiler.setSamplingInterval', { interval: 200 });
    const all: unknown[] = [];
    for (const action of actions.filter(({ name }) => only.test(name))) {
      for (let round = 0; round < 8; round += 1) {
        await action.before(page);
        await page.waitForTimeout(600);
        const target = page
          .getByRole(
            action.touch.role,
            typeof action.touch.name === 'string'
              ? { name: action.touch.name, exact: true }
              : { name: action.touch.name },
          )
          .filter({ visible: true })
          .first();
        await target.scrollIntoViewIfNeeded();
        const box = await target.boundingBox();
        if (!box) continue;
        await page.waitForTimeout(300);
        if (round > 1) await cdp.send('Profiler.start');
        await page.touchscreen.tap(box.x + box.width / 2, box.y + Math.min(box.height / 2, 30));
        await page.waitForTimeout(Number(process.argv[3] ?? 250));
        if (round > 1) all.push((await cdp.send('Profiler.stop')).profile);
      }
    }
    writeFileSync('/tmp/taps.json', JSON.stringify(all));
    await browser.close();
  });
} finally {
  if (existsSync('/tmp/dist-kept')) {
    rmSync('app/dist', { recursive: true });
    renameSync('/tmp/dist-kept', 'app/dist');
  }
}
