import type { AlarmFacts } from './facts';
import type { Judgement } from './finding';
import { backToPlan, withIdeas } from './fixes';
import { inWords, ownRows } from './rows';

/** What an alarm with its own battery is judged by: that it calls when the float is up, and only then. */
export function alarmRules(facts: AlarmFacts): Judgement[] {
  const wrong = ownRows(facts).find(
    ({ setting, point }) => (point.wordOf('alarm') === 'sounding') !== Object.values(setting.floats).includes('up'),
  );
  return [
    ...(wrong
      ? [
          {
            code: 'alarm-wrong',
            severity: 'stop' as const,
            message: `With ${inWords(facts, wrong)} the alarm is ${wrong.point.wordOf('alarm')}. Look for an open or shorted conductor of its loop.`,
            rule: 'The alarm sounds when its float is up, and only then.',
            source: 'Circuit solved in every setting of the float',
            about: 'alarm',
            ...withIdeas(backToPlan(facts.circuit)),
          },
        ]
      : []),
    {
      code: 'alarm-own-battery',
      severity: 'note',
      message:
        'The alarm lives on its own battery: no fuse of the boat protects or feeds it, and a flat one is silent. Lift the float before each trip, and change the battery on a date written on it. Muting stops the sound and keeps the light. Polarity of its two conductors is free unless its maker says otherwise.',
      rule: 'A stand-alone alarm is tested by its float.',
      source: 'Common practice',
      about: 'alarm',
    },
  ];
}
