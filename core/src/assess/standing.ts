import { worstSeverity, type Finding, type Severity } from '../findings/finding';
import type { AssessedCircuit } from './assessed';

/** How a circuit stands: the worst that was found, or that the survey is not finished. */
export type Standing = Severity | 'incomplete' | 'good';

const standingOrder: Readonly<Record<Standing, number>> = { stop: 0, caution: 1, incomplete: 2, note: 3, good: 4 };

/** Where a standing comes in a list, worst first. */
export function standingRank(standing: Standing): number {
  return standingOrder[standing];
}

/** The standing of one circuit. */
export function standingOf(assessed: AssessedCircuit): Standing {
  return assessed.status === 'incomplete' ? 'incomplete' : standingBy(assessed.findings);
}

/** How a circuit stands by what is found of it; notes alone leave it good. */
export function standingBy(findings: readonly Pick<Finding, 'severity'>[]): Exclude<Standing, 'incomplete' | 'note'> {
  const worst = worstSeverity(findings);
  return worst === null || worst === 'note' ? 'good' : worst;
}

/** The worst of several standings; a boat without circuits is incomplete. */
export function worstStanding(standings: readonly Standing[]): Standing {
  return standings.reduce<Standing>(
    (worst, standing) => (standingOrder[standing] < standingOrder[worst] ? standing : worst),
    standings.length === 0 ? 'incomplete' : 'good',
  );
}
