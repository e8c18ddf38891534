import {
  defaultWindingOhm,
  type BatteryPart,
  type FusePart,
  type JointPart,
  type Motor,
  type PumpPart,
  roles,
} from '../circuit';
import { defaults, internalResistanceOhm, restingEmfV, type ProtectionKind } from '../reference';
import type { Battery, Circuit, Pump } from '../job';
import type { Band, PlannedPart, Role } from './plan';

/** The battery as surveyed, at its state of charge. */
export function batteryPart(battery: Battery): BatteryPart {
  const chemistry = battery.chemistry ?? 'lead-acid';
  return {
    kind: 'battery',
    id: roles.battery,
    emfV: battery.restV ?? restingEmfV(chemistry, battery.stateOfCharge ?? defaults.stateOfCharge),
    internalOhm: battery.internalOhm ?? internalResistanceOhm(chemistry, battery.capacityAh ?? defaults.capacityAh),
  };
}

/** The circuit's own fuse before it has been chosen: its rating is put in once the circuit is sized. */
export function fusePart(): FusePart {
  return { kind: 'fuse', id: roles.fuse, family: 'blade', ratingA: 1, closed: true };
}

/** A fuse that is there already. */
export function givenFuse(id: string, { kind, ratingA }: { kind: ProtectionKind; ratingA: number }): FusePart {
  return { kind: 'fuse', id, family: kind, ratingA, closed: true };
}

type KnownPump = Pump & { readonly currentA: number };

/** The motor that a pump's figures make. */
export function motorOf(pump: KnownPump): Motor {
  const labelV = pump.labelV ?? defaults.labelV;
  return { labelA: pump.currentA, labelV, windingOhm: pump.windingOhm ?? defaultWindingOhm(pump.currentA, labelV) };
}

export function pumpPart(pump: KnownPump, sensing?: 'float' | 'timer'): PumpPart {
  return {
    kind: 'pump',
    id: roles.pump,
    motor: motorOf(pump),
    condition: 'sound',
    ...(sensing ? { inside: { sensing, contactOhm: defaults.floatContactOhm } } : {}),
  };
}

/** A good joint between the named ways. */
export function jointPart(id: string, ways: readonly string[]): JointPart {
  return { kind: 'joint', id, ways, ohm: defaults.jointOhm };
}

/** A good joint, where it stands. */
export function plannedJoint(
  id: string,
  ways: readonly string[],
  name: string,
  role: Role,
  band: Band = 'bilge',
): PlannedPart {
  return { part: jointPart(id, ways), name, band, role };
}

/** The manual / off / auto switch of the panel. */
export function threeWayPart({ manual }: Circuit): PlannedPart {
  return {
    part: {
      kind: 'three-way-switch',
      id: roles.switch,
      momentaryManual: manual === 'momentary',
      contactOhm: defaults.switchContactOhm,
    },
    name: 'Manual / off / auto',
    band: 'panel',
    role: 'supply',
  };
}

/** The on/off switch of the panel; one that breaks auto opens the auto leg while it is on. */
export function onOffPart({ manual }: Circuit, name: string, role: Role = 'supply', breaksAuto = false): PlannedPart {
  return {
    part: {
      kind: 'on-off-switch',
      id: roles.switch,
      momentary: manual === 'momentary',
      contactOhm: defaults.switchContactOhm,
      ...(breaksAuto ? { breaksAuto } : {}),
    },
    name,
    band: 'panel',
    role,
  };
}

/** A mechanical float in the bilge. */
export function floatPart(name = 'Float'): PlannedPart {
  return {
    part: { kind: 'float-switch', id: 'float', contactOhm: defaults.floatContactOhm },
    name,
    band: 'bilge',
    role: 'auto',
  };
}
