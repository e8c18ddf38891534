import type { BatteryAtWork } from './batteryAtWork';
import type { PumpAtWork } from './pumpAtWork';
import type { SimQuestion, WaterRun } from './simQuestion';

/** Water of a run, m³: what came in, what stands in the well, and the most that did. */
interface Waters {
  readonly inM3: number;
  readonly volumeM3: number;
  readonly maxM3: number;
  /** What spilled over the well's top. */
  readonly spilledM3: number;
}

type Tally = Pick<WaterRun, 'pumps' | 'batteries' | 'inM3' | 'pumpedM3' | 'endM3' | 'maxLevelM' | 'massErrorM3'>;

/** What pumps and batteries did, and whether what came in, left, and stands in well and hoses adds up. */
export function runTally(
  { startM3, well }: SimQuestion,
  atWork: readonly PumpAtWork[],
  batteries: readonly BatteryAtWork[],
  { inM3, volumeM3, maxM3, spilledM3 }: Waters,
): Tally {
  const pumps = atWork.map((pump) => pump.result());
  const pumpedM3 = pumps.reduce((sum, pump) => sum + pump.pumpedM3, 0);
  const inHosesM3 = atWork.reduce((sum, pump) => sum + pump.fillM3, 0);
  return {
    pumps,
    batteries: batteries.map(({ battery, drawnAh, charge, usedUpAtS }) => ({
      id: battery.id,
      ampHours: drawnAh,
      endCharge: charge,
      usedUpAtS,
    })),
    inM3,
    pumpedM3,
    endM3: volumeM3,
    maxLevelM: well.levelM(maxM3),
    massErrorM3: startM3 + inM3 - pumpedM3 - inHosesM3 - spilledM3 - volumeM3,
  };
}
