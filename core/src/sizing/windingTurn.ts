import { mapParts, type Motor, type Netlist } from '../circuit';
import { lockedRotorSeverity, severityRank, type WindingTurn } from '../findings';
import { defaults, ourRules } from '../reference';
import { openingTime, type Opening, type Rating } from '../wiring';

/** A device in the path of a stalled pump, and what it carries, A. */
export interface StalledDevice extends Rating {
  readonly amps: number;
}

/** Halvings in which the turning resistance is closed in on. */
const ROUNDS = 30;

/**
 * From which winding resistance upwards the verdict on a stalled pump would be
 * worse than it is: a winding is known to ± 0.3 Ω, a default one no better. Kept
 * within what is a bilge pump at all. A stalled motor is a resistance, so that two
 * solved points give its current at any other: I = U / (R + what lies before it).
 * @param nominal how long the devices take with the winding as it is known
 * @param stalledAt devices in series before the motor with a netlist's winding, in the setting that takes longest
 */
export function windingTurn(
  netlist: Netlist,
  nominal: Opening,
  stalledAt: (netlist: Netlist) => readonly StalledDevice[],
): WindingTurn | null {
  const motor = motorIn(netlist);
  const rank = severityRank(lockedRotorSeverity(nominal));
  const worse = (opening: Opening) => severityRank(lockedRotorSeverity(opening)) < rank;
  if (!motor || lockedRotorSeverity(nominal) === 'stop') return null;
  const mostOhm = (defaults.motorRatioMax * motor.labelV) / motor.labelA;
  const highestOhm = Math.min(motor.windingOhm + ourRules.windingSpreadOhm.value, mostOhm);
  if (highestOhm <= motor.windingOhm) return null;
  const high = stalledAt(withWinding(netlist, highestOhm));
  const opening = soonest(high);
  if (!worse(opening)) return null;
  const low = stalledAt(netlist);
  const between = (ohm: number) =>
    low.map((device, index) => ({
      ...device,
      amps: ampsAt(ohm, [motor.windingOhm, device.amps], [highestOhm, high[index]?.amps ?? 0]),
    }));
  let [from, to] = [motor.windingOhm, highestOhm];
  for (let round = 0; round < ROUNDS; round += 1) {
    const middle = (from + to) / 2;
    if (worse(soonest(between(middle)))) to = middle;
    else from = middle;
  }
  return { fromOhm: to, opening, highestOhm };
}

type At = readonly [ohm: number, amps: number];

/** The current through a resistance, from that through two others in its place. */
function ampsAt(ohm: number, [lowOhm, lowA]: At, [highOhm, highA]: At): number {
  if (lowA === highA) return lowA;
  const beforeOhm = (highOhm * highA - lowOhm * lowA) / (lowA - highA);
  return (lowA * (lowOhm + beforeOhm)) / (ohm + beforeOhm);
}

/** The first of some devices in series to open, on the slowest edge of each. */
function soonest(devices: readonly StalledDevice[]): Opening {
  const openings = devices.map(({ kind, ratingA, amps }) => openingTime(kind, ratingA, amps, 'slowest'));
  const seconds = openings.flatMap((one) => (one.kind === 'opens' ? [one.seconds] : []));
  if (seconds.length > 0) return { kind: 'opens', seconds: Math.min(...seconds) };
  return openings.some(({ kind }) => kind === 'never') ? { kind: 'never' } : { kind: 'not-shown' };
}

function motorIn({ parts }: Netlist): Motor | undefined {
  return parts.flatMap((part) => (part.kind === 'pump' ? [part.motor] : []))[0];
}

function withWinding(netlist: Netlist, windingOhm: number): Netlist {
  return mapParts(netlist, (part) => (part.kind === 'pump' ? { ...part, motor: { ...part.motor, windingOhm } } : part));
}
