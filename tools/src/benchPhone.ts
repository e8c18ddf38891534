import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium, type CDPSession, type Page } from '@playwright/test';
import { actions, openRun, type Action } from './phoneJourneys';

const THROTTLE = 4;
const ROUNDS = 20;
const PATIENCE_MS = 20_000;
const ASK_EVERY_MS = 250;
const PLAYED_MS = 6000;
/** So long a finger rests on what it taps; the answer is awaited from when it leaves. */
const FINGER_RESTS_MS = 80;

/** What a tap took until its answer was painted, ms. */
export interface PhoneFigure {
  readonly name: string;
  readonly kind: Action['kind'];
  readonly medianMs: number;
  readonly p95Ms: number;
  readonly taps: number;
  /** Taps that were not answered for a long time; they count as so long. */
  readonly unanswered: number;
}

/**
 * What watches in the page: `watchFor` begins with the next press, and is told once
 * the words, other ones than before, a field's or slider's new value, or a choice made, are on the page and a frame was
 * painted with them. It looks at nothing but what can be the answer, so that looking takes no time from what is measured:
 * at what is there already, and at what comes or changes. `watchFrames` gathers what lies between frames, and
 * `postedMs` when workers were asked.
 */
const watcher = `
  window.isShown = (element) => element.isConnected && element.checkVisibility({ visibilityProperty: true }) && element.getClientRects().length > 0;
  window.postedMs = new Map();
  const post = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (message, ...rest) {
    if (message?.id) window.postedMs.set(message.id, performance.timeOrigin + performance.now());
    return post.call(this, message, ...rest);
  };
  window.answers = ({ words, other, chosen, field, slider, row }) => {
    const kind = words || other ? null : chosen ? '[role=radio]' : field ? 'input' : slider ? '[role=slider]' : '[role=button]';
    const pattern = words || other ? new RegExp(words ?? other) : null;
    const named = chosen ?? field ?? slider ?? row?.split(',')[0];
    const all = new Set();
    const add = (node) => {
      if (node.nodeType === Node.TEXT_NODE) {
        if (pattern?.test(node.data.trim())) all.add(node);
        return;
      }
      if (node.nodeType !== Node.ELEMENT_NODE) return;
      if (kind) {
        for (const one of [node, ...node.querySelectorAll(kind)])
          if (one.matches(kind) && (one.ariaLabel ?? one.textContent).trim().startsWith(named)) all.add(one);
        return;
      }
      const walker = document.createTreeWalker(node, NodeFilter.SHOW_TEXT);
      while (walker.nextNode()) add(walker.currentNode);
    };
    add(document.body);
    new MutationObserver((changes) => {
      for (const { target, addedNodes } of changes) {
        if (target.nodeType === Node.TEXT_NODE) add(target);
        for (const node of addedNodes) add(node);
      }
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
    return all;
  };
  window.valueOf = (all, { field, other }) => {
    const says = (text) => text.parentElement !== null && new RegExp(other).test(text.data.trim()) && window.isShown(text.parentElement);
    if (other) return [...all].filter(says).map(({ data }) => data).join();
    const one = [...all].find(window.isShown);
    return (field ? one?.value : one?.ariaValueNow) ?? null;
  };
  window.seenNow = (all, asked, before) => {
    const { words, chosen, row } = asked;
    // What comes of a choice may be told behind its name.
    const isNamed = (radio) => (radio.ariaLabel ?? radio.textContent).trim().split(',')[0] === chosen;
    if (chosen) return [...all].some((radio) => radio.ariaChecked === 'true' && isNamed(radio) && window.isShown(radio));
    if (row) return [...all].some((button) => button.ariaLabel?.startsWith(row) && window.isShown(button));
    if (!words) return window.valueOf(all, asked) !== before;
    const pattern = new RegExp(words);
    return [...all].some((text) => text.parentElement !== null && pattern.test(text.data.trim()) && window.isShown(text.parentElement));
  };
  window.watchFor = (asked, begins) => {
    window.answeredMs = null;
    window.postedMs.clear();
    const all = window.answers(asked);
    const before = asked.field || asked.slider || asked.other ? window.valueOf(all, asked) : null;
    addEventListener(begins, (event) => {
      const begun = event.timeStamp;
      let coming = false;
      // Looked at before the frame that follows a change is painted: what is seen then is painted with it.
      const look = () => {
        coming = false;
        if (!window.seenNow(all, asked, before)) {
          // What a field holds is no part of the page’s tree: it is looked at in every frame.
          if (asked.field) soon();
          return;
        }
        changes.disconnect();
        // Right after the frame, ahead of all else that waits: what comes later is no part of this answer.
        void scheduler.postTask(() => {
          window.answeredMs = performance.now() - begun;
          window.spanMs = [begun, performance.now()].map((ms) => performance.timeOrigin + ms);
        }, { priority: 'user-blocking' });
      };
      const soon = () => {
        if (coming) return;
        coming = true;
        requestAnimationFrame(look);
      };
      const changes = new MutationObserver(soon);
      changes.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
      soon();
    }, { once: true, capture: true });
  };
  window.watchFrames = (forMs) => new Promise((done) => {
    const between = [];
    const begun = performance.now();
    let last = begun;
    const next = (now) => {
      between.push(now - last);
      last = now;
      if (now - begun < forMs) requestAnimationFrame(next);
      else done(between.slice(1));
    };
    requestAnimationFrame(next);
  });
`;

