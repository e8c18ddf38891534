import {
  everySetting,
  mapParts,
  solve,
  type MotorCondition,
  type Netlist,
  type OperatingPoint,
  type Setting,
} from '../circuit';

/** The netlist with the given volts held at the battery posts. */
export function withSupply(netlist: Netlist, supplyV: number): Netlist {
  return mapParts(netlist, (part) => (part.kind === 'battery' ? { ...part, emfV: supplyV, internalOhm: 0 } : part));
}

/** The netlist with the pump in another condition. */
export function withPump(netlist: Netlist, condition: MotorCondition | 'shorted'): Netlist {
  return mapParts(netlist, (part) => (part.kind === 'pump' ? { ...part, condition } : part));
}

/** The netlist with fixed currents for the motors, no lights, and every contact, fuse and joint ideal: conductors only. */
export function conductorsOnly(netlist: Netlist, designCurrentA: number): Netlist {
  const unlit = { ...netlist, parts: netlist.parts.filter((part) => part.kind !== 'lamp') };
  return mapParts(unlit, (part) => {
    switch (part.kind) {
      case 'pump':
        return { ...part, sinkA: designCurrentA };
      case 'shared-load':
        return { ...part, sinkA: part.motor.labelA };
      case 'fuse':
      case 'joint':
        return { ...part, ohm: 0 };
      case 'float-switch':
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

/** Solves the netlist in each setting. */
export function solveIn(netlist: Netlist, settings: readonly Setting[], pump: string): Solved[] {
  return settings.map((setting) => {
    const point = solve(netlist, setting);
    return { setting, point, pumpV: point.voltsAcross(pump, 'plus', 'minus') };
  });
}

/**
 * The settings of switch and floats in which the pump has voltage. Settings that
 * load every conductor alike, such as manual with the float up or down, count once.
 */
export function runningSettings(netlist: Netlist, pump: string): Setting[] {
  const solved = solveIn(withPump(netlist, 'locked'), everySetting(netlist), pump);
  const distinct = new Map<string, Setting>();
  for (const { point, pumpV, setting } of solved) {
    if (Math.abs(pumpV) <= 1e-3) continue;
    const load = netlist.conductors.map(({ id }) => String(Math.round(point.conductorA(id) * 1e6))).join(' ');
    if (!distinct.has(load)) distinct.set(load, setting);
  }
  return [...distinct.values()];
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
