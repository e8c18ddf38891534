import type { Job } from '../job';
import { ourRules } from '../reference';

/** The longest a boat is left alone, days: as surveyed, else by where she is kept. */
export function leftAloneDaysOf({ boat }: Pick<Job, 'boat'>): number {
  const assumed = boat.kept === 'ashore' ? ourRules.leftAloneAshoreDays : ourRules.leftAloneAfloatDays;
  return boat.leftAloneDays ?? assumed.value;
}
