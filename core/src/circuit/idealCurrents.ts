import { elementA } from './curved';
import { solveDense } from './dense';
import { isIdeal } from './element';
import { planIdeal, type Ideal, type IdealPlan } from './idealPlan';
import { voltsOver, type Nodes } from './nodes';

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
  if (topology.idealPlan) return topology.idealPlan;
  const ideal = elements.flatMap((element, place) =>
    isIdeal(element) && element.a !== element.b ? [{ place, a: element.a, b: element.b }] : [],
  );
  topology.idealPlan = planIdeal(ideal, count);
  return topology.idealPlan;
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