/** A fixed piece of arithmetic, ms: so that machines, and a page and its workers, can be related. */
const fixedLoop = `(() => { const begun = performance.now(); let sum = 0; for (let i = 1; i < 2e6; i += 1) sum += Math.sqrt(i) / (i + 1); return sum > 0 ? performance.now() - begun : NaN; })()`;

/** In a worker: notes when it answered what it was asked. */
const replies = `
  self.repliedMs = new Map();
  const reply = self.postMessage;
  self.postMessage = (message, ...rest) => {
    if (message?.id) self.repliedMs.set(message.id, performance.timeOrigin + performance.now());
    return reply.call(self, message, ...rest);
  };
`;

/** For so long, of what the answer took, workers were at what they were asked in that time, ms. */
async function workedMs(page: Page): Promise<number> {
  const posted = await page.evaluate<[string, number][]>('[...window.postedMs]');
  const [begun = 0, ended = 0] = await page.evaluate<number[]>('window.spanMs');
  const replied = new Map<string, number>();
  for (const worker of page.workers())
    for (const [id, ms] of await worker.evaluate<[string, number][]>('[...(self.repliedMs ?? [])]'))
      replied.set(id, ms);
  const spans = posted.flatMap(([id, from]) => {
    const to = replied.get(id) ?? Infinity;
    return from >= begun && to <= ended ? [{ from, to }] : [];
  });
  let until = begun;
  return spans
    .sort((one, other) => one.from - other.from)
    .reduce((sum, { from, to }) => {
      const more = Math.max(0, to - Math.max(from, until));
      until = Math.max(until, to);
      return sum + more;
    }, 0);
}

async function measured(page: Page, cdp: CDPSession, action: Action, workerRatio: number): Promise<number | null> {
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await action.before(page);
  const { role, name } = action.touch;
  const target = page
    .getByRole(role, typeof name === 'string' ? { name, exact: true } : { name })
    .filter({ visible: true })
    .first();
  // In the middle: what was said of the tap before lies over the foot of the page.
  await target.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  await page.waitForTimeout(100);
  const box = await target.boundingBox();
  if (!box) return null;
  const { answered } = action;
  const asked =
    answered instanceof RegExp
      ? { words: answered.source }
      : 'other' in answered
        ? { other: answered.other.source }
        : answered;
  const [x, y] = [box.x + box.width / 2, box.y + Math.min(box.height / 2, 30)];
  const finger = (type: 'touchStart' | 'touchMove' | 'touchEnd', across = 0, down = 0) =>
    cdp.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x: x + across, y: y + down }],
    });
  const watch = async (begins: 'pointerup' | 'pointermove' | 'keydown') => {
    await page.evaluate(`window.watchFor(${JSON.stringify(asked)}, ${JSON.stringify(begins)})`);
    await page.waitForTimeout(150);
  };
  const { by } = action;
  if (by && 'key' in by) await target.focus();
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE });
  if (!by) {
    await watch('pointerup');
    await finger('touchStart');
    await page.waitForTimeout(FINGER_RESTS_MS);
    await finger('touchEnd');
  } else if ('key' in by) {
    await watch('keydown');
    await page.keyboard.press(by.key);
  } else {
    const [across, down] = by.dragged;
    // The finger is on its way already: the first few pixels are not told to a page.
    await finger('touchStart');
    await finger('touchMove', across, down);
    await page.waitForTimeout(300);
    await watch('pointermove');
    await finger('touchMove', across * 1.5, down * 1.5);
  }
  try {
    const ms = await answerTo(page);
    if (ms === null || action.kind !== 'figures') return ms;
    // The throttle slows the page alone: what a worker took is counted as often as the page is slowed.
    return ms + (workerRatio - 1) * (await workedMs(page));
  } finally {
    if (by && 'dragged' in by) await finger('touchEnd');
  }
}

