import { conductorRules } from './conductors';
import { contactRules } from './contacts';
import { dropRules } from './drop';
import type { CircuitFacts } from './facts';
import { faultRules } from './faults';
import { feedRules } from './feed';
import { bySeverity, type Judgement, type RuleFamily } from './finding';
import { lightRules } from './light';
import { petrolRules } from './petrol';
import { placeRules } from './place';
import { ratingRules } from './rating';

/** Every rule family; a new one is a file beside these and a line here. */
const families: readonly RuleFamily[] = [
  conductorRules,
  dropRules,
  ratingRules,
  faultRules,
  placeRules,
  contactRules,
  lightRules,
  petrolRules,
  feedRules,
];

/** All judgements on a circuit, worst first; their ideas have not been tried yet. */
export function judgeCircuit(facts: CircuitFacts): Judgement[] {
  return bySeverity(families.flatMap((family) => family(facts)));
}

export * from './facts';
export * from './finding';
