import { resistance, type Element } from './element';
import { solveLinear } from './linear';
import { motorAt, type MotorCondition } from './motor';
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
 * motors, which start standing.
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
 * Standing motors are resistances, so the network with them is linear and is
 * eliminated once; what a turning motor draws less than a standing one is a
 * current fed in at its terminals. Newton's method then runs over the motors'
 * volts alone: v = v0 + Z·j(v).
 */
function iterate(nodes: Nodes): Iterated {
  const idealSources = nodes.elements.filter(({ element }) => element.kind === 'source' && element.ohm === 0).length;
  const size = nodes.count + idealSources;
  const motors = nodes.elements.filter(isMotor);
  const system: System = { matrix: new Float64Array(size * size), right: new Float64Array(size), size };
  stampLinear(nodes, system);
  const fedIn = motors.map(({ a, b }) => {
    const column = new Float64Array(size);
    stampCurrent(column, b, a, 1);
    return column;
  });
  if (!solveLinear(system.matrix, [system.right, ...fedIn], size)) {
    throw new CircuitError('singular', 'Two ideal sources contradict each other: the circuit has no single answer.');
  }
  const { amps, iterations } = settleMotors(motors, system.right, fedIn);
  const volts = system.right.slice(0, nodes.count);
  fedIn.forEach((column, index) => {
    for (let row = 0; row < nodes.count; row += 1)
      volts[row] = (volts[row] ?? 0) + (amps[index] ?? 0) * (column[row] ?? 0);
  });
  return { volts: centred(volts, nodes), iterations };
}

/** The currents fed in at the motors' terminals once all motors have settled, A. */
function settleMotors(
  motors: readonly PlacedMotor[],
  standing: Float64Array,
  fedIn: readonly Float64Array[],
): { readonly amps: readonly number[]; readonly iterations: number } {
  const count = motors.length;
  const across = ({ a, b }: PlacedMotor, solution: Float64Array) => (solution[a] ?? 0) - (solution[b] ?? 0);
  const startV = motors.map((motor) => across(motor, standing));
  let volts = startV;
  for (let iteration = 1; iteration <= MAX_ITERATIONS; iteration += 1) {
    const drawn = motors.map(({ element }, index) => lessThanStanding(element, volts[index] ?? 0));
    const misses = Float64Array.from(motors, (motor, row) =>
      drawn.reduce(
        (miss, { amps }, index) => miss + amps * across(motor, fedIn[index] ?? standing),
        (startV[row] ?? 0) - (volts[row] ?? 0),
      ),
    );
    if (misses.every((miss) => Math.abs(miss) < SETTLED_V))
      return { amps: drawn.map(({ amps }) => amps), iterations: iteration };
    const slopes = new Float64Array(count * count);
    motors.forEach((motor, row) =>
      drawn.forEach(({ slopeS }, column) => {
        slopes[row * count + column] = (row === column ? 1 : 0) - slopeS * across(motor, fedIn[column] ?? standing);
      }),
    );
    if (!solveLinear(slopes, [misses], count)) break;
    const damping = iteration > DAMPED_AFTER ? 0.5 : 1;
    volts = volts.map((before, index) => before + damping * (misses[index] ?? 0));
  }
  throw new CircuitError('not-settled', `The circuit did not settle in ${MAX_ITERATIONS} steps.`);
}

/** What a motor draws less at these volts than if it stood still. */
function lessThanStanding({ motor, condition }: PlacedMotor['element'], volts: number) {
  const point = motorAt(motor, volts, condition);
  const standingS = standingConductance(condition, motor.windingOhm);
  return { amps: standingS * volts - point.amps, slopeS: standingS - point.slopeS };
}

function standingConductance(condition: MotorCondition, windingOhm: number): number {
  return condition === 'open' ? 0 : 1 / windingOhm;
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

/** The network with its motors standing. */
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
        stampConductance(system, a, b, standingConductance(element.condition, element.motor.windingOhm));
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

type PlacedMotor = PlacedElement & { readonly element: Extract<Element, { kind: 'motor' }> };

function isMotor(placed: PlacedElement): placed is PlacedMotor {
  return placed.element.kind === 'motor';
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