/** What the answer took, ms; null where none came. */
async function answerTo(page: Page): Promise<number | null> {
  // Asked seldom, so that asking takes nothing from what is measured.
  for (let waited = 0; waited < PATIENCE_MS; waited += ASK_EVERY_MS) {
    await page.waitForTimeout(ASK_EVERY_MS);
    const ms = await page.evaluate<unknown>('window.answeredMs');
    if (typeof ms === 'number') return ms;
  }
  return null;
}

/** What the fixed piece of arithmetic takes where it is done, ms: the middle of nine. */
async function loopsOf(once: () => Promise<number>): Promise<number> {
  const loops: number[] = [];
  for (let round = 0; round < 9; round += 1) loops.push(await once());
  return percentile(
    loops.sort((one, other) => one - other),
    0.5,
  );
}

/** The least value that so great a share of all does not exceed. */
function percentile(sorted: readonly number[], share: number): number {
  return sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)] ?? NaN;
}

/** What lies between frames while a run plays, ms: half of them take less than the median. */
async function framesOfRun(page: Page, cdp: CDPSession) {
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await openRun(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE });
  await page.getByRole('button', { name: 'Play' }).filter({ visible: true }).click();
  await page.waitForTimeout(500);
  const between = (await page.evaluate<number[]>(`window.watchFrames(${PLAYED_MS})`)).sort((one, other) => one - other);
  return {
    frames: between.length,
    medianMs: Math.round(percentile(between, 0.5)),
    p95Ms: Math.round(percentile(between, 0.95)),
    longestMs: Math.round(between.at(-1) ?? NaN),
    over50Ms: between.filter((ms) => Math.round(ms) > 50).length,
  };
}

/** Every action, so many times, on a phone's page at a quarter of the machine's speed. */
export async function phoneFigures(
  address: string,
  only: RegExp = /./,
): Promise<{
  readonly fixedLoopMs: number;
  /** How many times as fast a worker does the same loop. */
  readonly workerRatio: number;
  readonly actions: readonly PhoneFigure[];
  readonly run: Awaited<ReturnType<typeof framesOfRun>> | null;
}> {
  const browser = await chromium.launch(chromiumLaunch);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  await context.addInitScript(watcher);
  const page = await context.newPage();
  page.on('worker', (worker) => void worker.evaluate(replies).catch(() => undefined));
  const cdp = await context.newCDPSession(page);
  const started = page.waitForEvent('worker');
  await page.goto(address);
  const worker = await started;
  await page.waitForLoadState('networkidle');
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE });
  const pageLoops = await loopsOf(() => page.evaluate<number>(fixedLoop));
  const workerRatio = pageLoops / (await loopsOf(() => worker.evaluate<number>(fixedLoop)));
  const figures: PhoneFigure[] = [];
  for (const action of actions.filter(({ name }) => only.test(name))) {
    const taken: number[] = [];
    let unanswered = 0;
    for (let round = 0; round < ROUNDS; round += 1) {
      const ms = await measured(page, cdp, action, workerRatio);
      if (ms === null) unanswered += 1;
      taken.push(ms ?? PATIENCE_MS);
    }
    taken.sort((one, other) => one - other);
    const figure = {
      name: action.name,
      kind: action.kind,
      medianMs: Math.round(percentile(taken, 0.5)),
      p95Ms: Math.round(percentile(taken, 0.95)),
      taps: taken.length,
      unanswered,
    };
    figures.push(figure);
    process.stderr.write(
      `${figure.name}: ${figure.medianMs} / ${figure.p95Ms} ms (${taken.map(Math.round).join(' ')})\n`,
    );
  }
  const run = only.test('run played') ? await framesOfRun(page, cdp) : null;
  await browser.close();
  return { fixedLoopMs: Math.round(pageLoops), workerRatio, actions: figures, run };
}
