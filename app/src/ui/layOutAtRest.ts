import { whenIdle } from './whenIdle';

/** So long after a change all of a page, what comes gradually too, was laid out, ms. */
export const SETTLED_MS = 1000;

/**
 * Works out the styles and the layout of what rests, while the browser has nothing else to do: it would do so no sooner than
 * when that is shown. @returns what takes it back
 */
export function layOutAtRest(element: Element | null): () => void {
  return whenIdle(() => {
    // To say where its last part lies, all of it is laid out.
    element?.lastElementChild?.getBoundingClientRect();
  });
}
