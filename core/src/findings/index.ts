import { alarmRules, fedAlarmRules } from './alarm';
import { conductorJudgements, conductorRules } from './conductors';
import { contactRules } from './contacts';
import { dropRules } from './drop';
import type { AlarmFacts, CircuitFacts } from './facts';
import { faultRules } from './faults';
import { feedRules } from './feed';
import { bySeverity, type Judgement, type RuleFamily } from './finding';
import { leadRules } from './leads';
import { legRules } from './legs';
import { fuelJudgements, petrolRules } from './petrol';
import { placeRules } from './place';
import { ratingRules } from './rating';
import { relayRules } from './relay';
import { runRules } from './runs';
import { sneakRules } from './sneaks';
import { stepDownRules } from './stepDown';
import { tapRules } from './taps';
import { floatJudgements, waterRules } from './water';
import { wiredOtherwise, wiringRules } from './wiring';

/** Every rule family; a new one is a file beside these and a line here. */
const families: readonly RuleFamily[] = [
  conductorRules,
  dropRules,
  leadRules,
  ratingRules,
  faultRules,
  placeRules,
  contactRules,
  tapRules,
  petrolRules,
  feedRules,
  runRules,
  fedAlarmRules,
  sneakRules,
  relayRules,
  legRules,
  wiringRules,
  stepDownRules,
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

export * from './batteryFacts';
export * from './facts';
export * from './finding';
export * from './waterFacts';
export { judgeBoat, type BoatJudgement } from './boat';
export { lockedRotorSeverity } from './faults';
export { typicalCurve } from './flow';
export { hoseBoresM } from './waterFixes';
export { boundInWords, waterSpeech } from './waterWords';
export { wiredAsOf, wiredAsOfAlarm, type Statement } from './wiredAs';
