import { CircuitError } from './circuitError';
import { curveAt, isCurved, restingConductance } from './curved';
import { solveDense } from './dense';
import { voltsOver, type Nodes } from './nodes';
import { System } from './system';
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

/** Places of the diodes that conduct. */
type Diodes = ReadonlySet<number>;

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
  const { islands, motors, diodes } = nodes.topology;
  const fast = settleWith(nodes, diodes.length === 0 ? motors : [...motors, ...diodes], islands, null);
  if (fast && diodes.length === 0) return fast;
  const conducting = fast ? conductingAt(nodes, fast.volts) : new Set<number>();
  if (fast && islandsOpen(nodes, conducting).length === islands.length) return fast;
  return settleByState(nodes, conducting, fast?.iterations ?? MOST_STEPS);
}

/**
 * Every diode conducting or open, until none contradicts its state. Flipping the
 * first that does comes to an end in any network that uses power (Murty's
 * least-index rule).
 */
function settleByState(nodes: Nodes, first: Diodes, before: number): Settled {
  const { motors, diodes } = nodes.topology;
  let conducting = first;
  let iterations = before;
  for (let round = 1; round <= MOST_ROUNDS; round += 1) {
    const settled = settleWith(nodes, motors, islandsOpen(nodes, conducting), conducting);
    if (!settled) break;
    iterations += settled.iterations;
    const wrong = diodes.filter((place) => contradicts(nodes, place, settled.volts, conducting));
    const [least] = wrong;
    if (least === undefined) return { ...settled, iterations };
    const flipped = new Set(conducting);
    for (const place of round <= BOLD_ROUNDS ? wrong : [least]) {
      if (!flipped.delete(place)) flipped.add(place);
    }
    conducting = flipped;
  }
  throw new CircuitError('not-settled', `The circuit did not settle in ${iterations} steps.`);
}

/** Volts across a diode beyond its threshold; negative below it. */
function overV({ elements, topology }: Nodes, place: number, volts: Float64Array): number {
  return voltsOver(topology, place, volts) - (elements[place]?.dropV ?? 0);
}

/** Whether a diode taken as open has its threshold across it, or one taken as conducting a current backwards. */
function contradicts(nodes: Nodes, place: number, volts: Float64Array, conducting: Diodes): boolean {
  const over = overV(nodes, place, volts);
  return conducting.has(place) ? over < -SLACK_A * (nodes.elements[place]?.ohm ?? 0) : over > SLACK_V;
}

/** Diodes above their threshold at these volts. */
function conductingAt(nodes: Nodes, volts: Float64Array): Diodes {
  return new Set(nodes.topology.diodes.filter((place) => overV(nodes, place, volts) > SLACK_V));
}

/** So many diodes have their states kept as the bits of one number. */
const MOST_BITS = 50;

/** The islands with diodes that block taken as open. */
function islandsOpen({ elements, topology }: Nodes, conducting: Diodes): Topology['islands'] {
  const { diodes } = topology;
  if (diodes.every((place) => conducting.has(place))) return topology.islands;
  const state = diodes.reduce((bits, place, bit) => bits + (conducting.has(place) ? 2 ** bit : 0), 0);
  const known = diodes.length <= MOST_BITS ? topology.islandsWhen.get(state) : undefined;
  if (known) return known;
  const islands = islandsOf(topology.ends, topology.count, (place) =>
    elements[place]?.kind === 'diode' ? conducting.has(place) : conducts(elements[place]),
  );
  if (diodes.length <= MOST_BITS) topology.islandsWhen.set(state, islands);
  return islands;
}

/**
 * Eliminates the network and settles the elements still curved.
 * @param curved their places
 * @param conducting which diodes conduct; null: diodes are among the curved
 * @returns null when Newton's method wanders
 */
