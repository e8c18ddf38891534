import type { Element } from './element';
import { isCurved, restingConductance } from './curved';
import { eliminate } from './elimination';
import type { Nodes } from './nodes';
import type { Topology } from './topology';

/** Every node has this conductance to node 0, so that a floating node has an answer. */
const LEAK_S = 1e-12;

/** The nodal equations: a conductance matrix, and the currents fed into each unknown. */
export interface System {
  readonly right: Float64Array;
  /**
   * Solves for the currents fed in and for further right sides, in place, once.
   * @returns false when the equations have no single answer
   */
  solve(further: readonly Float64Array[]): boolean;
}

/**
 * The equations with motors standing, and with diodes in the states given.
 * @param islands groups of rows that nothing joins to node 0: one row of each is held
 * @param conducting the diodes that conduct, the rest being open; null: all of them as their resistance
 */
export function equationsOf(
  nodes: Nodes,
  islands: Topology['islands'],
  conducting: ReadonlySet<Element> | null,
): System {
  const { topology, aboveV } = nodes;
  const { unknowns, unknownOf } = topology.ties;
  const { elimination } = topology;
  const diagonal = new Float64Array(unknowns).fill(LEAK_S);
  const entries = new Float64Array(elimination.beside.length);
  const right = new Float64Array(unknowns);
  const stamp = (place: number, a: number, b: number, siemens: number) => {
    const [one, other] = [unknownOf[a] ?? -1, unknownOf[b] ?? -1];
    if (one === other) return;
    if (one >= 0) diagonal[one] = (diagonal[one] ?? 0) + siemens;
    if (other >= 0) diagonal[other] = (diagonal[other] ?? 0) + siemens;
    const entry = elimination.entryOf[place] ?? -1;
    if (entry >= 0) entries[entry] = (entries[entry] ?? 0) - siemens;
    const betweenV = (aboveV[a] ?? 0) - (aboveV[b] ?? 0);
    if (betweenV !== 0) feed(right, one, other, siemens * betweenV);
  };
  // The leak is lost beside the large conductances within a floating island, so one of its nodes is held.
  for (const [held] of islands) {
    const unknown = held === undefined ? -1 : (unknownOf[held] ?? -1);
    if (unknown >= 0) diagonal[unknown] = (diagonal[unknown] ?? 0) + 1;
  }
  nodes.elements.forEach((placed, place) => {
    const { element, a, b } = placed;
    if (element.kind === 'diode' && conducting) {
      if (!conducting.has(element)) return;
      stamp(place, a, b, 1 / element.ohm);
      stampCurrent(topology, right, a, b, -element.dropV / element.ohm);
    } else if (isCurved(placed)) {
      stamp(place, a, b, restingConductance(placed.element));
    } else if (element.kind === 'resistor') {
      stamp(place, a, b, 1 / element.ohm);
    } else if (element.kind === 'sink') {
      stampCurrent(topology, right, a, b, element.amps);
    } else if (element.kind === 'source' && element.ohm > 0) {
      stamp(place, a, b, 1 / element.ohm);
      stampCurrent(topology, right, b, a, element.emfV / element.ohm);
    }
  });
  return { right, solve: (further) => eliminate(elimination, diagonal, entries, [right, ...further]) };
}

/** A current of `amps` from row `from`, through an element, into row `to`. */
export function stampCurrent({ ties }: Topology, right: Float64Array, from: number, to: number, amps: number): void {
  feed(right, ties.unknownOf[from] ?? -1, ties.unknownOf[to] ?? -1, amps);
}

/** Node 0 has no equation. */
function feed(right: Float64Array, from: number, to: number, amps: number): void {
  if (from >= 0) right[from] = (right[from] ?? 0) - amps;
  if (to >= 0) right[to] = (right[to] ?? 0) + amps;
}
