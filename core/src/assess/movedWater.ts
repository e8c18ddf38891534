import type { WaterFacts } from '../findings';
import type { Circuit, Job } from '../job';
import type { AssessedAlarm, AssessedPump } from './assessed';
import { waterFactsOf, waterSurroundings } from './waterFacts';

/**
 * The water of an assessed circuit with another place, float or hose, as it is drawn while
 * one of them is moved; null where the circuit is in no surveyed well.
 */
export function movedWater(job: Job, assessed: AssessedPump | AssessedAlarm, changed: Circuit): WaterFacts | null {
  const pump =
    assessed.status === 'sized'
      ? {
          motor: assessed.facts.motor,
          supplies: assessed.facts.supplies,
          reversed: assessed.facts.behaviour.reversed,
        }
      : null;
  return waterFactsOf(changed, waterSurroundings(job, changed.id, assessed.facts.units), pump);
}
