import type { Circuit, Job } from '../job';
import { typicalCircuitWater, typicalIngress, typicalPoses, typicalWell } from '../water';
import { schemeOf } from './registry';

/** The boat with one of its circuits in a well that it has: beside each other pump and float, with a hose that is a guess. */
export function intoWell(job: Job, circuitId: string, wellId: string): Job {
  const put = (circuit: Circuit): Circuit => {
    const pump = schemeOf(circuit).options.includes('pump') ? circuit.pump : null;
    return { ...circuit, water: typicalCircuitWater(wellId, pump, job.boat.hullLengthM) };
  };
  return { ...job, circuits: job.circuits.map((one) => (one.id === circuitId ? put(one) : one)) };
}

/**
 * The boat with one more well such as a hull of its length mostly has, and a circuit in it; attitudes and water to reckon
 * with as well, where it has none. Every figure of them is marked as a guess.
 * @param wellId of the new well: another than any there is
 */
export function intoTypicalWell(job: Job, circuitId: string, wellId: string): Job {
  const { hullLengthM } = job.boat;
  return intoWell(
    {
      ...job,
      wells: [...(job.wells ?? []), typicalWell(wellId, hullLengthM)],
      poses: job.poses ?? typicalPoses(hullLengthM),
      ingress: job.ingress ?? typicalIngress(hullLengthM),
    },
    circuitId,
    wellId,
  );
}
