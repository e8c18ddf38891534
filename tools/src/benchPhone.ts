import { chromiumLaunch } from '@harbor-latch/e2e/chromium';
import { chromium, type CDPSession, type Page } from '@playwright/test';
import { replies, watcher } from './phoneWatcher';
import { actions, openRun, type Action } from './phoneJourneys';
import { Ease } from './ease';
import { stolenShare } from './stolen';

const THROTTLE = 4;
const ROUNDS = 20;
/** So many are made at most, where some are set aside. */
const MOST_ROUNDS = 80;
const MOST_RUNS = 5;
const PATIENCE_MS = 20_000;
const ASK_EVERY_MS = 250;
const PLAYED_MS = 6000;
const SETTLES_MS = 300;
/** So long a finger rests on what it taps; the answer is awaited from when it leaves. */
const FINGER_RESTS_MS = 80;

/** What a tap took until its answer was painted, ms. */
export interface PhoneFigure {
  readonly name: string;
  readonly kind: Action['kind'];
  readonly medianMs: number;
  readonly p95Ms: number;
  readonly taps: number;
  /** Taps that were set aside, because the machine under this one was at other work. */
  readonly disturbed: number;
  /** Taps that were not answered for a long time; they count as so long. */
  readonly unanswered: number;
  /** So much of all processors the machine under this one took, from the first tap to the last. */
  readonly stolenPercent: number;
}

/** A fixed piece of arithmetic, ms: so that machines, and a page and its workers, can be related. */
const fixedLoop = `(() => { const begun = performance.now(); let sum = 0; for (let i = 1; i < 2e6; i += 1) sum += Math.sqrt(i) / (i + 1); return sum > 0 ? performance.now() - begun : NaN; })()`;

/** Objects made and walked through, ms: a machine whose memory is busy is slow at this, as a page is, and not at arithmetic. */
const fixedTree = `(() => { const begun = performance.now(); const grow = (depth) => depth === 0 ? null : { one: grow(depth - 1), other: grow(depth - 1), says: 'depth ' + depth }; const count = (tree) => tree === null ? 0 : 1 + count(tree.one) + count(tree.other); return count(grow(14)) > 0 ? performance.now() - begun : NaN; })()`;

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

interface Tap {
  /** Until its answer was painted; as long as one waits where none came. */
  readonly ms: number;
  readonly answered: boolean;
  /** Whether the machine was at ease until then. */
  readonly atEase: boolean;
}

async function measured(page: Page, cdp: CDPSession, action: Action, workerRatio: number, ease: Ease): Promise<Tap> {
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
  if (!box) return { ms: PATIENCE_MS, answered: false, atEase: true };
  const { answered } = action;
  const asked =
    answered instanceof RegExp
      ? { words: answered.source }
      : 'gone' in answered
        ? { gone: answered.gone.source }
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
  const wasAtEase = ease.watch();
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
    // Not while the page is still about what follows.
    await page.waitForTimeout(SETTLES_MS);
    const atEase = wasAtEase();
    if (ms === null) return { ms: PATIENCE_MS, answered: false, atEase };
    // The throttle slows the page alone: what a worker took is counted as often as the page is slowed.
    const worked = action.kind === 'figures' ? (workerRatio - 1) * (await workedMs(page)) : 0;
    return { ms: ms + worked, answered: true, atEase };
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

/** How long each of some fixed pieces of work takes, ms: the middle of nine, taken in turn, since a machine has slow and quick moments. */
async function inTurn<Name extends string>(
  pieces: Readonly<Record<Name, () => Promise<number>>>,
): Promise<{ readonly middle: (of: (taken: Readonly<Record<Name, number>>) => number) => number }> {
  const rounds: Readonly<Record<Name, number>>[] = [];
  for (let round = 0; round < 9; round += 1) {
    const taken: [string, number][] = [];
    for (const [name, once] of Object.entries<() => Promise<number>>(pieces)) taken.push([name, await once()]);
    rounds.push(Object.fromEntries(taken) as Record<Name, number>);
  }
  return {
    middle: (of) =>
      percentile(
        rounds.map(of).sort((one, other) => one - other),
        0.5,
      ),
  };
}

/** The least value that so great a share of all does not exceed. */
function percentile(sorted: readonly number[], share: number): number {
  return sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)] ?? NaN;
}

