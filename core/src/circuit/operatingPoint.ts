import { curveAt, isCurved, restingConductance, type PlacedCurved } from './curved';
import type { Element } from './element';
import { CircuitError } from './circuitError';
import { solveDense } from './dense';
import type { Nodes, PlacedElement } from './nodes';
import { equationsOf, stampCurrent } from './system';
import { conducts, islandsOf, type Topology } from './topology';

const MOST_STEPS = 80;
const DAMPED_AFTER = 40;
const SETTLED_V = 1e-10;
/** So many rounds flip every diode that contradicts itself; later ones only the first of them, which cannot go round in circles. */
const BOLD_ROUNDS = 10;
const MOST_ROUNDS = 200;
const SLACK_V = 1e-9;
const SLACK_A = 1e-9;

export interface Settled {
  /** Volts of each row against node 0. */
  readonly volts: Float64Array;
  readonly iterations: number;
}

type Diodes = ReadonlySet<Element>;

/**
 * The volts at which all currents balance. Motors standing and diodes without
 * their threshold are resistances, so the network with them is linear and is
 * eliminated once; what they really draw less is a current fed in at their
 * terminals. Newton's method then runs over the volts of these few alone:
 * v = v0 + Z·j(v). Behind a diode that blocks, volts so reckoned are lost in
 * rounding; such a network is solved with each diode conducting or open instead.
 * @throws CircuitError `not-settled` when that comes to no rest, `singular` when the equations contradict each other.
 */
export function settle(nodes: Nodes): Settled {
  const fast = settleWith(nodes, nodes.elements.filter(isCurved), nodes.topology.islands, null);
  if (fast && !nodes.elements.some(({ element }) => element.kind === 'diode')) return fast;
  const conducting = fast ? conductingAt(nodes, fast.volts) : new Set<Element>();
  if (fast && islandsOpen(nodes, conducting).length === nodes.topology.islands.length) return fast;
  return settleByState(nodes, conducting, fast?.iterations ?? MOST_STEPS);
}

/**
 * Every diode conducting or open, until none contradicts its state. Flipping the
 * first that does comes to an end in any network that uses power (Murty's
 * least-index rule).
 */
function settleByState(nodes: Nodes, first: Diodes, before: number): Settled {
  const motors = nodes.elements.filter((placed): placed is PlacedCurved => placed.element.kind === 'motor');
  let conducting = first;
  let iterations = before;
  for (let round = 1; round <= MOST_ROUNDS; round += 1) {
    const settled = settleWith(nodes, motors, islandsOpen(nodes, conducting), conducting);
    if (!settled) break;
    iterations += settled.iterations;
    const wrong = nodes.elements.filter((placed) => contradicts(placed, settled.volts, conducting));
    const [least] = wrong;
    if (!least) return { ...settled, iterations };
    const flipped = new Set(conducting);
    for (const { element } of round <= BOLD_ROUNDS ? wrong : [least]) {
      if (!flipped.delete(element)) flipped.add(element);
    }
    conducting = flipped;
  }
  throw new CircuitError('not-settled', `The circuit did not settle in ${iterations} steps.`);
}

/** Whether a diode taken as open has its threshold across it, or one taken as conducting a current backwards. */
function contradicts({ element, a, b }: PlacedElement, volts: Float64Array, conducting: Diodes): boolean {
  if (element.kind !== 'diode') return false;
  const over = (volts[a] ?? 0) - (volts[b] ?? 0) - element.dropV;
  return conducting.has(element) ? over < -SLACK_A * element.ohm : over > SLACK_V;
}

/** Diodes above their threshold at these volts. */
function conductingAt(nodes: Nodes, volts: Float64Array): Diodes {
  const above = nodes.elements.filter(
    ({ element, a, b }) => element.kind === 'diode' && (volts[a] ?? 0) - (volts[b] ?? 0) > element.dropV + SLACK_V,
  );
  return new Set(above.map(({ element }) => element));
}

/** So many diodes have their states kept as the bits of one number. */
const MOST_BITS = 50;

/** The islands with diodes that block taken as open. */
function islandsOpen({ elements, topology }: Nodes, conducting: Diodes): Topology['islands'] {
  const diodes = elements.filter(({ element }) => element.kind === 'diode');
  if (diodes.every(({ element }) => conducting.has(element))) return topology.islands;
  const state = diodes.reduce((bits, { element }, bit) => bits + (conducting.has(element) ? 2 ** bit : 0), 0);
  const known = diodes.length <= MOST_BITS ? topology.islandsWhen.get(state) : undefined;
  if (known) return known;
  const islands = islandsOf(topology.ends, topology.count, (place) => {
    const element = elements[place]?.element;
    return element?.kind === 'diode' ? conducting.has(element) : conducts(element);
  });
  if (diodes.length <= MOST_BITS) topology.islandsWhen.set(state, islands);
  return islands;
}

