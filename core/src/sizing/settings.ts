import {
  everySetting,
  grown,
  mapParts,
  truthRow,
  type MotorCondition,
  type Netlist,
  type Part,
  type OperatingPoint,
  type Setting,
  type SolverMemory,
} from '../circuit';
import { defaults, runsFromV } from '../reference';
import { SizingMemory } from './sizingMemory';

/** The netlist with the given volts held at the battery posts. */
export function withSupply(netlist: Netlist, supplyV: number): Netlist {
  return mapParts(netlist, (part) => (part.kind === 'battery' ? { ...part, emfV: supplyV, internalOhm: 0 } : part));
}

/** The netlist with the pump in another condition. */
export function withPump(netlist: Netlist, condition: MotorCondition | 'shorted'): Netlist {
  return mapParts(netlist, (part) => (part.kind === 'pump' ? { ...part, condition } : part));
}

/**
 * The netlist with relays pulled in and electronics at work whatever their
 * volts: on a fault they may let go and come back, and what must open is the fuse.
 */
export function heldIn(netlist: Netlist): Netlist {
  return mapParts(netlist, (part) => {
    if (part.kind === 'relay' || part.kind === 'probe-sensor') return grown(part, { held: true });
    return part.kind === 'pump' && part.inside ? { ...part, inside: grown(part.inside, { held: true }) } : part;
  });
}

/** Small loads: they do not decide what the pump's conductors lose. */
const LEFT_OUT: readonly Part['kind'][] = ['lamp', 'alarm', 'diode', 'neighbour'];

/** The netlist with fixed currents for the motors, no lights, and every contact, fuse and joint ideal: conductors only. */
export function conductorsOnly(netlist: Netlist, designCurrentA: number): Netlist {
  const unlit = { ...netlist, parts: netlist.parts.filter(({ kind }) => !LEFT_OUT.includes(kind)) };
  return mapParts(unlit, (part) => {
    switch (part.kind) {
      case 'pump':
        return grown(part, {
          sinkA: designCurrentA,
          ...(part.inside ? { inside: grown(part.inside, { contactOhm: 0, held: true }) } : {}),
        });
      case 'shared-load':
        return grown(part, { sinkA: part.motor.labelA });
      case 'fuse':
      case 'joint':
        return grown(part, { ohm: 0 });
      case 'relay':
      case 'probe-sensor':
        return grown(part, { contactOhm: 0, held: true });
      case 'float-switch':
      case 'through-float':
      case 'isolator':
      case 'on-off-switch':
      case 'three-way-switch':
        return { ...part, contactOhm: 0 };
      default:
        return part;
    }
  });
}

export interface Solved {
  readonly setting: Setting;
  readonly point: OperatingPoint;
  readonly pumpV: number;
}

/** Solves the netlist in each setting; one in which a relay chatters has no answer and is left out. */
export function solveIn(netlist: Netlist, settings: readonly Setting[], pump: string, memory?: SolverMemory): Solved[] {
  return settings.flatMap((setting) => {
    const { point, trouble } = truthRow(netlist, setting, memory);
    if (trouble && trouble.code !== 'chatter') throw trouble;
    return point ? [{ setting, point, pumpV: point.voltsAcross(pump, 'plus', 'minus') }] : [];
  });
}

/** Solves the netlist in every setting, pump or none. */
export function everySolved(netlist: Netlist, memory?: SolverMemory): Solved[] {
  return everySetting(netlist).flatMap((setting) => {
    const { point } = truthRow(netlist, setting, memory);
    return point ? [{ setting, point, pumpV: 0 }] : [];
  });
}

/** Conductors without resistance to speak of: solved, so that parallel ones share as they do. */
const AS_IDEAL_OHM = 1e-6;

/**
 * The netlist as its own feed alone would have it: other circuits that touch it
 * elsewhere than at its feed are taken away, so that what comes from them sizes nothing.
 */
export function ownFeedOnly(netlist: Netlist): Netlist {
  const parts = netlist.parts.filter(({ kind }) => kind !== 'neighbour');
  if (parts.length === netlist.parts.length) return netlist;
  const there = new Set(parts.map(({ id }) => id));
  const conductors = netlist.conductors.filter(({ from, to }) => there.has(from.part) && there.has(to.part));
  return { ...netlist, parts, conductors };
}

