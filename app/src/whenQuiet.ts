import { whenIdle } from './whenIdle';

/** So long nobody must have touched or typed anything before something is made ready that nobody waits for, ms. */
const QUIET_MS = 2000;

let lastTouchMs = -Infinity;

/** Says that something moves on the page, as a run that is played: nothing else is made ready meanwhile. */
export function noteMovement(): void {
  lastTouchMs = performance.now();
}

const kinds = ['pointerdown', 'pointerup', 'keydown', 'wheel', 'touchmove'] as const;

/** Hears when somebody last touched or typed something. @returns what ends that */
export function hearTouches(): () => void {
  const note = ({ timeStamp }: Event) => {
    lastTouchMs = timeStamp;
  };
  for (const kind of kinds) addEventListener(kind, note, { capture: true, passive: true });
  return () => {
    for (const kind of kinds) removeEventListener(kind, note, { capture: true });
  };
}

interface Wish {
  readonly call: () => void;
  readonly sinceMs: number;
}

const wishes: Wish[] = [];
let takeBack: (() => void) | null = null;

const left = ({ sinceMs }: Wish) => (lastTouchMs < sinceMs ? 0 : lastTouchMs + QUIET_MS - performance.now());

/** Waits for what may be done soonest. */
function waitForNext(): void {
  takeBack?.();
  takeBack = null;
  const [first, ...others] = wishes;
  if (!first) return;
  const next = others.reduce((soonest, wish) => (left(wish) < left(soonest) ? wish : soonest), first);
  const ms = left(next);
  if (ms > 0) {
    const timer = setTimeout(waitForNext, ms);
    takeBack = () => clearTimeout(timer);
    return;
  }
  takeBack = whenIdle(() => {
    takeBack = null;
    if (left(next) <= 0) {
      wishes.splice(wishes.indexOf(next), 1);
      next.call();
    }
    waitForNext();
  });
}

/**
 * Calls when nobody touched anything for a while and the browser has nothing else to do: a tap in the middle of heavy work
 * would have to wait for it. One call after the other, each when the browser has done what the one before began.
 * @param sinceMs touches before this are no reason to wait, ms of the page’s clock
 * @returns what takes the call back
 */
export function whenQuiet(call: () => void, sinceMs = -Infinity): () => void {
  const wish = { call, sinceMs };
  wishes.push(wish);
  if (!takeBack || wishes.length === 1 || left(wish) <= 0) waitForNext();
  return () => {
    const at = wishes.indexOf(wish);
    if (at < 0) return;
    wishes.splice(at, 1);
    waitForNext();
  };
}
