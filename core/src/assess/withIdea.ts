import type { FixIdea } from '../findings';
import type { Job } from '../job';

/** A job with an idea carried out. */
export function withIdea(job: Job, { circuit, also = [] }: FixIdea): Job {
  const changed = new Map([circuit, ...also].map((one) => [one.id, one]));
  return { ...job, circuits: job.circuits.map((one) => changed.get(one.id) ?? one) };
}
