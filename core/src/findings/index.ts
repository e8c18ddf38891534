import { alarmRules, fedAlarmRules } from './alarm';
import { conductorRules } from './conductors';
import { contactRules } from './contacts';
import { dropRules } from './drop';
import type { AlarmFacts, AnyFacts, CircuitFacts } from './facts';
import { faultRules } from './faults';
import { feedRules } from './feed';
import { bySeverity, type Judgement, type RuleFamily } from './finding';
import { leadRules } from './leads';
import { legRules } from './legs';
import { petrolRules } from './petrol';
import { placeRules } from './place';
import { ratingRules } from './rating';
import { relayRules } from './relay';
import { runRules } from './runs';
import { sneakRules } from './sneaks';
import { stepDownRules } from './stepDown';
import { tapRules } from './taps';
import { waterRules } from './water';
import { wiringRules } from './wiring';

/** A rule family, and the circuits that it is asked of. */
interface Rule {
  readonly appliesTo: readonly AnyFacts['kind'][];
  judge(facts: AnyFacts): readonly Judgement[];
}

const ofPump = (judge: RuleFamily<CircuitFacts>): Rule => ({
  appliesTo: ['pump'],
  judge: (facts) => (facts.kind === 'pump' ? judge(facts) : []),
});
const ofAlarm = (judge: RuleFamily<AlarmFacts>): Rule => ({
  appliesTo: ['alarm'],
  judge: (facts) => (facts.kind === 'alarm' ? judge(facts) : []),
});
const ofEither = (judge: RuleFamily<AnyFacts>): Rule => ({ appliesTo: ['pump', 'alarm'], judge });

/** Every rule family, and what it is asked of: a circuit with a pump, an alarm with its own battery, or either. A new one is a file beside these and a line here. */
const rules: readonly Rule[] = [
  ofAlarm(alarmRules),
  ofEither(conductorRules),
  ofPump(dropRules),
  ofPump(leadRules),
  ofPump(ratingRules),
  ofPump(faultRules),
  ofPump(placeRules),
  ofPump(contactRules),
  ofPump(tapRules),
  ofEither(petrolRules),
  ofPump(feedRules),
  ofPump(runRules),
  ofPump(fedAlarmRules),
  ofPump(sneakRules),
  ofPump(relayRules),
  ofPump(legRules),
  ofEither(wiringRules),
  ofPump(stepDownRules),
  ofEither(waterRules),
];

/** All judgements on a circuit, worst first; their ideas have not been tried yet. */
export function judgeCircuit(facts: AnyFacts): Judgement[] {
  return bySeverity(
    rules.filter(({ appliesTo }) => appliesTo.includes(facts.kind)).flatMap((rule) => rule.judge(facts)),
  );
}

export * from './batteryFacts';
export * from './facts';
export * from './finding';
export * from './waterFacts';
export { judgeBoat, type BoatJudgement } from './boat';
export { lockedRotorSeverity } from './faults';
export { typicalCurve } from './flow';
export { inDays, lastingRules, lastsWeekend } from './lasting';
export { stepsDown } from './stepDown';
export { hoseBoresM } from './waterFixes';
export { boundInWords, waterSpeech } from './waterWords';
export { wiredAsOf, wiredAsOfAlarm, type Statement } from './wiredAs';
