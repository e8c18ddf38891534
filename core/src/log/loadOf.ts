import type { AssessedCircuit } from '../assess';
import type { Job } from '../job';
import { defaults } from '../reference';
import type { Load } from './loadTrend';

/** Left alone for so long where nobody said otherwise, days. */
const USUALLY_ALONE = { afloat: 14, ashore: 3 } as const;

/** What the battery of a circuit bears. @param assessed left out, or not sized: what its pump draws is not known */
export function loadOf({ boat, batteries }: Job, assessed: AssessedCircuit | undefined): Load {
  const battery = batteries.find(({ id }) => id === assessed?.circuit.batteryId) ?? batteries[0];
  const { kept = 'afloat', leftAloneDays = USUALLY_ALONE[kept] } = boat;
  return {
    capacityAh: battery?.capacityAh ?? defaults.capacityAh,
    chemistry: battery?.chemistry ?? 'lead-acid',
    chargeA: battery?.chargeA ?? 0,
    runningA: assessed?.status === 'sized' ? assessed.facts.asMeasured.pumpA : null,
    leftAloneDays,
  };
}
