import { gaussLegendre } from './quadrature';

/** Flows at a volume of water in the well, m³/s: in, and out by each pump at work. */
export interface Flows {
  inflow(volumeM3: number): number;
  /** Whether the inflow is the same at every level. */
  readonly even: boolean;
  /** How many times finer than usual tolerances are. */
  readonly fineness: number;
  readonly takes: readonly ((volumeM3: number) => number)[];
}

/** What passes while the water moves from one volume to another. */
export interface Passage {
  seconds: number;
  /** m³. */
  inM3: number;
  readonly takenM3: number[];
  volumeM3: number;
}

const rule = gaussLegendre(5);
/** Where the net flow changes by more than this over a piece, the piece is halved. */
const STEEP = 1.15;
const MOST_HALVINGS = 40;
/** Pieces of one passage, and tries of one step by time: far more than any flow of a well asks for. */
const MOST_PIECES = 2000;
const MOST_TRIES = 20_000;

/** What comes in less what is pumped, m³/s. */
export function netFlow({ inflow, takes }: Flows, volumeM3: number): number {
  let net = inflow(volumeM3);
  for (const take of takes) net -= take(volumeM3);
  return net;
}

/**
 * The passage from one volume to another, time as the integral of dV over the
 * net flow; null where the net flow stops on the way, so that it is never reached.
 * Gauss–Legendre, halved where the net flow changes much.
 */
export function passTo(flows: Flows, fromM3: number, toM3: number): Passage | null {
  const passage: Passage = { seconds: 0, inM3: 0, takenM3: flows.takes.map(() => 0), volumeM3: toM3 };
  const [first, last] = [netFlow(flows, fromM3), netFlow(flows, toM3)];
  const way = Math.sign(toM3 - fromM3);
  if (way === 0) return passage;
  if (flows.even && flows.takes.length === 0) {
    if (Math.sign(first) !== way) return null;
    passage.seconds = (toM3 - fromM3) / first;
    passage.inM3 = toM3 - fromM3;
    return passage;
  }
  if (Math.sign(first) !== way || Math.sign(last) !== way) return null;
  addPiece(flows, fromM3, toM3, first, last, passage, 0, { left: MOST_PIECES });
  return passage;
}

function addPiece(
  flows: Flows,
  fromM3: number,
  toM3: number,
  atFrom: number,
  atTo: number,
  passage: Passage,
  depth: number,
  pieces: { left: number },
): void {
  const ratio = atFrom / atTo;
  const steep = 1 + (STEEP - 1) / flows.fineness;
  if ((ratio > steep || ratio < 1 / steep) && depth < MOST_HALVINGS && pieces.left > 0) {
    const middle = (fromM3 + toM3) / 2;
    const atMiddle = netFlow(flows, middle);
    if (Math.sign(atMiddle) === Math.sign(atTo)) {
      addPiece(flows, fromM3, middle, atFrom, atMiddle, passage, depth + 1, pieces);
      addPiece(flows, middle, toM3, atMiddle, atTo, passage, depth + 1, pieces);
      return;
    }
  }
  pieces.left -= 1;
  const half = (toM3 - fromM3) / 2;
  const centre = (toM3 + fromM3) / 2;
  const { takes, inflow } = flows;
  for (let index = 0; index < rule.nodes.length; index += 1) {
    const volume = centre + half * (rule.nodes[index] ?? 0);
    const into = inflow(volume);
    let net = into;
    for (const take of takes) net -= take(volume);
    const seconds = (half * (rule.weights[index] ?? 0)) / net;
    passage.seconds += seconds;
    passage.inM3 += seconds * into;
    for (let pump = 0; pump < takes.length; pump += 1) {
      passage.takenM3[pump] = (passage.takenM3[pump] ?? 0) + seconds * (takes[pump]?.(volume) ?? 0);
    }
  }
}

const TOLERANCE_M3 = 1e-11;

/**
 * The passage of a time: closed form where nothing depends on the level, else
 * Runge–Kutta of fourth order with steps halved until two halves agree with the whole.
 */