/** Conductors, contacts, fuses and joints ideal: what a pump then gets, it gets by how it is wired and no thin cable. */
function idealPaths(netlist: Netlist): Netlist {
  const ideal = mapParts(netlist, (part) => {
    switch (part.kind) {
      case 'fuse':
      case 'joint':
        return grown(part, { ohm: 0 });
      case 'relay':
        // That a coil wants more volts than there are is a finding, not a way of wiring.
        return grown(part, {
          contactOhm: 0,
          pullInV: Math.min(part.pullInV, defaults.relayPullInV),
          dropOutV: Math.min(part.dropOutV, defaults.relayDropOutV),
        });
      case 'probe-sensor':
      case 'float-switch':
      case 'through-float':
      case 'isolator':
      case 'on-off-switch':
      case 'three-way-switch':
        return grown(part, { contactOhm: 0 });
      case 'pump':
        return part.inside ? grown(part, { inside: grown(part.inside, { contactOhm: 0 }) }) : part;
      default:
        return part;
    }
  });
  const conductors = ideal.conductors.map((wire) => grown(wire, { ohm: wire.ohm === 0 ? 0 : AS_IDEAL_OHM }));
  return withSupply({ ...ideal, conductors }, defaults.ratedSupplyV);
}

/**
 * The settings of switch and floats in which the pump runs: with conductors taken
 * as ideal its own feed gives it a fifth of its label volts. Settings that load
 * every conductor alike, such as manual with the float up or down, count once.
 * @param netlist the circuit by its own feed alone
 */
export function runningSettings(netlist: Netlist, pump: string, memory = new SizingMemory()): readonly Setting[] {
  // A survey changes figures far more often than what these depend on.
  const ideal = idealPaths(netlist);
  return memory.runningOf(wiringOf(ideal), () => findRunning(ideal, pump, memory));
}

/**
 * What the settings in which a pump runs depend on: the wiring and what hangs on it. A pump's own figures
 * count only where it may be fed through something that takes volts: a filament, a coil, a sounder.
 */
function wiringOf({ parts, conductors }: Netlist): string {
  const throughParts = parts.some(takesVolts);
  const said = (part: Part) => {
    if (part.kind === 'fuse' || (part.kind === 'pump' && !throughParts))
      return `${part.kind}:${part.id}:${part.kind === 'pump' ? JSON.stringify(part.inside) : ''}`;
    return JSON.stringify(part);
  };
  return [
    ...parts.map(said),
    ...conductors.map(({ from, to }) => `${from.part}.${from.terminal}-${to.part}.${to.terminal}`),
  ].join();
}

function takesVolts(part: Part): boolean {
  return part.kind === 'relay' || part.kind === 'alarm' || (part.kind === 'lamp' && part.lamp !== 'led');
}

/** @param netlist with its paths ideal */
function findRunning(netlist: Netlist, pump: string, memory: SizingMemory): readonly Setting[] {
  const motor = netlist.parts.find(({ id }) => id === pump);
  const labelV = motor?.kind === 'pump' ? motor.motor.labelV : defaults.labelV;
  const solved = solveIn(netlist, everySetting(netlist), pump, memory);
  const distinct = new Map<string, Setting>();
  for (const { point, pumpV, setting } of solved) {
    if (Math.abs(pumpV) < runsFromV(labelV)) continue;
    const load = netlist.conductors.map(({ id }) => String(Math.round(point.conductorA(id) * 1e6))).join(' ');
    const likely = netlist.parts.filter(({ id }) => point.latched(id)).map(({ id }) => id);
    if (!distinct.has(load))
      distinct.set(load, likely.length > 0 ? { switches: setting.switches, floats: setting.floats, likely } : setting);
  }
  return [...distinct.values()];
}

/** The least volts at the pump; none where it runs in no setting. */
export function leastPumpV(solved: readonly Solved[]): number {
  return solved.length === 0 ? 0 : Math.min(...solved.map(({ pumpV }) => pumpV));
}

/** The item for which `value` is least. */
export function leastBy<T>(items: readonly [T, ...T[]], value: (item: T) => number): T {
  return items.reduce((best, item) => (value(item) < value(best) ? item : best), items[0]);
}

/** The items, known not to be none. @throws RangeError with `message` when there is none. */
export function some<T>(items: readonly T[], message: string): readonly [T, ...T[]] {
  const [first, ...rest] = items;
  if (first === undefined) throw new RangeError(message);
  return [first, ...rest];
}
