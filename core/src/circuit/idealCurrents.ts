import { elementA } from './curved';
import { solveDense } from './dense';
import { isIdeal } from './element';
import { JoinedNumbers } from './joinedNumbers';
import { voltsOver, type Nodes } from './nodes';
import type { Topology } from './topology';

/** An ideal element: its place among the elements, and the terminals at its ends. */
interface Ideal {
  readonly place: number;
  readonly a: number;
  readonly b: number;
}

/** In what order the currents of ideal elements follow from what flows into their terminals. */
interface IdealPlan {
  /** One after the other, each the last that is left at a terminal: all that flows in there goes through it. */
  readonly lastAt: readonly (Ideal & { readonly terminal: number })[];
  /** What is left: groups of such side by side. */
  readonly rings: readonly (readonly Ideal[])[];
}

const plans = new WeakMap<Topology, IdealPlan>();

/**
 * Amperes through joints, leads and sources without resistance, from their first
 * to their second end, by place. Their volts say nothing, so it follows from what
 * flows into each terminal; where several lie side by side they are taken as alike.
 * @param count how many terminals are numbered
 */
export function idealCurrents({ elements, topology }: Nodes, volts: Float64Array, count: number): Float64Array {
  const into = new Float64Array(count);
  elements.forEach((element, place) => {
    const { a, b } = element;
    const amps = elementA(element, voltsOver(topology, place, volts));
    into[a] = (into[a] ?? 0) - amps;
    into[b] = (into[b] ?? 0) + amps;
  });
  const currents = new Float64Array(elements.length);
  const { lastAt, rings } = planOf({ elements, topology }, count);
  for (const { place, a, b, terminal } of lastAt) {
    const amps = into[terminal] ?? 0;
    const other = terminal === a ? b : a;
    currents[place] = terminal === a ? amps : 0 - amps;
    into[other] = (into[other] ?? 0) + amps;
  }
  for (const ring of rings) solveRing(ring, into, currents);
  return currents;
}

function planOf({ elements, topology }: Pick<Nodes, 'elements' | 'topology'>, count: number): IdealPlan {
  const known = plans.get(topology);
  if (known) return known;
  const ideal = elements.flatMap((element, place) =>
    isIdeal(element) && element.a !== element.b ? [{ place, a: element.a, b: element.b }] : [],
  );
  const plan = planIdeal(ideal, count);
  plans.set(topology, plan);
  return plan;
}

function planIdeal(ideal: readonly Ideal[], count: number): IdealPlan {
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

/** The ideal elements of one group as equal conductances, their first terminal held. */
function solveRing(ring: readonly Ideal[], into: Float64Array, currents: Float64Array): void {
  const rows = new Map<number, number>();
  for (const { a, b } of ring) for (const end of [a, b]) if (!rows.has(end)) rows.set(end, rows.size - 1);
  const count = rows.size - 1;
  const matrix = new Float64Array(count * count);
  const right = new Float64Array(count);
  const add = (row: number, column: number, siemens: number) => {
    matrix[row * count + column] = (matrix[row * count + column] ?? 0) + siemens;
  };
  for (const [terminal, row] of rows) if (row >= 0) right[row] = into[terminal] ?? 0;
  const rowOf = (terminal: number) => rows.get(terminal) ?? -1;
  for (const { a, b } of ring) {
    const [one, other] = [rowOf(a), rowOf(b)];
    if (one >= 0) add(one, one, 1);
    if (other >= 0) add(other, other, 1);
    if (one < 0 || other < 0) continue;
    add(one, other, -1);
    add(other, one, -1);
  }
  if (!solveDense(matrix, [right], count)) return;
  for (const { place, a, b } of ring) currents[place] = (right[rowOf(a)] ?? 0) - (right[rowOf(b)] ?? 0);
}
