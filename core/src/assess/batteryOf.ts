import type { Battery, Circuit, Job } from '../job';

/** The battery a circuit is fed from. @throws RangeError for an id the job does not hold; a read job always holds it. */
export function batteryOf(job: Job, circuit: Circuit): Battery {
  const battery = job.batteries.find((candidate) => candidate.id === circuit.batteryId);
  if (!battery) throw new RangeError(`No battery has the id "${circuit.batteryId}".`);
  return battery;
}
