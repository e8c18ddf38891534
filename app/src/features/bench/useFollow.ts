import { roles, type BenchState } from '@harbor-latch/core/circuit/index';
import { useEffect, useRef, type RefObject } from 'react';
import type { ScrollView } from 'react-native';
import type { Reach } from '../../drawing/reach';
import { useStable } from '../../ui/useStable';

/** So much of the drawing stays in sight around what was touched, px. */
const AROUND = 24;

/** What differs between two states of the bench: switches, floats, fuses, and where faults sit. */
export function touchedBetween(before: BenchState, after: BenchState): string[] {
  const moved = (one: Readonly<Record<string, string>>, other: Readonly<Record<string, string>>) =>
    [...new Set([...Object.keys(one), ...Object.keys(other)])].filter((id) => one[id] !== other[id]);
  const faultsOf = ({ faults }: BenchState) => faults.map(({ code, at, degree }) => `${code} ${at} ${degree ?? ''}`);
  const only = (these: readonly string[], those: readonly string[]) => these.filter((one) => !those.includes(one));
  const faults = [...only(faultsOf(after), faultsOf(before)), ...only(faultsOf(before), faultsOf(after))].flatMap(
    (fault) => (fault.split(' ')[1] ?? '').split('~'),
  );
  return [
    ...moved(before.setting.switches, after.setting.switches),
    ...moved(before.setting.floats, after.setting.floats),
    ...only(after.open, before.open),
    ...only(before.open, after.open),
    ...faults,
  ];
}

/** Scrolls the drawing so that what was just flipped, lifted, pulled or broken is in sight; what is already stays where it is. */
export function useFollow(state: BenchState): {
  readonly reach: RefObject<Reach | null>;
  readonly room: RefObject<ScrollView | null>;
} {
  const reach = useRef<Reach>(null);
  const room = useRef<ScrollView>(null);
  const last = useRef(state);
  const follow = useStable((touched: readonly string[]) => {
    const node = room.current?.getScrollableNode() as unknown as HTMLElement | undefined;
    const own = reach.current?.rowsOf(touched);
    if (!node || !own) return;
    const { scrollTop, clientHeight } = node;
    // The pump beside it tells what came of it, where both have room.
    const both = reach.current?.rowsOf([...touched, roles.pump]);
    const rows = both && both.bottom - both.top + 2 * AROUND <= clientHeight ? both : own;
    const [top, bottom] = [rows.top - AROUND, rows.bottom + AROUND];
    // What is not laid out shows nothing to follow.
    if (clientHeight === 0) return;
    if (top >= scrollTop && bottom <= scrollTop + clientHeight) return;
    // What is taller than the window shows its upper end.
    const to = bottom - top > clientHeight ? top : (top + bottom - clientHeight) / 2;
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    // “scrollTo” of this element is the component’s own, with other words.
    node.scroll({ top: Math.max(0, to), behavior: still ? 'auto' : 'smooth' });
  });
  useEffect(() => {
    const touched = touchedBetween(last.current, state);
    last.current = state;
    if (touched.length === 0) return undefined;
    // What was touched is painted first: where the drawing stands can be asked only once all of it is laid out.
    let soon: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      soon = setTimeout(() => follow(touched), 0);
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(soon);
    };
  }, [state, follow]);
  return { reach, room };
}
