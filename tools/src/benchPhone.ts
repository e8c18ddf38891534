import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium, type CDPSession, type Page } from '@playwright/test';
import { actions, type Action } from './phoneJourneys';

const THROTTLE = 4;
const ROUNDS = 12;
const PATIENCE_MS = 20_000;
const ASK_EVERY_MS = 250;

/** What a tap took until its answer was painted, ms. */
export interface PhoneFigure {
  readonly name: string;
  readonly kind: Action['kind'];
  readonly medianMs: number;
  readonly p95Ms: number;
  readonly taps: number;
}

/**
 * What watches in the page: `watchFor` begins with the next press, and is told once
 * the words, a field's new value, or a choice made, are on the page and a frame was painted with them.
 */
const watcher = `
  window.seenNow = ({ words, field, chosen }, before) => {
    if (field) return window.valueOf(field) !== before;
    if (chosen) return [...document.querySelectorAll('[role=radio][aria-checked=true]')].some((radio) => (radio.ariaLabel ?? radio.textContent).trim() === chosen && radio.checkVisibility({ visibilityProperty: true }));
    const pattern = new RegExp(words);
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const { parentElement, data } = walker.currentNode;
      if (pattern.test(data.trim()) && parentElement.checkVisibility({ visibilityProperty: true }) && parentElement.getClientRects().length > 0) return true;
    }
    return false;
  };
  window.valueOf = (label) => [...document.querySelectorAll('input')].filter((input) => input.checkVisibility({ visibilityProperty: true })).find((input) => input.ariaLabel.startsWith(label))?.value ?? null;
  window.watchFor = (asked) => {
    window.answeredMs = null;
    const before = asked.field ? window.valueOf(asked.field) : null;
    addEventListener('pointerup', (event) => {
      const begun = event.timeStamp;
      // Looked at once a frame, before it is painted: what is seen then is painted with it.
      const look = () => {
        if (!window.seenNow(asked, before)) return void requestAnimationFrame(look);
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => { window.answeredMs = performance.now() - begun; };
        port2.postMessage(null);
      };
      requestAnimationFrame(look);
    }, { once: true, capture: true });
  };
`;

/** A fixed piece of arithmetic as the page does it at its throttle, ms: so that machines can be related. */
const fixedLoop = `(() => { const begun = performance.now(); let sum = 0; for (let i = 1; i < 2e6; i += 1) sum += Math.sqrt(i) / (i + 1); return sum > 0 ? performance.now() - begun : NaN; })()`;

async function measured(page: Page, cdp: CDPSession, action: Action): Promise<number | null> {
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await action.before(page);
  const { role, name } = action.touch;
  const target = page
    .getByRole(role, typeof name === 'string' ? { name, exact: true } : { name })
    .filter({ visible: true })
    .first();
  await target.scrollIntoViewIfNeeded();
  const box = await target.boundingBox();
  if (!box) return null;
  const { answered } = action;
  const asked = answered instanceof RegExp ? { words: answered.source } : answered;
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE });
  await page.evaluate(`window.watchFor(${JSON.stringify(asked)})`);
  await page.waitForTimeout(150);
  await page.touchscreen.tap(box.x + box.width / 2, box.y + Math.min(box.height / 2, 30));
  // Asked seldom, so that asking takes nothing from what is measured.
  for (let waited = 0; waited < PATIENCE_MS; waited += ASK_EVERY_MS) {
    await page.waitForTimeout(ASK_EVERY_MS);
    const ms = await page.evaluate<unknown>('window.answeredMs');
    if (typeof ms === 'number') return ms;
  }
  throw new Error(`“${action.name}” was not answered within ${PATIENCE_MS / 1000} s.`);
}

function percentile(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

/** Every action, so many times, on a phone's page at a quarter of the machine's speed. */
export async function phoneFigures(
  address: string,
  only: RegExp = /./,
): Promise<{ readonly fixedLoopMs: number; readonly actions: readonly PhoneFigure[] }> {
  const browser = await chromium.launch(chromiumLaunch);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  await context.addInitScript(watcher);
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  await page.goto(address);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE });
  const loops: number[] = [];
  for (let round = 0; round < 9; round += 1) loops.push(await page.evaluate<number>(fixedLoop));
  const figures: PhoneFigure[] = [];
  for (const action of actions.filter(({ name }) => only.test(name))) {
    const taken: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      const ms = await measured(page, cdp, action);
      if (ms !== null) taken.push(ms);
    }
    taken.sort((one, other) => one - other);
    const figure = {
      name: action.name,
      kind: action.kind,
      medianMs: Math.round(percentile(taken, 0.5)),
      p95Ms: Math.round(percentile(taken, 0.95)),
      taps: taken.length,
    };
    figures.push(figure);
    process.stderr.write(`${figure.name}: ${figure.medianMs} / ${figure.p95Ms} ms\n`);
  }
  await browser.close();
  loops.sort((one, other) => one - other);
  return { fixedLoopMs: Math.round(percentile(loops, 0.5)), actions: figures };
}
