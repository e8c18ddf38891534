import type { Element } from './element';
import type { Topologies, Topology } from './topology';

/** The nodes of a circuit as rows of its nodal matrix. */
export interface Nodes {
  readonly elements: readonly Element[];
  readonly topology: Topology;
  /** An ideal source that is shorted or closes a loop of such; none in a sound circuit. */
  readonly loop: Element | null;
}

/**
 * Turns numbered terminals into rows, joining those that ideal links make one.
 * @param count how many terminals are numbered
 * @param ground the terminal that is node 0
 */
export function numberNodes(
  elements: readonly Element[],
  count: number,
  ground: number,
  topologies: Topologies,
): Nodes {
  const topology = topologies.of(elements, count, ground);
  return { elements, topology, loop: elements[topology.ties.loop] ?? null };
}

/** Row of a numbered terminal; −1 for node 0 and for one that no element touches. */
export function rowOf({ topology }: Nodes, terminal: number): number {
  return topology.rows[terminal] ?? -1;
}

/** Volts across an element, from its first or plus end to the other. */
export function voltsOver({ ends }: Topology, place: number, volts: Float64Array): number {
  return (volts[ends[2 * place] ?? -1] ?? 0) - (volts[ends[2 * place + 1] ?? -1] ?? 0);
}
