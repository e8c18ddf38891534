import { elementA } from './curved';
import { solveDense } from './dense';
import { firstEnd, isIdeal, secondEnd, type Element } from './element';
import { JoinedNumbers } from './joinedNumbers';
import type { Nodes } from './nodes';
import type { Settled } from './operatingPoint';

/**
 * Amperes through joints, leads and sources without resistance, from their first
 * to their second end. Their volts say nothing, so it follows from what flows
 * into each terminal; where several lie side by side they are taken as alike.
 * @param count how many terminals are numbered
 */
export function idealCurrents(
  elements: readonly Element[],
  nodes: Nodes,
  { volts }: Settled,
  count: number,
): ReadonlyMap<Element, number> {
  const ideal = elements.filter(isIdeal).map((element) => ({ element, a: firstEnd(element), b: secondEnd(element) }));
  const joined = new JoinedNumbers(count);
  for (const { a, b } of ideal) joined.join(a, b);
  const groups = new Map<number, Ideal[]>();
  for (const one of ideal) {
    const root = joined.rootOf(one.a);
    const group = groups.get(root);
    if (group) group.push(one);
    else groups.set(root, [one]);
  }
  const into = new Float64Array(count);
  for (const placed of nodes.elements) {
    const amps = elementA(placed, volts);
    const [first, second] = [firstEnd(placed.element), secondEnd(placed.element)];
    into[first] = (into[first] ?? 0) - amps;
    into[second] = (into[second] ?? 0) + amps;
  }
  const currents = new Map<Element, number>();
  for (const group of groups.values()) solveGroup(group, into, currents);
  return currents;
}

interface Ideal {
  readonly element: Element;
  readonly a: number;
  readonly b: number;
}

/** The ideal elements of one group as equal conductances, their first terminal held. */
function solveGroup(group: readonly Ideal[], into: Float64Array, currents: Map<Element, number>): void {
  const rows = new Map<number, number>();
  for (const { a, b } of group) for (const end of [a, b]) if (!rows.has(end)) rows.set(end, rows.size - 1);
  const count = rows.size - 1;
  const matrix = new Float64Array(count * count);
  const right = new Float64Array(count);
  const add = (row: number, column: number, siemens: number) => {
    matrix[row * count + column] = (matrix[row * count + column] ?? 0) + siemens;
  };
  for (const [terminal, row] of rows) if (row >= 0) right[row] = into[terminal] ?? 0;
  const rowOf = (terminal: number) => rows.get(terminal) ?? -1;
  for (const { a, b } of group) {
    const [one, other] = [rowOf(a), rowOf(b)];
    if (one === other) continue;
    if (one >= 0) add(one, one, 1);
    if (other >= 0) add(other, other, 1);
    if (one < 0 || other < 0) continue;
    add(one, other, -1);
    add(other, one, -1);
  }
  if (!solveDense(matrix, [right], count)) return;
  for (const { element, a, b } of group) currents.set(element, (right[rowOf(a)] ?? 0) - (right[rowOf(b)] ?? 0));
}
