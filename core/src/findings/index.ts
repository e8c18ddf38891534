import { conductorRules } from './conductors';
import { dropRules } from './drop';
import { feedRules } from './feed';
import type { CircuitFacts } from './facts';
import { bySeverity, type Judgement, type RuleFamily } from './finding';
import { faultRules, placeRules, ratingRules } from './protection';

/** Every rule family; a new one is a file beside these and a line here. */
const families: readonly RuleFamily[] = [conductorRules, dropRules, ratingRules, faultRules, placeRules, feedRules];

/** All judgements on a circuit, worst first; their ideas have not been tried yet. */
export function judgeCircuit(facts: CircuitFacts): Judgement[] {
  return bySeverity(families.flatMap((family) => family(facts)));
}

export * from './facts';
export * from './finding';
