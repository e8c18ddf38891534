import { defaultWindingOhm, type BatteryPart, type FusePart, type JointPart, type PumpPart } from '../circuit';
import { defaults, internalResistanceOhm, restingEmfV } from '../reference';
import type { Battery, Pump } from '../job';

/** The battery as surveyed, at its state of charge. */
export function batteryPart(battery: Battery): BatteryPart {
  const chemistry = battery.chemistry ?? 'lead-acid';
  return {
    kind: 'battery',
    id: 'battery',
    emfV: restingEmfV(chemistry, battery.stateOfCharge ?? defaults.stateOfCharge),
    internalOhm: battery.internalOhm ?? internalResistanceOhm(chemistry, battery.capacityAh ?? defaults.capacityAh),
  };
}

/** The fuse before it has been chosen: its rating is put in once the circuit is sized. */
export function fusePart(): FusePart {
  return { kind: 'fuse', id: 'fuse', family: 'blade', ratingA: 1, closed: true };
}

export function pumpPart(pump: Pump & { readonly currentA: number }): PumpPart {
  const labelV = pump.labelV ?? defaults.labelV;
  return {
    kind: 'pump',
    id: 'pump',
    motor: { labelA: pump.currentA, labelV, windingOhm: pump.windingOhm ?? defaultWindingOhm(pump.currentA, labelV) },
    condition: 'sound',
  };
}

/** A good joint between the named ways. */
export function jointPart(id: string, ways: readonly string[]): JointPart {
  return { kind: 'joint', id, ways, ohm: defaults.jointOhm };
}
