import { openingTime, type Edge, type Opening } from '../wiring';
import { mapParts, type Netlist } from './netlist';
import type { FusePart, Setting } from './parts';
import { solve, type OperatingPoint } from './solve';
import type { SolverMemory } from './solverMemory';

/** How long a fuse or breaker takes at a current: by the fastest and by the slowest edge of its window. */
export interface OpeningWindow {
  readonly fastest: Opening;
  readonly slowest: Opening;
}

/** How long a device holds a current, A. */
export function openingWindow(part: FusePart, amps: number): OpeningWindow {
  return { fastest: opensIn(part, amps, 'fastest'), slowest: opensIn(part, amps, 'slowest') };
}

export interface UntilDead {
  /** Until the part is dead. */
  readonly opening: Opening;
  /** Devices in the order in which they open. */
  readonly opened: readonly string[];
}

interface Soonest {
  readonly id: string;
  readonly amps: number;
  readonly seconds: number;
}

/** A part that draws no more than this has been cut off, A. */
const DEAD_A = 0.05;

/**
 * How long a part stays live: each device is judged on its own share of the
 * current, and once one has opened the rest on what they then carry, seconds
 * adding up.
 * @param first the operating point with every device closed, where it is known already
 */
export function untilDead(
  netlist: Netlist,
  setting: Setting,
  part: string,
  edge: Edge,
  first?: OperatingPoint,
  memory?: SolverMemory,
): UntilDead {
  let seconds = 0;
  let left = netlist;
  let known = first;
  const opened: string[] = [];
  for (;;) {
    const point = known ?? solve(left, setting, memory);
    known = undefined;
    if (Math.abs(point.partA(part)) <= DEAD_A) return { opening: { kind: 'opens', seconds }, opened };
    const devices = left.parts.flatMap((device) => (device.kind === 'fuse' && device.closed ? [device] : []));
    const openings = devices.map((device) => {
      const amps = Math.abs(point.partA(device.id));
      return { id: device.id, amps, opening: opensIn(device, amps, edge) };
    });
    const soonest = openings.reduce<Soonest | null>(
      (best, { id, amps, opening }) =>
        opening.kind === 'opens' && (best === null || opening.seconds < best.seconds)
          ? { id, amps, seconds: opening.seconds }
          : best,
      null,
    );
    if (!soonest) {
      const shown = openings.some(({ opening }) => opening.kind === 'never');
      return { opening: { kind: shown ? 'never' : 'not-shown' }, opened };
    }
    seconds += soonest.seconds;
    opened.push(soonest.id);
    // All of the part's current went through it: nothing is left to solve.
    if (soonest.amps >= Math.abs(point.partA(part)) * (1 - 1e-6))
      return { opening: { kind: 'opens', seconds }, opened };
    left = mapParts(left, (one) => (one.kind === 'fuse' && one.id === soonest.id ? { ...one, closed: false } : one));
  }
}

function opensIn({ family, ratingA }: FusePart, amps: number, edge: Edge): Opening {
  return openingTime(family, ratingA, Math.abs(amps), edge);
}
