import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { actions } from './phoneJourneys';
import { buildAll } from './build';
import { withThrowawayServer } from './throwaway';
const only = new RegExp(process.argv[2] ?? 'bench switch');
await buildAll();
await withThrowawayServer(async ({ address }) => {
  const browser = await chromium.launch(chromiumLaunch);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  await page.goto(address);
  for (const action of actions.filter(({ name }) => only.test(name))) {
    const sums: Record<string, number[]> = {};
    const rounds = 6;
    for (let round = 0; round < rounds; round += 1) {
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
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
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
      await page.waitForTimeout(300);
      await browser.startTracing(page, { categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'] });
      await page.touchscreen.tap(box.x + box.width / 2, box.y + Math.min(box.height / 2, 30));
      await page.waitForTimeout(700);
      const trace = JSON.parse((await browser.stopTracing()).toString());
      if (round === rounds - 1) writeFileSync('/tmp/trace.json', JSON.stringify(trace));
      const main = trace.traceEvents.find(
        (e: any) => e.name === 'thread_name' && e.args.name === 'CrRendererMain',
      )?.tid;
      const evs = trace.traceEvents.filter((e: any) => e.ph === 'X' && e.dur);
      const by: Record<string, number> = {};
      for (const e of evs) {
        const where = e.tid === main ? 'main' : 'other';
        const n = e.name === 'EventDispatch' ? `EventDispatch ${e.args?.data?.type}` : e.name;
        by[`${where} ${n}`] = (by[`${where} ${n}`] ?? 0) + e.dur / 1000;
      }
      for (const [k, v] of Object.entries(by)) (sums[k] ??= []).push(v);
    }
    console.log(action.name);
    for (const [k, v] of Object.entries(sums)
      .sort((a, b) => b[1].reduce((x, y) => x + y, 0) - a[1].reduce((x, y) => x + y, 0))
      .slice(0, 34))
      console.log((v.reduce((a, b) => a + b, 0) / rounds).toFixed(1).padStart(8), k);
  }
  await browser.close();
});
