import { terminalName, terminalsOf, type TerminalRef } from '@harbor-latch/core/circuit/index';
import type { Circuit } from '@harbor-latch/core/job/index';
import type { Plan } from '@harbor-latch/core/schemes/index';

export type Rewiring = NonNullable<Circuit['rewired']>;

/** What the next touch of a terminal does. */
export type RewireStep =
  | { readonly kind: 'choose' }
  | { readonly kind: 'move'; readonly wire: string; readonly end: 'from' | 'to' }
  | { readonly kind: 'add'; readonly from: TerminalRef | null }
  /** The next conductor chosen changes places with this one at the panel. */
  | { readonly kind: 'swap'; readonly wire: string };

/** The wiring with an end of a conductor on another terminal. */
export function movedTo(before: Rewiring | undefined, wire: string, end: 'from' | 'to', at: TerminalRef): Rewiring {
  const added = before?.added?.map((one) => (one.id === wire ? { ...one, [end]: terminalName(at) } : one));
  // One that was added is moved where it is listed.
  if (before?.added?.some(({ id }) => id === wire)) return { ...before, added: added ?? [] };
  const moved = { ...before?.moved, [wire]: { ...before?.moved?.[wire], [end]: terminalName(at) } };
  return { ...before, moved };
}

/** A pair of ends that can change places: both at the posts of one part, two different posts. */
interface Swap {
  readonly end: 'from' | 'to';
  readonly at: TerminalRef;
  readonly otherEnd: 'from' | 'to';
  readonly otherAt: TerminalRef;
}

type Wire = Pick<Plan['existing'][number], 'id' | 'from' | 'to'>;

/** How two conductors can change places; undefined where they meet no part with two posts for them. */
export function swapOf(one: Wire, other: Wire): Swap | undefined {
  const ends = ['from', 'to'] as const;
  return ends
    .flatMap((end) => ends.map((otherEnd) => ({ end, at: one[end], otherEnd, otherAt: other[otherEnd] })))
    .find(({ at, otherAt }) => at.part === otherAt.part && at.terminal !== otherAt.terminal);
}

/** The wiring with two conductors on each other's posts. */
export function swapped(before: Rewiring | undefined, one: Wire, other: Wire): Rewiring | undefined {
  const swap = swapOf(one, other);
  if (!swap) return before;
  return movedTo(movedTo(before, one.id, swap.end, swap.otherAt), other.id, swap.otherEnd, swap.at);
}

/** The wiring without a conductor. */
export function withoutWire(before: Rewiring | undefined, wire: string): Rewiring {
  const { [wire]: _moved, ...moved } = before?.moved ?? {};
  if (before?.added?.some(({ id }) => id === wire))
    return { ...before, added: before.added.filter(({ id }) => id !== wire) };
  return { ...before, moved, removed: [...(before?.removed ?? []), wire] };
}

/** The wiring with one more conductor. */
export function withAdded(before: Rewiring | undefined, from: TerminalRef, to: TerminalRef): Rewiring {
  const added = before?.added ?? [];
  const numbers = added.map(({ id }) => Number(/^added-(\d+)$/.exec(id)?.[1] ?? 0));
  const id = `added-${Math.max(0, ...numbers) + 1}`;
  return { ...before, added: [...added, { id, from: terminalName(from), to: terminalName(to) }] };
}

/** Every terminal of the circuit's parts; the ways of a joint count once. */
export function terminalsIn({ parts }: Plan): TerminalRef[] {
  return parts.flatMap(({ part }) =>
    terminalsOf(part)
      .slice(0, part.kind === 'joint' ? 1 : undefined)
      .map((terminal) => ({ part: part.id, terminal })),
  );
}
