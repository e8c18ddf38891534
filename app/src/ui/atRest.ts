import type { View } from 'react-native';
import { whenIdle } from '../whenIdle';
import { whenQuiet } from '../whenQuiet';

/** So long after it was first shown all of a page, what comes gradually too, was laid out, ms. */
export const SETTLED_MS = 1000;

/** What a view is in a browser. */
export const elementOf = (view: View | null): HTMLElement | null => view as unknown as HTMLElement | null;

/**
 * Works out the styles and the layout of what rests, and of its cards those that will be in sight: the browser would do so no
 * sooner than when it is shown, and its cards one frame later. The others follow (`cardsFollow`): it would lay out those
 * nearby together with what is in sight.
 */
function layOut(element: HTMLElement | null): void {
  if (!element) return;
  for (const card of element.querySelectorAll<HTMLElement>('[data-card]')) {
    const { top, bottom } = card.getBoundingClientRect();
    if (top < window.innerHeight && bottom > 0) card.dataset.inSight = '';
    else card.dataset.inSight = 'later';
  }
  // To say where its last part lies, all of it is laid out.
  element.lastElementChild?.getBoundingClientRect();
}

/** Lays out what was made ready or changed at rest, once nobody touched anything for a while. @returns what takes it back */
export function layOutAtRest(element: HTMLElement | null): () => void {
  return whenQuiet(() => layOut(element));
}

/** Of what was just shown and rests now, nothing changed: that is soon done. @returns what takes it back */
export function keepInSight(element: HTMLElement | null): () => void {
  return whenIdle(() => layOut(element));
}

/** Lets the cards of what was just shown come that are not in sight, once those are painted that are. @returns what takes that back */
export function cardsFollow(element: HTMLElement | null): () => void {
  let frame = requestAnimationFrame(() => {
    frame = requestAnimationFrame(() => {
      for (const card of element?.querySelectorAll<HTMLElement>('[data-in-sight=later]') ?? [])
        delete card.dataset.inSight;
    });
  });
  return () => cancelAnimationFrame(frame);
}
