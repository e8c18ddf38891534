import { useEffect, useRef, type RefObject } from 'react';
import type { ScrollView } from 'react-native';
import type { Reach } from './reach';

const AROUND = 30;

/** Scrolls a drawing to what a test touches: to both of its points where they fit, else to the first. @param first,second parts or conductors; null for none */
export function useScrolledTo(
  first: string | null,
  second: string | null,
): { readonly room: RefObject<ScrollView | null>; readonly reach: RefObject<Reach | null> } {
  const room = useRef<ScrollView>(null);
  const reach = useRef<Reach>(null);
  useEffect(() => {
    const node = room.current?.getScrollableNode() as unknown as HTMLElement | undefined;
    const rowsOf = (ids: readonly (string | null)[]) =>
      reach.current?.rowsOf(ids.flatMap((id) => (id === null ? [] : [id]))) ?? null;
    const one = rowsOf([first]);
    const both = rowsOf([first, second]);
    if (!node || !one || node.clientHeight === 0) return;
    const fits = both && both.bottom - both.top + 2 * AROUND <= node.clientHeight;
    const rows = fits ? both : one;
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    node.scroll({
      top: Math.max(0, (rows.top + rows.bottom - node.clientHeight) / 2),
      behavior: still ? 'auto' : 'smooth',
    });
  }, [first, second]);
  return { room, reach };
}
