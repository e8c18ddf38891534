import type { BatteryAtWork } from './batteryAtWork';
import type { Mode } from './modes';
import type { PumpAtWork, PumpTally } from './pumpAtWork';

/** A run at the moment at which a pump has started. */
export interface CycleStart {
  readonly pump: PumpAtWork;
  readonly nowS: number;
  /** When the clock next brings something that is not part of the cycle. */
  readonly untilS: number;
  readonly volumeM3: number;
  readonly inM3: number;
  readonly spilledM3: number;
  readonly maxM3: number;
  /** How often a mode was reckoned anew until then. */
  readonly reckonings: number;
  readonly fillsM3: readonly number[];
  readonly tallies: readonly PumpTally[];
  readonly batteries: readonly { readonly charge: number; readonly drawnAh: number }[];
}

/** So much of a cycle is left at the end, so that rounding brings none too many. */
const ROUNDING = 1e-6;

/** Whether everything is at a start as it was at the start before, so that the cycle between will come again. */
export function comesAgain(before: CycleStart, now: CycleStart): boolean {
  return (
    before.pump === now.pump &&
    before.untilS === now.untilS &&
    before.volumeM3 === now.volumeM3 &&
    before.maxM3 === now.maxM3 &&
    before.reckonings === now.reckonings &&
    now.nowS > before.nowS &&
    before.fillsM3.every((fill, index) => fill === now.fillsM3[index])
  );
}

/**
 * How many cycles like the last can follow before the clock or a battery asks to
 * look again: each of them would be reckoned from the same modes, to the last digit.
 * @param modes what was switched in the last cycle
 * @param chargeStep how far a charge may move from the one a mode was reckoned for
 */
export function cyclesAhead(
  before: CycleStart,
  now: CycleStart,
  modes: Iterable<Mode>,
  batteries: readonly BatteryAtWork[],
  chargeStep: number,
): number {
  const periodS = now.nowS - before.nowS;
  let most = Math.floor((now.untilS - now.nowS) / periodS - ROUNDING);
  const used = [...modes];
  batteries.forEach(({ battery, charge }, index) => {
    const step = (before.batteries[index]?.charge ?? charge) - charge;
    if (step === 0) return;
    const moved = Math.max(...used.map(({ charges }) => Math.abs((charges[index] ?? charge) - charge)));
    const rooms = [chargeStep - moved];
    for (const end of [battery.usableTo, battery.deadAt]) if (charge > end) rooms.push(charge - end);
    if (step < 0) rooms.push(1 - charge);
    most = Math.min(most, Math.floor(Math.min(...rooms) / Math.abs(step) - ROUNDING));
  });
  return Math.max(0, most);
}
