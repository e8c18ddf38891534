/** A finger that rests longer asks for something else, ms. */
const LONG_MS = 450;
/** A finger that went further taps nothing, px. */
const SLOP_PX = 10;
/** So soon after the page moved a finger only holds it, ms. */
const MOVING_MS = 150;
/** So long after a tap the browser's own click may follow, ms. */
const CLICK_FOLLOWS_MS = 700;

/** What is told of a finger beside its touches. Nothing in the page hears it, and yet the renderer would look through all of it for who does. */
const UNHEARD = [
  'pointerover',
  'pointerdown',
  'gotpointercapture',
  'pointermove',
  'pointerup',
  'pointercancel',
  'lostpointercapture',
  'pointerout',
] as const;

interface Finger {
  readonly id: number;
  readonly x: number;
  readonly y: number;
  readonly ms: number;
}

const isText = (element: Element | null): element is HTMLElement =>
  element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement;

/** What a tap on it presses: a surface of ours, unless something in it hears touches for itself. */
function pressed(target: EventTarget | null): HTMLElement | null {
  if (!(target instanceof Element)) return null;
  const surface = target.closest<HTMLElement>('[data-press]');
  const own = target.closest('input, textarea, select, a[href], label');
  return surface && !(own && surface.contains(own)) ? surface : null;
}

/**
 * Answers a tap as soon as the finger leaves. The browser first looks whether it was one, then plays a mouse that comes, goes
 * down and up, each with its own search for what lies there: a third of the time to the answer on a phone. A finger
 * that goes on, rests long or holds a page that moves, a second finger, a mouse, a pen, a key and a screen reader are left to it.
 * @returns what ends that
 */
export function answerTapsAtOnce(): () => void {
  let finger: Finger | null = null;
  let movedMs = -Infinity;
  let answered: Finger | null = null;

  const down = (event: PointerEvent) => {
    answered = null;
    const alone = event.isPrimary && event.pointerType === 'touch' && event.timeStamp - movedMs > MOVING_MS;
    finger = alone ? { id: event.pointerId, x: event.clientX, y: event.clientY, ms: event.timeStamp } : null;
  };
  const gone = () => {
    finger = null;
  };
  const up = (event: PointerEvent) => {
    const from = finger;
    finger = null;
    if (!from || event.pointerId !== from.id || event.timeStamp - from.ms > LONG_MS) return;
    if (Math.hypot(event.clientX - from.x, event.clientY - from.y) > SLOP_PX) return;
    const surface = pressed(event.target);
    if (!surface) return;
    answered = { ...from, ms: event.timeStamp };
    // Heard where the finger came down, even if the press takes that out of the page.
    event.target?.addEventListener('touchend', (end) => end.cancelable && end.preventDefault(), {
      once: true,
      passive: false,
    });
    // What is being typed is done with, as when a mouse goes down elsewhere.
    const typed = document.activeElement;
    if (isText(typed)) typed.blur();
    surface.click();
  };
  /** The browser's own click on what was answered already, or on what came to lie there since. One without a finger, as a key's, counts none. */
  const click = (event: MouseEvent) => {
    if (!answered || event.detail === 0 || event.timeStamp - answered.ms > CLICK_FOLLOWS_MS) return;
    if (Math.hypot(event.clientX - answered.x, event.clientY - answered.y) > 2 * SLOP_PX) return;
    answered = null;
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  const moved = (event: Event) => {
    movedMs = event.timeStamp;
  };

  const unheard = (event: PointerEvent) => {
    if (event.pointerType === 'touch') event.stopPropagation();
  };

  const ears = [
    ...UNHEARD.map((kind) => [kind, unheard] as const),
    ['pointerdown', down],
    ['pointerup', up],
    ['pointercancel', gone],
    ['click', click],
    ['scroll', moved],
  ] as const;
  for (const [kind, hear] of ears)
    addEventListener(kind, hear as EventListener, { capture: true, passive: kind !== 'click' });
  return () => {
    for (const [kind, hear] of ears) removeEventListener(kind, hear as EventListener, { capture: true });
  };
}
