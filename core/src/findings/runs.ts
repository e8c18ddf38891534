import { keptVoltsAcross, roles } from '../circuit';
import { defaults } from '../reference';
import { formatVolts } from '../units';
import type { CircuitFacts } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { backToPlan, withIdeas } from './fixes';
import { floatIdsOf, inWords, ownRows, pumpVolts, runs, type SolvedRow } from './rows';

/** Whether the pump runs when it should and stands when it should, in every setting as wired. */
export const runRules: RuleFamily = (facts) => {
  const rows = ownRows(facts);
  const floats = floatIdsOf(facts.behaviour.wired);
  const lifted = ({ setting }: SolvedRow) => floats.some((id) => setting.floats[id] === 'up');
  const atPosition = (position: string) =>
    rows.filter(({ setting }) => (setting.switches[roles.switch] ?? 'off') === position);
  const running = (some: readonly SolvedRow[]) => some.filter((row) => runs(facts, row));
  const threeWay = facts.options.includes('three-way');
  const automatic = facts.automatic ? atPosition(threeWay ? 'auto' : 'off') : [];
  const down = (some: readonly SolvedRow[]) => some.filter((row) => !lifted(row));
  const up = (some: readonly SolvedRow[]) => some.filter(lifted);
  const manual = atPosition('manual');
  const off = threeWay || !facts.automatic ? atPosition('off') : [];
  return [
    ...(running(down(manual)).length > 0
      ? []
      : running(up(manual)).length > 0
        ? [
            stop(
              facts,
              'float-in-manual-path',
              'On manual the pump runs only while the float is up: the float is wired in the manual path. Manual must bypass the float, or a stuck float leaves no pump at all.',
              'Manual goes to the pump past the float.',
            ),
          ]
        : [
            stop(
              facts,
              'manual-dead',
              'On manual the pump does not run, whatever the float does: the manual path is open somewhere. Measure from the switch towards the pump.',
              'Manual feeds the pump.',
            ),
          ]),
    ...(facts.automatic && running(up(automatic)).length === 0
      ? [
          stop(
            facts,
            'auto-lead-dead',
            'In no position of the switch does water start the pump: the auto lead is dead. The boat has no automatic pump. Measure at the auto post, then behind the float.',
            'With auto selected, a raised float starts the pump.',
          ),
        ]
      : []),
    ...running(off)
      .slice(0, 1)
      .map((row) =>
        stop(
          facts,
          'runs-when-off',
          `The pump runs with ${inWords(facts, row)}: off does not isolate it, and whoever works on it is not safe. Pull the fuse, and look for a conductor that goes past the switch.`,
          'Off isolates the pump.',
        ),
      ),
    ...(facts.automatic ? running(down(automatic)) : [])
      .slice(0, 1)
      .map((row) =>
        stop(
          facts,
          'never-stops',
          `The pump runs with ${inWords(facts, row)}: nothing stops it. It runs dry, wears out and flattens the battery. Look for a float in the wrong lead, or a conductor that bypasses it.`,
          'With the float down, an automatic pump stands.',
        ),
      ),
    ...reversed(facts, running(rows)),
    ...sensorReversed(facts, rows),
  ];
};

function stop(facts: CircuitFacts, code: string, message: string, rule: string, about: string = roles.pump): Judgement {
  return {
    code,
    severity: 'stop',
    message,
    rule,
    source: 'Circuit solved in every setting of switch and float',
    at: [about],
    ...withIdeas(backToPlan(facts.circuit)),
  };
}

function reversed(facts: CircuitFacts, running: readonly SolvedRow[]): Judgement[] {
  const row = running.find((candidate) => pumpVolts(candidate) < 0);
  if (!row) return [];
  return [
    stop(
      facts,
      'pump-reversed',
      `The pump gets ${formatVolts(pumpVolts(row))} with ${inWords(facts, row)}: reversed polarity. It turns the wrong way and moves four tenths of its flow at four tenths of its head. Swap its two leads.`,
      'Positive to the pump’s positive.',
    ),
  ];
}

function sensorReversed({ circuit, behaviour }: CircuitFacts, rows: readonly SolvedRow[]): Judgement[] {
  return behaviour.wired.parts.flatMap(({ part, name }): Judgement[] => {
    if (part.kind !== 'probe-sensor') return [];
    const backwards = rows.some(({ point }) => keptVoltsAcross(point, part.id, 'plus', 'minus') < -defaults.diodeDropV);
    if (!backwards) return [];
    return [
      {
        code: 'sensor-reversed',
        severity: 'stop',
        message: `${name}: its supply is the wrong way round. An electronic sensor works one way only, and some do not survive the other.`,
        rule: 'Polarity of electronic sensors as the maker marks it.',
        source: 'The maker’s leaflet; circuit solved in every setting',
        at: [part.id],
        ...withIdeas(backToPlan(circuit)),
      },
    ];
  });
}
