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

/**
 * Calls when nobody touched anything for a while and the browser has nothing else to do: a tap in the middle of heavy work
 * would have to wait for it.
 * @param sinceMs touches before this are no reason to wait, ms of the page’s clock
 * @returns what takes the call back
 */
export function whenQuiet(call: () => void, sinceMs = -Infinity): () => void {
  const left = () => (lastTouchMs < sinceMs ? 0 : lastTouchMs + QUIET_MS - performance.now());
  let takeBack: () => void = () => undefined;
  const wait = (): void => {
    const ms = left();
    if (ms > 0) {
      const timer = setTimeout(wait, ms);
      takeBack = () => clearTimeout(timer);
    } else takeBack = whenIdle(() => (left() > 0 ? wait() : call()));
  };
  wait();
  return () => takeBack();
}
