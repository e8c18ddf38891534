import { flushSync } from 'react-dom';
import { doneByNow, oncePainted } from './oncePainted';

/** A page that the renderer has not shown after so long is covered by nothing any more, ms. */
const GIVEN_UP_MS = 2000;

/**
 * Shows another of the things that are kept in a room (`Kept.tsx`) where it is ready, and has the renderer follow.
 * @param room what lies around those that are kept
 * @param name of the one that is asked for
 * @param follow has the renderer show it; at once where it is not ready
 */
export function showKept(room: HTMLElement | null, name: string, follow: () => void): void {
  doneByNow();
  const kept = [...(room?.querySelectorAll<HTMLElement>(':scope > [data-kept]') ?? [])];
  const rests = (one: HTMLElement) => one.getAttribute('aria-hidden') === 'true';
  const next = kept.find((one) => one.dataset.kept === name && rests(one));
  const before = kept.find((one) => !rests(one));
  if (!next || !before) return follow();
  next.dataset.ahead = 'shown';
  before.dataset.ahead = 'rests';
  oncePainted(() => {
    flushSync(follow);
    for (const { dataset } of [next, before]) delete dataset.ahead;
  });
}

/** The page that is made ready for an address (`resting.tsx`). */
function readyPage(href: string): HTMLElement | undefined {
  return [...document.querySelectorAll<HTMLElement>('[data-page][data-ready]')].find(({ dataset }) =>
    href.endsWith(`/${dataset.ready}`),
  );
}

/** The page under the one that is shown, in the stack's order; what is made ready lies in it too. */
function pageUnder(): HTMLElement | undefined {
  const pages = [...document.querySelectorAll<HTMLElement>('[data-page]')];
  const shown = pages.findIndex((page) => page.getAttribute('aria-hidden') !== 'true');
  return pages.slice(0, Math.max(0, shown)).findLast(({ dataset }) => dataset.ready === undefined);
}

function showPage(page: HTMLElement | undefined, go: () => void): void {
  if (!page) return go();
  page.dataset.ahead = 'shown';
  oncePainted(() => {
    // Once it is shown by the stack the page takes that back itself.
    setTimeout(() => delete page.dataset.ahead, GIVEN_UP_MS);
    go();
  });
}

/**
 * Shows the page that is made ready for an address, and goes there.
 * @param go has the stack show it; at once where it is not ready
 */
export function openPage(href: string, go: () => void): void {
  doneByNow();
  showPage(readyPage(href), go);
}

/**
 * Shows the page under the one that is shown, and goes back to it.
 * @param go has the stack show it
 */
export function backToPage(go: () => void): void {
  doneByNow();
  showPage(pageUnder(), go);
}
