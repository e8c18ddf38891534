import {
  defaultWindingOhm,
  type BatteryPart,
  type FusePart,
  type JointPart,
  type Motor,
  type PumpPart,
} from '../circuit';
import { defaults, internalResistanceOhm, restingEmfV, type ProtectionKind } from '../reference';
import type { Battery, Pump } from '../job';

/** The battery as surveyed, at its state of charge. */
export function batteryPart(battery: Battery): BatteryPart {
  const chemistry = battery.chemistry ?? 'lead-acid';
  return {
    kind: 'battery',
    id: 'battery',
    emfV: battery.restV ?? restingEmfV(chemistry, battery.stateOfCharge ?? defaults.stateOfCharge),
    internalOhm: battery.internalOhm ?? internalResistanceOhm(chemistry, battery.capacityAh ?? defaults.capacityAh),
  };
}

/** The circuit's own fuse before it has been chosen: its rating is put in once the circuit is sized. */
export function fusePart(): FusePart {
  return { kind: 'fuse', id: 'fuse', family: 'blade', ratingA: 1, closed: true };
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

export function pumpPart(pump: KnownPump): PumpPart {
  return { kind: 'pump', id: 'pump', motor: motorOf(pump), condition: 'sound' };
}

/** A good joint between the named ways. */
export function jointPart(id: string, ways: readonly string[]): JointPart {
  return { kind: 'joint', id, ways, ohm: defaults.jointOhm };
}
