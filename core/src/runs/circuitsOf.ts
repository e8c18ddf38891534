import type { AssessedCircuit } from '../assess/assessed';
import type { WaterFacts } from '../findings';
import type { IngressSurvey, Job } from '../job';
import { schemeOf } from '../schemes';

/** The circuits of a well whose water is surveyed, those that pump first before the rest. */
export function circuitsOf(assessed: readonly AssessedCircuit[], wellId: string): AssessedCircuit[] {
  const rank = (one: AssessedCircuit) => ['primary', 'backup', 'alarm'].indexOf(schemeOf(one.circuit).duty);
  return assessed.filter(({ circuit }) => circuit.water?.wellId === wellId).sort((a, b) => rank(a) - rank(b));
}

/** What is known of a circuit's water; null where it is in no surveyed well. */
export function waterOf(assessed: AssessedCircuit): WaterFacts | null {
  return assessed.status === 'incomplete' ? null : assessed.facts.water;
}

/** The ways in which a well takes in water. */
export function ingressOf({ ingress = [] }: Job, wellId: string): IngressSurvey[] {
  return ingress.filter((one) => one.wellId === undefined || one.wellId === wellId);
}
