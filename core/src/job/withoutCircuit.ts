import type { Circuit, Job } from './schema';

/** The job without a circuit: whoever hung on its feed has one of its own again, and alarms no longer sound for it. */
export function withoutCircuit(job: Job, id: string): Job {
  return {
    ...job,
    circuits: job.circuits.filter((circuit) => circuit.id !== id).map((circuit) => apartFrom(circuit, id)),
  };
}

function apartFrom({ sharesFeedWith, alarm, ...circuit }: Circuit, id: string): Circuit {
  const { alsoFrom, ...own } = alarm ?? {};
  return {
    ...circuit,
    ...(sharesFeedWith === undefined || sharesFeedWith === id ? {} : { sharesFeedWith }),
    ...(alarm === undefined ? {} : { alarm: alsoFrom === undefined || alsoFrom === id ? own : alarm }),
  };
}