export function passTime(flows: Flows, fromM3: number, seconds: number): Passage {
  const passage: Passage = { seconds, inM3: 0, takenM3: flows.takes.map(() => 0), volumeM3: fromM3 };
  if (flows.even && flows.takes.length === 0) {
    passage.inM3 = flows.inflow(fromM3) * seconds;
    passage.volumeM3 = fromM3 + passage.inM3;
    return passage;
  }
  const toleranceM3 = TOLERANCE_M3 / flows.fineness;
  let left = seconds;
  let step = seconds;
  for (let tries = 0; left > 0 && tries < MOST_TRIES; tries += 1) {
    step = Math.min(step, left);
    const whole = rungeKutta(flows, passage.volumeM3, step);
    const half = rungeKutta(flows, passage.volumeM3, step / 2);
    const other = rungeKutta(flows, half.volumeM3, step / 2);
    const miss = Math.abs(whole.volumeM3 - other.volumeM3);
    if (miss > toleranceM3 + (1e-9 / flows.fineness) * Math.abs(other.volumeM3 - passage.volumeM3) && step > 1e-9) {
      step *= Math.max(0.1, 0.8 * (toleranceM3 / miss) ** 0.2);
      continue;
    }
    passage.volumeM3 = other.volumeM3;
    passage.inM3 += half.inM3 + other.inM3;
    for (let pump = 0; pump < flows.takes.length; pump += 1) {
      passage.takenM3[pump] = (passage.takenM3[pump] ?? 0) + (half.takenM3[pump] ?? 0) + (other.takenM3[pump] ?? 0);
    }
    left -= step;
    step *= miss > 0 ? Math.min(4, Math.max(1, 0.8 * (toleranceM3 / miss) ** 0.2)) : 4;
  }
  return passage;
}

function rungeKutta(flows: Flows, volumeM3: number, seconds: number): Passage {
  const first = netFlow(flows, volumeM3);
  const second = netFlow(flows, Math.max(0, volumeM3 + (seconds / 2) * first));
  const third = netFlow(flows, Math.max(0, volumeM3 + (seconds / 2) * second));
  const atEnd = Math.max(0, volumeM3 + seconds * third);
  const fourth = netFlow(flows, atEnd);
  const next = Math.max(0, volumeM3 + (seconds / 6) * (first + 2 * second + 2 * third + fourth));
  // Simpson's rule for what passes, at volumes of the same order.
  const middle = Math.max(0, (volumeM3 + next) / 2 + (seconds / 8) * (first - netFlow(flows, next)));
  const simpson = (f: (volume: number) => number) => (seconds / 6) * (f(volumeM3) + 4 * f(middle) + f(next));
  return {
    seconds,
    inM3: simpson(flows.inflow),
    takenM3: flows.takes.map(simpson),
    volumeM3: next,
  };
}

/**
 * The passage until a pump has taken a volume, which it has before `mostS` are over.
 * @param pump its place among the takes
 */
export function passUntilTaken(flows: Flows, fromM3: number, pump: number, needM3: number, mostS: number): Passage {
  const take = flows.takes[pump] ?? (() => 0);
  const net = netFlow(flows, fromM3);
  // Where the level moves at all, through the volume: a few nodes a round instead of three Runge–Kutta steps.
  if (Math.abs(net) > 0.01 * take(fromM3)) {
    let toM3 = fromM3 + (needM3 * net) / take(fromM3);
    for (let round = 0; round < 8; round += 1) {
      const passage = passTo(flows, fromM3, toM3);
      if (!passage) break;
      const missM3 = needM3 - (passage.takenM3[pump] ?? 0);
      if (Math.abs(missM3) < 1e-13) return passage;
      toM3 += (missM3 * netFlow(flows, toM3)) / take(toM3);
    }
  }
  let seconds = Math.min(mostS, needM3 / take(fromM3));
  let passage = passTime(flows, fromM3, seconds);
  for (let round = 0; round < 8; round += 1) {
    const missM3 = needM3 - (passage.takenM3[pump] ?? 0);
    if (Math.abs(missM3) < 1e-13) break;
    seconds += missM3 / take(passage.volumeM3);
    passage = passTime(flows, fromM3, seconds);
  }
  return passage;
}
