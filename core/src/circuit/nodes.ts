import type { Element } from './element';
import { topologyOf, type Topology } from './topology';

/** The nodes of a circuit as rows of its nodal matrix. */
export interface Nodes {
  readonly elements: readonly Element[];
  readonly topology: Topology;
  /** How far ideal sources lift each row above the unknown it goes with, V. */
  readonly aboveV: Float64Array;
  /** An ideal source that is shorted or closes a loop of such; none in a sound circuit. */
  readonly loop: Element | null;
}

/**
 * Turns numbered terminals into rows, joining those that ideal links make one.
 * @param count how many terminals are numbered
 * @param ground the terminal that is node 0
 */
export function numberNodes(elements: readonly Element[], count: number, ground: number): Nodes {
  const topology = topologyOf(elements, count, ground);
  const { ties } = topology;
  const aboveV = new Float64Array(topology.count);
  for (const { place, perV } of ties.lifts) {
    const emfV = elements[place]?.emfV ?? 0;
    for (let row = 0; row < topology.count; row += 1) aboveV[row] = (aboveV[row] ?? 0) + emfV * (perV[row] ?? 0);
  }
  return { elements, topology, aboveV, loop: elements[ties.loop] ?? null };
}

/** Row of a numbered terminal; −1 for node 0 and for one that no element touches. */
export function rowOf({ topology }: Nodes, terminal: number): number {
  return topology.rows[terminal] ?? -1;
}

/** Volts across an element, from its first or plus end to the other. */
export function voltsOver({ ends }: Topology, place: number, volts: Float64Array): number {
  return (volts[ends[2 * place] ?? -1] ?? 0) - (volts[ends[2 * place + 1] ?? -1] ?? 0);
}
