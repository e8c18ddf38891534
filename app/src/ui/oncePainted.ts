/** Whatever comes before what waits was done waits for it; also where the page is left. */
const NEXT = ['pointerdown', 'click', 'keydown', 'popstate', 'visibilitychange', 'pagehide'] as const;

/** What waits for the frame; one thing at a time. */
let waiting: (() => void) | null = null;

/**
 * Does what follows from a touch once the browser has painted what it shows of it already: to find and change what stands
 * otherwise now takes the renderer half of the time to the answer on a phone. Sooner, where something else is touched before,
 * and at once where nothing is painted.
 */
export function oncePainted(follow: () => void): void {
  doneByNow();
  if (document.hidden) return follow();
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const now = () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
    for (const kind of NEXT) removeEventListener(kind, now, { capture: true });
    waiting = null;
    follow();
  };
  waiting = now;
  for (const kind of NEXT) addEventListener(kind, now, { capture: true });
  frame = requestAnimationFrame(() => {
    timer = setTimeout(now);
  });
}

/** Does at once what still waits for its frame. */
export const doneByNow = (): void => waiting?.();
