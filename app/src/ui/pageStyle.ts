import { useEffect } from 'react';
import type { Palette } from './palette';

/** So far under its page's top something comes to stand when it is gone to: below what stays there, px. */
const UNDER_THE_TOP = 84;

/**
 * What holds for the whole page. A page under another, or made ready, keeps its layout (`resting.tsx`). Nothing glides where the device asks for stillness. The mark of what the keyboard is on: a dark ring within the edge of its own shape and a light one within that, so
 * that it shows on any ground, is cut off by no rounded card around it, and covers no words. What a finger is on shows it.
 */
function pageCss({ text, surface, accentSoft }: Palette): string {
  return `:focus-visible { outline: 3px solid ${text}; outline-offset: -3px; box-shadow: inset 0 0 0 5px ${surface}; }
input:focus-visible, textarea:focus-visible { outline-width: 2px; outline-offset: -2px; box-shadow: none; }
[data-holds-field]:focus-within { outline: 3px solid ${text}; outline-offset: -2px; }
[data-holds-field] input:focus-visible { outline: none; }
[data-press=soft]:active { background-color: ${accentSoft}; }
[data-press=dim]:active { opacity: 0.8; }
input, textarea, button, [role="radio"] { scroll-margin-top: ${UNDER_THE_TOP}px; }
svg :focus-visible { outline-offset: 1px; box-shadow: none; }
[role="dialog"]:focus-visible { outline: none; box-shadow: none; }
[data-card][data-in-sight=later] { content-visibility: hidden !important; }
[data-card][data-in-sight=''] { content-visibility: visible !important; }
@supports (content-visibility: hidden) {
  [data-page][aria-hidden=true]:not([data-ahead]) { display: flex !important; z-index: -1 !important; content-visibility: hidden; }
  [data-page=settles][aria-hidden=true]:not([data-ahead]) { content-visibility: visible; visibility: hidden; pointer-events: none !important; }
}
[data-ahead=shown] { display: flex !important; content-visibility: visible !important; visibility: visible !important; pointer-events: auto !important; z-index: auto !important; }
[data-page][data-ahead=shown] { z-index: 1 !important; }
[data-ahead=rests] { z-index: -1 !important; pointer-events: none !important; content-visibility: hidden !important; }
@supports not (content-visibility: hidden) { [data-ahead=rests] { visibility: hidden !important; } }
@media (prefers-reduced-motion: reduce) { * { transition: none !important; scroll-behavior: auto !important; } }`;
}

/** Marks a box that frames a field and what belongs to it: the mark of focus goes about all of it. */
export const holdsField = { dataSet: { holdsField: '' } } as object;

/** Puts the style of the whole page in force, in its theme. */
export function usePageStyle(palette: Palette): void {
  useEffect(() => {
    const style = document.createElement('style');
    style.textContent = pageCss(palette);
    document.head.append(style);
    return () => style.remove();
  }, [palette]);
}
