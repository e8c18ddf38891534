import type { Element } from './element';
import { restingConductance } from './curved';
import { eliminate } from './elimination';
import type { Nodes } from './nodes';
import type { Topology } from './topology';

/** Every node has this conductance to node 0, so that a floating node has an answer. */
const LEAK_S = 1e-12;

/**
 * The nodal equations: a conductance matrix, and the currents fed into each
 * unknown. They stand in the topology's own work arrays, so one system of a
 * topology is done with before the next is made.
 */
export class System {
  /** Currents fed in, A. */
  readonly right: Float64Array;
  /** Volts of the unknowns for one ampere fed in at each curved element, V; once solved. */
  readonly fedIn: readonly Float64Array[];
  private readonly diagonal: Float64Array;
  private readonly entries: Float64Array;
  /** How far ideal sources lift each row above the unknown it goes with, V. */
  private readonly aboveV: Float64Array;

  /**
   * The equations with motors standing, and with diodes in the states given.
   * @param islands groups of rows that nothing joins to node 0: one row of each is held
   * @param conducting places of the diodes that conduct, the rest being open; null: all of them as their resistance
   * @param curved places of the elements that draw less than they do at rest
   */
  constructor(
    private readonly nodes: Nodes,
    islands: Topology['islands'],
    conducting: ReadonlySet<number> | null,
    curved: readonly number[],
  ) {
    const { topology } = nodes;
    const { unknownOf } = topology.ties;
    const { work } = topology;
    this.diagonal = work.diagonal.fill(LEAK_S);
    this.entries = work.entries.fill(0);
    this.right = work.right.fill(0);
    this.fedIn = work.fedIn.slice(0, curved.length);
    curved.forEach((place, index) => {
      const column = this.fedIn[index]?.fill(0);
      if (column) feedThrough(topology, column, place, -1);
    });
    this.aboveV = this.lifted(work.aboveV.fill(0));
    // The leak is lost beside the large conductances within a floating island, so one of its nodes is held.
    for (const [held] of islands) {
      const unknown = held === undefined ? -1 : (unknownOf[held] ?? -1);
      if (unknown >= 0) this.diagonal[unknown] = (this.diagonal[unknown] ?? 0) + 1;
    }
    const { elements } = nodes;
    for (let place = 0; place < elements.length; place += 1) {
      const element = elements[place];
      if (element) this.add(element, place, conducting);
    }
  }

  /**
   * Solves for the currents fed in and for one ampere at each curved element, in place, once.
   * @returns volts of every row with the curved elements at rest; null when the equations have no single answer
   */
  solve(): Float64Array | null {
    const { topology } = this.nodes;
    if (!eliminate(topology.elimination, this.diagonal, this.entries, [this.right, ...this.fedIn])) return null;
    const { unknownOf } = topology.ties;
    const volts = new Float64Array(topology.count);
    for (let row = 0; row < volts.length; row += 1)
      volts[row] = (this.right[unknownOf[row] ?? -1] ?? 0) + (this.aboveV[row] ?? 0);
    return volts;
  }

  private lifted(aboveV: Float64Array): Float64Array {
    const { elements, topology } = this.nodes;
    for (const { place, perV } of topology.ties.lifts) {
      const emfV = elements[place]?.emfV ?? 0;
      for (let row = 0; row < aboveV.length; row += 1) aboveV[row] = (aboveV[row] ?? 0) + emfV * (perV[row] ?? 0);
    }
    return aboveV;
  }

  private add(element: Element, place: number, conducting: ReadonlySet<number> | null): void {
    switch (element.kind) {
      case 'link':
        return;
      case 'resistor':
        this.stamp(place, 1 / element.ohm);
        return;
      case 'sink':
        feedThrough(this.nodes.topology, this.right, place, element.amps);
        return;
      case 'source':
        if (element.ohm === 0) return;
        this.stamp(place, 1 / element.ohm);
        feedThrough(this.nodes.topology, this.right, place, -element.emfV / element.ohm);
        return;
      case 'diode':
      case 'motor':
        if (element.kind === 'motor' || !conducting) {
          this.stamp(place, restingConductance(element));
          return;
        }
        if (!conducting.has(place)) return;
        this.stamp(place, 1 / element.ohm);
        feedThrough(this.nodes.topology, this.right, place, -element.dropV / element.ohm);
        return;
      default:
        element satisfies never;
    }
  }

  private stamp(place: number, siemens: number): void {
    const { topology } = this.nodes;
    const { unknownOf } = topology.ties;
    const a = topology.ends[2 * place] ?? -1;
    const b = topology.ends[2 * place + 1] ?? -1;
    const one = unknownOf[a] ?? -1;
    const other = unknownOf[b] ?? -1;
    if (one === other) return;
    if (one >= 0) this.diagonal[one] = (this.diagonal[one] ?? 0) + siemens;
    if (other >= 0) this.diagonal[other] = (this.diagonal[other] ?? 0) + siemens;
    const entry = topology.elimination.entryOf[place] ?? -1;
    if (entry >= 0) this.entries[entry] = (this.entries[entry] ?? 0) - siemens;
    const betweenV = (this.aboveV[a] ?? 0) - (this.aboveV[b] ?? 0);
    if (betweenV !== 0) feed(this.right, one, other, siemens * betweenV);
  }
}

/** A current of `amps` through the element at a place, from its first or plus end to the other. */
function feedThrough({ ties, ends }: Topology, right: Float64Array, place: number, amps: number): void {
  feed(right, ties.unknownOf[ends[2 * place] ?? -1] ?? -1, ties.unknownOf[ends[2 * place + 1] ?? -1] ?? -1, amps);
}

/** Node 0 has no equation. */
function feed(right: Float64Array, from: number, to: number, amps: number): void {
  if (from >= 0) right[from] = (right[from] ?? 0) - amps;
  if (to >= 0) right[to] = (right[to] ?? 0) + amps;
}
