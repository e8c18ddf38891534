import { alarmRules } from './alarm';
import { conductorJudgements, conductorRules } from './conductors';
import { contactRules } from './contacts';
import { dropRules } from './drop';
import type { AlarmFacts, CircuitFacts } from './facts';
import { faultRules } from './faults';
import { feedRules } from './feed';
import { bySeverity, type Judgement, type RuleFamily } from './finding';
import { legRules } from './legs';
import { lightRules } from './light';
import { fuelJudgements, petrolRules } from './petrol';
import { placeRules } from './place';
import { ratingRules } from './rating';
import { relayRules } from './relay';
import { runRules } from './runs';
import { sneakRules } from './sneaks';
import { floatJudgements, waterRules } from './water';
import { wiredOtherwise, wiringRules } from './wiring';

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
  runRules,
  sneakRules,
  relayRules,
  legRules,
  wiringRules,
  waterRules,
];

/** All judgements on a circuit, worst first; their ideas have not been tried yet. */
export function judgeCircuit(facts: CircuitFacts): Judgement[] {
  return bySeverity(families.flatMap((family) => family(facts)));
}

/** All judgements on an alarm with its own battery, worst first. */
export function judgeAlarm(facts: AlarmFacts): Judgement[] {
  return bySeverity([
    ...alarmRules(facts),
    ...conductorJudgements(facts),
    ...fuelJudgements(facts.petrol),
    ...wiredOtherwise(facts),
    ...(facts.water ? floatJudgements(facts.circuit, facts.water) : []),
  ]);
}

export * from './facts';
export * from './finding';
export * from './waterFacts';
export { boundInWords, inFlow, inMillimetres } from './waterWords';
export { hoseBoresM } from './waterFixes';
