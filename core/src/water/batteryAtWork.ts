import { ourRules } from '../reference';
import type { SimBattery } from './simBattery';

/** No piece of time moves the charge further than this. */
const MOST_CHARGE_STEP = 4e-3;

/** A battery as it stands at a moment of a run. */
export interface BatteryAtWork {
  readonly battery: SimBattery;
  charge: number;
  drawnAh: number;
  usedUpAtS: number | null;
  dead: boolean;
  amps: number;
}

export function batteryAtWork(battery: SimBattery): BatteryAtWork {
  return {
    battery,
    charge: battery.startCharge,
    drawnAh: 0,
    usedUpAtS: null,
    dead: battery.startCharge <= battery.deadAt,
    amps: 0,
  };
}

/** How long the battery can be taken as it is, s. */
export function batteryStepS({ battery, charge, amps, dead }: BatteryAtWork, fineness: number): number {
  const netA = amps - battery.chargeA;
  if (netA === 0) return Infinity;
  let room = MOST_CHARGE_STEP / fineness;
  if (netA > 0) {
    const { usableTo, deadAt } = battery;
    if (charge > usableTo + 1e-12) room = Math.min(room, charge - usableTo);
    if (charge > deadAt + 1e-12) room = Math.min(room, charge - deadAt);
  } else if (dead) room = Math.min(room, Math.max(1e-9, battery.deadAt + ourRules.batteryRecovers.value - charge));
  return (room * 3600 * battery.capacityAh) / Math.abs(netA);
}

/** Takes a piece of time out of a battery. */
export function drain(one: BatteryAtWork, seconds: number, toS: number): void {
  const { battery } = one;
  one.drawnAh += (one.amps * seconds) / 3600;
  one.charge = Math.min(1, one.charge - ((one.amps - battery.chargeA) * seconds) / (3600 * battery.capacityAh));
  if (one.charge <= battery.usableTo + 1e-12) one.usedUpAtS ??= toS;
  // One that has given out comes back only once it has recovered a little, or it would flutter.
  if (one.charge <= battery.deadAt + 1e-12) one.dead = true;
  else if (one.charge >= battery.deadAt + ourRules.batteryRecovers.value - 1e-12) one.dead = false;
}
