import { passUntilTaken, type Flows, type Passage } from './advance';
import type { PumpAtWork } from './pumpAtWork';

/** Less than this is wanting to no hose, m³: rounding. */
const FULL_M3 = 1e-15;

/** What the hoses of pumps hold, m³. */
export function heldInHoses(pumps: readonly PumpAtWork[]): number {
  let sum = 0;
  for (const { fillM3 } of pumps) sum += fillM3;
  return sum;
}

/**
 * Cuts a passage short where a hose comes full in it.
 * @param takers the pumps at work, in the order of what the passage takes
 * @param volumeM3 of the well as the passage begins
 */
export function untilFull(takers: readonly PumpAtWork[], flows: Flows, volumeM3: number, passage: Passage): Passage {
  let cut = passage;
  takers.forEach(({ pump, fillM3 }, index) => {
    const needM3 = pump.drainBackM3 - fillM3;
    if (needM3 <= FULL_M3 || (cut.takenM3[index] ?? 0) <= needM3 + FULL_M3) return;
    cut = passUntilTaken(flows, volumeM3, index, needM3, cut.seconds);
    // What is left of the rounding is counted as filled.
    cut.takenM3[index] = needM3;
  });
  return cut;
}

/** Time until the first hose comes full at steady flows, m³/s by pump; `mostS` where none does before, s. */
export function fullAfterS(takers: readonly PumpAtWork[], takes: readonly number[], mostS: number): number {
  return takers.reduce((least, { pump, fillM3 }, index) => {
    const [needM3, take] = [pump.drainBackM3 - fillM3, takes[index] ?? 0];
    return needM3 > FULL_M3 && take > 0 ? Math.min(least, needM3 / take) : least;
  }, mostS);
}
