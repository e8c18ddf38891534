import type { Element } from './element';
import { solveLinear } from './linear';
import { motorAt } from './motor';
import { joinedNodes, type NodeIndex } from './nodes';
import type { Netlist, TerminalRef } from './netlist';
import { elementsOf, nodeName, type Setting } from './parts';

/** Every node has this conductance to node 0, so that a floating node has an answer. */
const LEAK_S = 1e-12;
const MAX_ITERATIONS = 200;
const DAMPED_AFTER = 40;
const SETTLED_V = 1e-10;

export class CircuitError extends Error {
  constructor(
    readonly code: 'singular' | 'not-settled',
    message: string,
  ) {
    super(message);
  }
}

/** The DC operating point of a netlist in one setting. */
export interface OperatingPoint {
  /** Volts of a terminal against battery negative. */
  voltsAt(terminal: TerminalRef): number;
  /** Amperes through a conductor from its `from` to its `to` end; NaN for an ideal one, whose share is not defined. */
  conductorA(id: string): number;
  /** Volts between a part's two terminals. */
  voltsAcross(part: string, plus: string, minus: string): number;
  readonly iterations: number;
}

/**
 * Solves a netlist by modified nodal analysis, with Newton's method over the
 * motors, which start standing.
 * @throws CircuitError when ideal sources contradict each other or the iteration does not settle.
 */
export function solve(netlist: Netlist, setting: Setting): OperatingPoint {
  const elements = netlist.parts.flatMap((part) => elementsOf(part, setting));
  const wires = netlist.conductors.map((wire): Element => {
    const a = nodeName(wire.from.part, wire.from.terminal);
    const b = nodeName(wire.to.part, wire.to.terminal);
    return wire.ohm === 0 ? { kind: 'link', a, b } : { kind: 'resistor', a, b, ohm: wire.ohm };
  });
  const all = [...elements, ...wires];
  const nodes = joinedNodes(all, nodeName(netlist.ground.part, netlist.ground.terminal));
  const { volts, iterations } = iterate(all, nodes);

  const voltsOf = (node: string): number => {
    const index = nodes.indexOf(node);
    return index < 0 ? 0 : (volts[index] ?? 0);
  };
  const voltsAt = (terminal: TerminalRef) => voltsOf(nodeName(terminal.part, terminal.terminal));
  return {
    iterations,
    voltsAt,
    voltsAcross: (part, plus, minus) => voltsAt({ part, terminal: plus }) - voltsAt({ part, terminal: minus }),
    conductorA: (id) => {
      const wire = netlist.conductors.find((candidate) => candidate.id === id);
      if (!wire || wire.ohm === 0) return NaN;
      return (voltsAt(wire.from) - voltsAt(wire.to)) / wire.ohm;
    },
  };
}

interface Iterated {
  readonly volts: Float64Array;
  readonly iterations: number;
}

function iterate(elements: readonly Element[], nodes: NodeIndex): Iterated {
  const idealSources = elements.filter((element) => element.kind === 'source' && element.ohm === 0).length;
  const unknowns = nodes.count + idealSources;
  const matrix = new Float64Array(unknowns * unknowns);
  const right = new Float64Array(unknowns);
  let volts: Float64Array = new Float64Array(nodes.count);
  const nonlinear = elements.some((element) => element.kind === 'motor');
  for (let iteration = 1; iteration <= MAX_ITERATIONS; iteration += 1) {
    matrix.fill(0);
    right.fill(0);
    stampAll(elements, nodes, volts, { matrix, right, size: unknowns });
    if (!solveLinear(matrix, right, unknowns)) {
      throw new CircuitError('singular', 'Two ideal sources contradict each other: the circuit has no single answer.');
    }
    const damping = iteration > DAMPED_AFTER ? 0.5 : 1;
    const next = volts.map((before, index) => before + damping * ((right[index] ?? 0) - before));
    const change = next.reduce((worst, value, index) => Math.max(worst, Math.abs(value - (volts[index] ?? 0))), 0);
    volts = next;
    if (!nonlinear || change < SETTLED_V) return { volts, iterations: iteration };
  }
  throw new CircuitError('not-settled', `The circuit did not settle in ${MAX_ITERATIONS} steps.`);
}

interface System {
  readonly matrix: Float64Array;
  readonly right: Float64Array;
  readonly size: number;
}

function stampAll(elements: readonly Element[], nodes: NodeIndex, volts: Float64Array, system: System): void {
  for (let node = 0; node < nodes.count; node += 1) add(system, node, node, LEAK_S);
  let branch = nodes.count;
  for (const element of elements) {
    switch (element.kind) {
      case 'link':
        break;
      case 'resistor':
        stampConductance(system, nodes.indexOf(element.a), nodes.indexOf(element.b), 1 / element.ohm);
        break;
      case 'source': {
        const plus = nodes.indexOf(element.plus);
        const minus = nodes.indexOf(element.minus);
        if (element.ohm > 0) {
          stampConductance(system, plus, minus, 1 / element.ohm);
          stampCurrent(system, minus, plus, element.emfV / element.ohm);
        } else {
          stampIdealSource(system, plus, minus, branch, element.emfV);
          branch += 1;
        }
        break;
      }
      case 'sink':
        stampCurrent(system, nodes.indexOf(element.plus), nodes.indexOf(element.minus), element.amps);
        break;
      case 'motor': {
        const plus = nodes.indexOf(element.plus);
        const minus = nodes.indexOf(element.minus);
        const across = (volts[plus] ?? 0) - (volts[minus] ?? 0);
        const point = motorAt(element.motor, across, element.condition);
        stampConductance(system, plus, minus, point.slopeS);
        stampCurrent(system, plus, minus, point.amps - point.slopeS * across);
        break;
      }
      default:
        element satisfies never;
    }
  }
}

/** Ground has index −1 and no row. */
function add(system: System, row: number, column: number, value: number): void {
  if (row < 0 || column < 0) return;
  const index = row * system.size + column;
  system.matrix[index] = (system.matrix[index] ?? 0) + value;
}

function stampConductance(system: System, a: number, b: number, siemens: number): void {
  add(system, a, a, siemens);
  add(system, b, b, siemens);
  add(system, a, b, -siemens);
  add(system, b, a, -siemens);
}

/** A current of `amps` from node `from`, through the element, into node `to`. */
function stampCurrent(system: System, from: number, to: number, amps: number): void {
  if (from >= 0) system.right[from] = (system.right[from] ?? 0) - amps;
  if (to >= 0) system.right[to] = (system.right[to] ?? 0) + amps;
}

function stampIdealSource(system: System, plus: number, minus: number, branch: number, emfV: number): void {
  add(system, plus, branch, 1);
  add(system, minus, branch, -1);
  add(system, branch, plus, 1);
  add(system, branch, minus, -1);
  system.right[branch] = emfV;
}