/**
 * Eliminates the network and settles the elements still curved.
 * @param conducting which diodes conduct; null: diodes are among the curved
 * @returns null when Newton's method wanders
 */
function settleWith(
  nodes: Nodes,
  curved: readonly PlacedCurved[],
  islands: Topology['islands'],
  conducting: Diodes | null,
): Settled | null {
  const system = equationsOf(nodes, islands, conducting);
  const fedIn = curved.map(({ a, b }) => {
    const column = new Float64Array(nodes.topology.ties.unknowns);
    stampCurrent(nodes.topology, column, b, a, 1);
    return column;
  });
  if (!system.solve(fedIn)) {
    throw new CircuitError('singular', 'The circuit has no single answer.');
  }
  const standing = rowVolts(nodes, system.right, true);
  const perAmp = fedIn.map((column) => rowVolts(nodes, column, false));
  const settled = settleCurved(curved, standing, perAmp);
  if (!settled) return null;
  perAmp.forEach((column, index) => {
    const amps = settled.amps[index] ?? 0;
    if (amps === 0) return;
    for (let row = 0; row < nodes.count; row += 1) standing[row] = (standing[row] ?? 0) + amps * (column[row] ?? 0);
  });
  return { volts: centred(standing, islands), iterations: settled.iterations };
}

/** Volts of every row from those of the unknowns, with what ideal sources put above them or without. */
function rowVolts({ count, topology, aboveV }: Nodes, solution: Float64Array, above: boolean): Float64Array {
  const { unknownOf } = topology.ties;
  const volts = new Float64Array(count);
  for (let row = 0; row < count; row += 1) {
    volts[row] = (solution[unknownOf[row] ?? -1] ?? 0) + (above ? (aboveV[row] ?? 0) : 0);
  }
  return volts;
}

/** The currents fed in at the curved elements' terminals once all have settled, A; null where they do not. */
function settleCurved(
  curved: readonly PlacedCurved[],
  standing: Float64Array,
  fedIn: readonly Float64Array[],
): { readonly amps: Float64Array; readonly iterations: number } | null {
  const count = curved.length;
  const startV = new Float64Array(count);
  const impedance = new Float64Array(count * count);
  curved.forEach(({ a, b }, row) => {
    startV[row] = (standing[a] ?? 0) - (standing[b] ?? 0);
    fedIn.forEach((column, index) => {
      impedance[row * count + index] = (column[a] ?? 0) - (column[b] ?? 0);
    });
  });
  const volts = startV.slice();
  const amps = new Float64Array(count);
  const slopes = new Float64Array(count);
  for (let iteration = 1; iteration <= MOST_STEPS; iteration += 1) {
    curved.forEach(({ element }, index) => {
      // What the element draws less than at rest, and the slope of that.
      const restingS = restingConductance(element);
      const v = volts[index] ?? 0;
      const point = curveAt(element, v);
      amps[index] = restingS * v - point.amps;
      slopes[index] = restingS - point.slopeS;
    });
    const misses = new Float64Array(count);
    let worst = 0;
    for (let row = 0; row < count; row += 1) {
      let miss = (startV[row] ?? 0) - (volts[row] ?? 0);
      for (let index = 0; index < count; index += 1) miss += (amps[index] ?? 0) * (impedance[row * count + index] ?? 0);
      misses[row] = miss;
      worst = Math.max(worst, Math.abs(miss));
    }
    if (worst < SETTLED_V) return { amps, iterations: iteration };
    const jacobian = impedance.map((ohm, at) => (at % (count + 1) === 0 ? 1 : 0) - ohm * (slopes[at % count] ?? 0));
    if (!solveDense(jacobian, [misses], count)) return null;
    const damping = iteration > DAMPED_AFTER ? 0.5 : 1;
    for (let index = 0; index < count; index += 1) volts[index] = (volts[index] ?? 0) + damping * (misses[index] ?? 0);
  }
  return null;
}

/**
 * Equal leaks at all nodes would put the mean of a floating island at 0 V, so
 * that is where it is moved.
 */
function centred(volts: Float64Array, islands: Topology['islands']): Float64Array {
  for (const island of islands) {
    const mean = island.reduce((sum, row) => sum + (volts[row] ?? 0), 0) / island.length;
    for (const row of island) volts[row] = (volts[row] ?? 0) - mean;
  }
  return volts;
}
