import type { Element } from './element';
import { topologyOf, type Topology } from './topology';

/** An element with the rows of the nodal matrix at its ends; −1 is node 0. */
export interface PlacedElement {
  readonly element: Element;
  /** Row of the first or plus end. */
  readonly a: number;
  /** Row of the second or minus end. */
  readonly b: number;
}

/** The nodes of a circuit as rows of its nodal matrix. */
export interface Nodes {
  readonly count: number;
  /** All but links, which join their two ends into one row. */
  readonly elements: readonly PlacedElement[];
  readonly topology: Topology;
  /** How far ideal sources lift each row above the unknown it goes with, V. */
  readonly aboveV: Float64Array;
  /** An ideal source that is shorted or closes a loop of such; none in a sound circuit. */
  readonly loop: Element | null;
  /** Row of a numbered terminal; −1 for node 0 and for one that no element touches. */
  rowOf(terminal: number): number;
}

/**
 * Turns numbered terminals into rows, joining those that ideal links make one.
 * @param count how many terminals are numbered
 * @param ground the terminal that is node 0
 */
export function numberNodes(elements: readonly Element[], count: number, ground: number): Nodes {
  const topology = topologyOf(elements, count, ground);
  const { rows, ends, ties } = topology;
  const placed: PlacedElement[] = [];
  let at = 0;
  for (const element of elements) {
    if (element.kind === 'link') continue;
    placed.push({ element, a: ends[at] ?? -1, b: ends[at + 1] ?? -1 });
    at += 2;
  }
  const aboveV = new Float64Array(topology.count);
  for (const { place, perV } of ties.lifts) {
    const source = placed[place]?.element;
    const emfV = source?.kind === 'source' ? source.emfV : 0;
    for (let row = 0; row < topology.count; row += 1) aboveV[row] = (aboveV[row] ?? 0) + emfV * (perV[row] ?? 0);
  }
  return {
    count: topology.count,
    elements: placed,
    topology,
    aboveV,
    loop: placed[ties.loop]?.element ?? null,
    rowOf: (terminal) => rows[terminal] ?? -1,
  };
}
