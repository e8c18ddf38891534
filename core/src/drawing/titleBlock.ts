import type { Circuit, Job } from '../job';
import { dropSchools, ruleSets } from '../reference';
import { schemeOf } from '../schemes';

/** What stands under a drawing that leaves the application: whose it is, what it shows, by which rules and of which day. */
export function titleBlock({ boat }: Job, circuit: Circuit, on: Date): readonly string[] {
  const { rules = 'us', dropSchool = 'critical' } = circuit.choices ?? {};
  return [
    `${boat.name}: ${circuit.name}`,
    `${schemeOf(circuit).name}${circuit.rewired ? ', as found wired' : ', as planned'}`,
    `Sized by ${ruleSets[rules].name}, ${dropSchools[dropSchool].percent}\u00a0% drop. Amperes: the most each conductor carries.`,
    `Harbor Latch, ${on.toISOString().slice(0, 10)}. Check against local codes; for a licensed hand to prove.`,
  ];
}
