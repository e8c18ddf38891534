import type { Finding } from '../findings';
import type { Job } from '../job';
import type { UnitSystem } from '../units';
import type { AssessedCircuit } from './assessed';
import { Assessor } from './Assessor';

/** How a job is assessed. */
export interface AssessOptions {
  /** What findings are worded in. Default metric. */
  readonly units?: UnitSystem;
}

/**
 * The door to the core: a job in, everything known about its circuits out, in the
 * job's order. What is found of a battery or of the boat stands beside one circuit.
 * Who asks again and again, or for fixes, keeps an `Assessor`.
 */
export function assess(job: Job, { units }: AssessOptions = {}): readonly AssessedCircuit[] {
  return new Assessor(units).assess(job).circuits;
}

/** What is found of a boat that no circuit of hers can show: she has none, or they are not sized. */
export function boatFindings(job: Job, { units }: AssessOptions = {}): readonly Finding[] {
  return new Assessor(units).assess(job).findings;
}
