import { resistance, type Element } from './element';
import { solveLinear } from './linear';
import { motorAt } from './motor';
import { numberNodes, type Nodes, type PlacedElement } from './nodes';
import type { Netlist, TerminalRef } from './netlist';
import { elementsOf, type Setting } from './parts';
import { terminalNumbers } from './terminals';

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
 * motors and LEDs; motors start standing.
 * @throws CircuitError when ideal sources contradict each other or the iteration does not settle.
 */
export function solve(netlist: Netlist, setting: Setting): OperatingPoint {
  const numbers = terminalNumbers(netlist);
  const elements: Element[] = [];
  for (const part of netlist.parts) {
    const node = (terminal: string) => numbers.numberOf({ part: part.id, terminal });
    elements.push(...elementsOf(part, node, setting));
  }
  for (const { from, to, ohm } of netlist.conductors) {
    elements.push(resistance(numbers.numberOf(from), numbers.numberOf(to), ohm));
  }
  const ground = numbers.numberOf(netlist.ground);
  const nodes = numberNodes(elements, numbers.count, ground);
  const { volts, iterations } = iterate(nodes);
  const { count } = numbers;
  const voltsAt = (terminal: TerminalRef) => {
    const number = numbers.numberOf(terminal);
    return number < count ? (volts[nodes.rowOf(number)] ?? 0) : 0;
  };
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

/**
 * Motors standing and LEDs without their threshold are resistances, so the
 * network with them is linear and is eliminated once; what they really draw less
 * is a current fed in at their terminals. Newton's method then runs over the
 * volts of these few alone: v = v0 + Z·j(v).
 */
function iterate(nodes: Nodes): Iterated {
  const idealSources = nodes.elements.filter(({ element }) => element.kind === 'source' && element.ohm === 0).length;
  const size = nodes.count + idealSources;
  const curved = nodes.elements.filter(isCurved);
  const system: System = { matrix: new Float64Array(size * size), right: new Float64Array(size), size };
  stampLinear(nodes, system);
  const fedIn = curved.map(({ a, b }) => {
    const column = new Float64Array(size);
    stampCurrent(column, b, a, 1);
    return column;
  });
  if (!solveLinear(system.matrix, [system.right, ...fedIn], size)) {
    throw new CircuitError('singular', 'Two ideal sources contradict each other: the circuit has no single answer.');
  }
  const { amps, iterations } = settle(curved, system.right, fedIn);
  const volts = system.right.slice(0, nodes.count);
  fedIn.forEach((column, index) => {
    for (let row = 0; row < nodes.count; row += 1)
      volts[row] = (volts[row] ?? 0) + (amps[index] ?? 0) * (column[row] ?? 0);
  });
  return { volts: centred(volts, nodes), iterations };
}

/** The currents fed in at the curved elements' terminals once all have settled, A. */
function settle(
  curved: readonly PlacedCurved[],
  standing: Float64Array,
  fedIn: readonly Float64Array[],
): { readonly amps: readonly number[]; readonly iterations: number } {
  const count = curved.length;
  const across = ({ a, b }: PlacedCurved, solution: Float64Array) => (solution[a] ?? 0) - (solution[b] ?? 0);
  const startV = curved.map((element) => across(element, standing));
  let volts = startV;
  for (let iteration = 1; iteration <= MAX_ITERATIONS; iteration += 1) {
    const drawn = curved.map(({ element }, index) => lessThanResting(element, volts[index] ?? 0));
    const misses = Float64Array.from(curved, (one, row) =>
      drawn.reduce(
        (miss, { amps }, index) => miss + amps * across(one, fedIn[index] ?? standing),
        (startV[row] ?? 0) - (volts[row] ?? 0),
      ),
    );
    if (misses.every((miss) => Math.abs(miss) < SETTLED_V))
      return { amps: drawn.map(({ amps }) => amps), iterations: iteration };
    const slopes = new Float64Array(count * count);
    curved.forEach((one, row) =>
      drawn.forEach(({ slopeS }, column) => {
        slopes[row * count + column] = (row === column ? 1 : 0) - slopeS * across(one, fedIn[column] ?? standing);
      }),
    );
    if (!solveLinear(slopes, [misses], count)) break;
    const damping = iteration > DAMPED_AFTER ? 0.5 : 1;
    volts = volts.map((before, index) => before + damping * (misses[index] ?? 0));
  }
  throw new CircuitError('not-settled', `The circuit did not settle in ${MAX_ITERATIONS} steps.`);
}

/** What an element draws less at these volts than its resting conductance would, and how that grows. */
function lessThanResting(element: CurvedElement, volts: number): { readonly amps: number; readonly slopeS: number } {
  const restingS = restingConductance(element);
  if (element.kind === 'led') {
    return volts > element.dropV
      ? { amps: restingS * element.dropV, slopeS: 0 }
      : { amps: restingS * volts, slopeS: restingS };
  }
  const point = motorAt(element.motor, volts, element.condition);
  return { amps: restingS * volts - point.amps, slopeS: restingS - point.slopeS };
}

/** A standing motor is its winding; a LED that conducts is its resistor. */
function restingConductance(element: CurvedElement): number {
  if (element.kind === 'led') return 1 / element.ohm;
  return element.condition === 'open' ? 0 : 1 / element.motor.windingOhm;
}

/**
 * Floating islands are solved with one node held at 0 V, since the leak is lost
 * beside the large conductances within them; equal leaks at all nodes would put
 * the mean of an island at 0 V, so that is where it is moved.
 */
function centred(volts: Float64Array, { islands }: Nodes): Float64Array {
  for (const island of islands) {
    const mean = island.reduce((sum, row) => sum + (volts[row] ?? 0), 0) / island.length;
    for (const row of island) volts[row] = (volts[row] ?? 0) - mean;
  }
  return volts;
}

interface System {
  readonly matrix: Float64Array;
  readonly right: Float64Array;
  readonly size: number;
}

/** The network with its motors standing and its LEDs as their resistors. */
function stampLinear(nodes: Nodes, system: System): void {
  for (let row = 0; row < nodes.count; row += 1) add(system, row, row, LEAK_S);
  for (const [held] of nodes.islands) if (held !== undefined) add(system, held, held, 1);
  let branch = nodes.count;
  for (const { element, a, b } of nodes.elements) {
    switch (element.kind) {
      case 'link':
        break;
      case 'resistor':
        stampConductance(system, a, b, 1 / element.ohm);
        break;
      case 'motor':
      case 'led':
        stampConductance(system, a, b, restingConductance(element));
        break;
      case 'source':
        if (element.ohm > 0) {
          stampConductance(system, a, b, 1 / element.ohm);
          stampCurrent(system.right, b, a, element.emfV / element.ohm);
        } else {
          stampIdealSource(system, a, b, branch, element.emfV);
          branch += 1;
        }
        break;
      case 'sink':
        stampCurrent(system.right, a, b, element.amps);
        break;
      default:
        element satisfies never;
    }
  }
}

/** Elements whose current does not go with their volts. */
type CurvedElement = Extract<Element, { kind: 'motor' | 'led' }>;
type PlacedCurved = PlacedElement & { readonly element: CurvedElement };

function isCurved(placed: PlacedElement): placed is PlacedCurved {
  return placed.element.kind === 'motor' || placed.element.kind === 'led';
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
function stampCurrent(right: Float64Array, from: number, to: number, amps: number): void {
  if (from >= 0) right[from] = (right[from] ?? 0) - amps;
  if (to >= 0) right[to] = (right[to] ?? 0) + amps;
}

function stampIdealSource(system: System, plus: number, minus: number, branch: number, emfV: number): void {
  add(system, plus, branch, 1);
  add(system, minus, branch, -1);
  add(system, branch, plus, 1);
  add(system, branch, minus, -1);
  system.right[branch] = emfV;
}
