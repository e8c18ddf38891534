import { JoinedNumbers } from './joinedNumbers';

/** An ideal element: its place among the elements, and the terminals at its ends. */
export interface Ideal {
  readonly place: number;
  readonly a: number;
  readonly b: number;
}

/** In what order the currents of ideal elements follow from what flows into their terminals. */
export interface IdealPlan {
  /** One after the other, each the last that is left at a terminal: all that flows in there goes through it. */
  readonly lastAt: readonly (Ideal & { readonly terminal: number })[];
  /** What is left: groups of such side by side. */
  readonly rings: readonly (readonly Ideal[])[];
}

/**
 * Plans how the currents of ideal elements follow from one another.
 * @param count how many terminals are numbered
 */
export function planIdeal(ideal: readonly Ideal[], count: number): IdealPlan {
  const at = new Map<number, Set<Ideal>>();
  for (const one of ideal) {
    for (const terminal of [one.a, one.b]) at.set(terminal, (at.get(terminal) ?? new Set()).add(one));
  }
  const lastAt: (Ideal & { readonly terminal: number })[] = [];
  const ends = [...at.keys()];
  for (let terminal = ends.pop(); terminal !== undefined; terminal = ends.pop()) {
    const [last, another] = at.get(terminal) ?? [];
    if (!last || another) continue;
    lastAt.push({ ...last, terminal });
    const other = last.a === terminal ? last.b : last.a;
    at.get(terminal)?.delete(last);
    at.get(other)?.delete(last);
    ends.push(other);
  }
  const left = ideal.filter((one) => at.get(one.a)?.has(one));
  const joined = new JoinedNumbers(count);
  for (const { a, b } of left) joined.join(a, b);
  const rings = new Map<number, Ideal[]>();
  for (const one of left) rings.set(joined.rootOf(one.a), [...(rings.get(joined.rootOf(one.a)) ?? []), one]);
  return { lastAt, rings: [...rings.values()] };
}
