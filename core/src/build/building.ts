import type { AssessedAlarm, AssessedPump } from '../assess';
import type { Job } from '../job';
import { buildList, type BuildList } from './buildList';
import type { Schedule } from './schedule';
import { scheduleLeft } from './scheduleLeft';

/** What building a circuit takes, and when what is left of it is done by one person and by two. */
export interface Building {
  readonly list: BuildList;
  /** When the schedules begin, ms since 1970. */
  readonly fromMs: number;
  readonly schedules: Readonly<Record<1 | 2, Schedule>>;
}

/** Everything the building of a circuit is shown by. @param nowMs ms since 1970 @param temperatureC of what cures, °C */
export function buildingOf(
  job: Job,
  assessed: AssessedPump | AssessedAlarm,
  temperatureC: number,
  nowMs: number,
): Building {
  const list = buildList(job, assessed);
  const marks = assessed.circuit.steps ?? {};
  const left = (people: 1 | 2) => scheduleLeft(list.steps, marks, nowMs, temperatureC, people);
  return { list, fromMs: nowMs, schedules: { 1: left(1), 2: left(2) } };
}
