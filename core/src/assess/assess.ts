import { worstSeverity, type Finding, type Severity } from '../findings';
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

/** How a circuit stands: the worst that was found, or that the survey is not finished. */
export type Standing = Severity | 'incomplete' | 'good';

const standingOrder: Readonly<Record<Standing, number>> = { stop: 0, caution: 1, incomplete: 2, note: 3, good: 4 };

/** Where a standing comes in a list, worst first. */
export function standingRank(standing: Standing): number {
  return standingOrder[standing];
}

/** The standing of one circuit; notes alone leave it good. */
export function standingOf(assessed: AssessedCircuit): Standing {
  if (assessed.status === 'incomplete') return 'incomplete';
  const worst = worstSeverity(assessed.findings);
  return worst === null || worst === 'note' ? 'good' : worst;
}

/** The worst of several standings; a boat without circuits is incomplete. */
export function worstStanding(standings: readonly Standing[]): Standing {
  return standings.reduce<Standing>(
    (worst, standing) => (standingOrder[standing] < standingOrder[worst] ? standing : worst),
    standings.length === 0 ? 'incomplete' : 'good',
  );
}