/** What lies between frames while a run plays, ms: half of them take less than the median. */
async function framesOfOneRun(page: Page, cdp: CDPSession, ease: Ease) {
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await openRun(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE });
  await page.getByRole('button', { name: 'Play' }).filter({ visible: true }).tap();
  await page.waitForTimeout(500);
  const atEase = ease.watch();
  const between = (await page.evaluate<number[]>(`window.watchFrames(${PLAYED_MS})`)).sort((one, other) => one - other);
  return {
    frames: between.length,
    medianMs: Math.round(percentile(between, 0.5)),
    p95Ms: Math.round(percentile(between, 0.95)),
    longestMs: Math.round(between.at(-1) ?? NaN),
    over50Ms: between.filter((ms) => Math.round(ms) > 50).length,
    atEase: atEase(),
  };
}

/** The first run during which the machine was at ease; of several that were not, the last. */
async function framesOfRun(page: Page, cdp: CDPSession, ease: Ease) {
  let run = await framesOfOneRun(page, cdp, ease);
  for (let more = 1; more < MOST_RUNS && !run.atEase; more += 1) run = await framesOfOneRun(page, cdp, ease);
  return run;
}

/** Every action, so many times, on a phone's page at a quarter of the machine's speed. */
export async function phoneFigures(
  address: string,
  only: RegExp = /./,
): Promise<{
  readonly fixedLoopMs: number;
  readonly fixedTreeMs: number;
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
  const { middle } = await inTurn({
    loop: () => page.evaluate<number>(fixedLoop),
    tree: () => page.evaluate<number>(fixedTree),
    workerLoop: () => worker.evaluate<number>(fixedLoop),
  });
  const workerRatio = middle(({ loop, workerLoop }) => loop / workerLoop);
  const ease = new Ease();
  const figures: PhoneFigure[] = [];
  for (const action of actions.filter(({ name }) => only.test(name))) {
    const taps: Tap[] = [];
    const stolen = stolenShare();
    while (taps.length < MOST_ROUNDS && taps.filter(({ atEase }) => atEase).length < ROUNDS) {
      taps.push(await measured(page, cdp, action, workerRatio, ease));
      // On a busy machine it is a while until it can be taken back.
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
      await action.after?.(page);
    }
    const undisturbed = taps.filter(({ atEase }) => atEase);
    // On a machine that is never left alone all of them count.
    const counted = undisturbed.length < ROUNDS ? taps : undisturbed;
    const taken = counted.map(({ ms }) => ms);
    taken.sort((one, other) => one - other);
    const figure = {
      name: action.name,
      kind: action.kind,
      medianMs: Math.round(percentile(taken, 0.5)),
      p95Ms: Math.round(percentile(taken, 0.95)),
      taps: counted.length,
      disturbed: taps.length - counted.length,
      unanswered: counted.filter(({ answered }) => !answered).length,
      stolenPercent: Math.round(100 * stolen()),
    };
    figures.push(figure);
    process.stderr.write(
      `${figure.name}: ${figure.medianMs} / ${figure.p95Ms} ms, ${figure.disturbed} set aside, ${figure.stolenPercent} % stolen (${taken.map(Math.round).join(' ')})\n`,
    );
  }
  const run = only.test('run played') ? await framesOfRun(page, cdp, ease) : null;
  await browser.close();
  return {
    fixedLoopMs: Math.round(middle(({ loop }) => loop)),
    fixedTreeMs: Math.round(middle(({ tree }) => tree)),
    workerRatio,
    actions: figures,
    run,
  };
}
