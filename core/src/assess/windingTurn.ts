import { mapParts, type Motor, type Netlist } from '../circuit';
import { lockedRotorSeverity, severityRank, type WindingTurn } from '../findings';
import { defaults, ourRules } from '../reference';
import type { Opening } from '../wiring';

/** Rounds in which the turning resistance is closed in on: a thousandth of the spread. */
const ROUNDS = 10;

/**
 * From which winding resistance upwards the verdict on a stalled pump would be
 * worse than it is: a winding is known to ± 0.3 Ω, a default one no better. Kept
 * within what is a bilge pump at all.
 * @param nominal how long the devices take with the winding as it is known
 * @param openingOf the same with another winding in the netlist
 */
export function windingTurn(
  netlist: Netlist,
  nominal: Opening,
  openingOf: (netlist: Netlist) => Opening,
): WindingTurn | null {
  const motor = motorIn(netlist);
  if (!motor) return null;
  const mostOhm = (defaults.motorRatioMax * motor.labelV) / motor.labelA;
  const highestOhm = Math.min(motor.windingOhm + ourRules.windingSpreadOhm.value, mostOhm);
  if (highestOhm <= motor.windingOhm) return null;
  const at = (windingOhm: number) => openingOf(withWinding(netlist, windingOhm));
  const rank = severityRank(lockedRotorSeverity(nominal));
  const worse = (opening: Opening) => severityRank(lockedRotorSeverity(opening)) < rank;
  const opening = at(highestOhm);
  if (!worse(opening)) return null;
  let [low, high] = [motor.windingOhm, highestOhm];
  for (let round = 0; round < ROUNDS; round += 1) {
    const middle = (low + high) / 2;
    if (worse(at(middle))) high = middle;
    else low = middle;
  }
  return { fromOhm: high, opening, highestOhm };
}

function motorIn({ parts }: Netlist): Motor | undefined {
  return parts.flatMap((part) => (part.kind === 'pump' ? [part.motor] : []))[0];
}

function withWinding(netlist: Netlist, windingOhm: number): Netlist {
  return mapParts(netlist, (part) => (part.kind === 'pump' ? { ...part, motor: { ...part.motor, windingOhm } } : part));
}