function settleWith(
  nodes: Nodes,
  curved: readonly number[],
  islands: Topology['islands'],
  conducting: Diodes | null,
): Settled | null {
  const { topology } = nodes;
  const system = new System(nodes, islands, conducting, curved);
  const { fedIn } = system;
  const standing = system.solve();
  if (!standing) throw new CircuitError('singular', 'The circuit has no single answer.');
  const settled = settleCurved(nodes, curved, standing, fedIn);
  if (!settled) return null;
  const { unknownOf } = topology.ties;
  for (const [index, column] of fedIn.entries()) {
    const amps = settled.amps[index] ?? 0;
    if (amps === 0) continue;
    for (let row = 0; row < topology.count; row += 1)
      standing[row] = (standing[row] ?? 0) + amps * (column[unknownOf[row] ?? -1] ?? 0);
  }
  return { volts: centred(standing, islands), iterations: settled.iterations };
}

interface CurvedCurrents {
  /** Fed in at the curved elements' terminals once all have settled, A. */
  readonly amps: Float64Array;
  readonly iterations: number;
}

/**
 * Newton's method over the volts of the curved elements.
 * @param fedIn volts of the unknowns for one ampere fed in at each, V
 * @returns null where they do not settle
 */
function settleCurved(
  { elements, topology }: Nodes,
  curved: readonly number[],
  standing: Float64Array,
  fedIn: readonly Float64Array[],
): CurvedCurrents | null {
  const count = curved.length;
  const startV = new Float64Array(count);
  for (let index = 0; index < count; index += 1) startV[index] = voltsOver(topology, curved[index] ?? -1, standing);
  const impedance = impedances(topology, curved, fedIn);
  const jacobian = new Float64Array(count * count);
  const volts = startV.slice();
  const amps = new Float64Array(count);
  const slopes = new Float64Array(count);
  const misses = new Float64Array(count);
  for (let iteration = 1; iteration <= MOST_STEPS; iteration += 1) {
    for (let index = 0; index < count; index += 1) {
      const element = elements[curved[index] ?? -1];
      if (!element || !isCurved(element)) continue;
      // What the element draws less than at rest, and the slope of that.
      const restingS = restingConductance(element);
      const v = volts[index] ?? 0;
      const point = curveAt(element, v);
      amps[index] = restingS * v - point.amps;
      slopes[index] = restingS - point.slopeS;
    }
    let worst = 0;
    for (let row = 0; row < count; row += 1) {
      let miss = (startV[row] ?? 0) - (volts[row] ?? 0);
      for (let index = 0; index < count; index += 1) miss += (amps[index] ?? 0) * (impedance[row * count + index] ?? 0);
      misses[row] = miss;
      worst = Math.max(worst, Math.abs(miss));
    }
    if (worst < SETTLED_V) return { amps, iterations: iteration };
    for (let at = 0; at < jacobian.length; at += 1)
      jacobian[at] = (at % (count + 1) === 0 ? 1 : 0) - (impedance[at] ?? 0) * (slopes[at % count] ?? 0);
    if (!solveDense(jacobian, [misses], count)) return null;
    const damping = iteration > DAMPED_AFTER ? 0.5 : 1;
    for (let index = 0; index < count; index += 1) volts[index] = (volts[index] ?? 0) + damping * (misses[index] ?? 0);
  }
  return null;
}

/** Volts across each curved element for one ampere fed in at each, row by row, Ω. */
function impedances({ ends, ties }: Topology, curved: readonly number[], fedIn: readonly Float64Array[]): Float64Array {
  const count = curved.length;
  const impedance = new Float64Array(count * count);
  curved.forEach((place, row) => {
    const a = ties.unknownOf[ends[2 * place] ?? -1] ?? -1;
    const b = ties.unknownOf[ends[2 * place + 1] ?? -1] ?? -1;
    fedIn.forEach((column, index) => {
      impedance[row * count + index] = (column[a] ?? 0) - (column[b] ?? 0);
    });
  });
  return impedance;
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
