import { Wirings } from './terminals';
import { Topologies } from './topology';

/**
 * What solving remembers from one netlist to the next: how conductors join and how the
 * equations of a circuit are eliminated. It changes no answer; who solves much keeps
 * one and passes it. One solve at a time uses it: the arrays that solves fill are its own.
 */
export class SolverMemory {
  readonly wirings = new Wirings();
  readonly topologies = new Topologies();
}
