import type { Circuit, Job } from './schema';

/**
 * The job without a circuit: whoever hung on its feed has one of its own again, alarms no longer sound for it, and
 * its photographs go with it.
 */
export function withoutCircuit({ photographs, ...job }: Job, id: string): Job {
  const left = photographs?.filter(({ circuitId }) => circuitId !== id) ?? [];
  return {
    ...job,
    ...(left.length > 0 ? { photographs: left } : {}),
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
