import type { View } from 'react-native';
import { whenIdle } from '../whenIdle';
import { whenQuiet } from './whenQuiet';

/** So long after it was first shown all of a page, what comes gradually too, was laid out, ms. */
export const SETTLED_MS = 1000;

/** What a view is in a browser. */
export const elementOf = (view: View | null): HTMLElement | null => view as unknown as HTMLElement | null;

/**
 * Works out the styles and the layout of what rests, and of its cards those that will be in sight: the browser would do so no
 * sooner than when it is shown, and its cards one frame later.
 */
function layOut(element: HTMLElement | null): void {
  if (!element) return;
  for (const card of element.querySelectorAll<HTMLElement>('[data-card]')) {
    const { top, bottom } = card.getBoundingClientRect();
    if (top < window.innerHeight && bottom > 0) card.dataset.inSight = '';
    else delete card.dataset.inSight;
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
