import { keptDoing, keptWord, roles } from '../circuit';
import type { Circuit } from '../job';
import type { AlarmFacts, Behaviour } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { backToPlan, withIdeas } from './fixes';
import { inWords, ownRows, type SolvedRow } from './rows';

/** What an alarm with its own battery is judged by: that it calls when the float is up, and only then. */
export const alarmRules: RuleFamily<AlarmFacts> = (facts) => {
  const wrong = ownRows(facts).find((row) => sounds(row) !== isUp(row));
  return wrong ? [alarmWrong(facts, wrong, 'Look for an open or shorted conductor of its loop.')] : [];
};

/** An alarm fed from the circuit: with the float up it calls. */
export const fedAlarmRules: RuleFamily = (facts) => {
  if (!facts.options.includes('alarm')) return [];
  const silent = ownRows(facts).find((row) => isUp(row) && !sounds(row));
  return silent
    ? [
        alarmWrong(
          facts,
          silent,
          'High water is then told by nobody. Look for its tap or its negative that is off, a diode the wrong way round, or its fuse.',
        ),
      ]
    : [];
};

function sounds({ point }: SolvedRow): boolean {
  return keptDoing(point, roles.alarm) === 'sounding';
}

function isUp({ setting }: SolvedRow): boolean {
  return Object.values(setting.floats).includes('up');
}

interface Alarmed {
  readonly circuit: Circuit;
  readonly behaviour: Behaviour;
}

function alarmWrong(facts: Alarmed, row: SolvedRow, remedy: string): Judgement {
  return {
    code: 'alarm-wrong',
    severity: 'stop',
    message: `With ${inWords(facts, row)} the alarm is ${keptWord(row.point, roles.alarm)}. ${remedy}`,
    rule: 'The alarm sounds when its float is up.',
    source: 'Circuit solved in every setting of switch and float',
    at: ['alarm'],
    ...withIdeas(backToPlan(facts.circuit)),
  };
}
