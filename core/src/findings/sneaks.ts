import { keptDoing, keptPartA, keptVoltsAcross, keptWord, type LampPart, roles } from '../circuit';
import { defaults, ourRules, runsFromV } from '../reference';
import { formatVolts, plainNumber } from '../units';
import type { CircuitFacts } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { alarmDiodes, backToPlan, lightToNegative, withIdeas } from './fixes';
import { inWords, ownRows, pumpVolts, runs, solvedRows, type SolvedRow } from './rows';

const SOURCE = 'Circuit solved in every setting of switch and float';
/** Ways that current finds and nobody meant: lights through a winding, one circuit into another. */
export const sneakRules: RuleFamily = (facts) => {
  const rows = ownRows(facts);
  const lamps = facts.behaviour.wired.parts.flatMap(({ part, name }) => (part.kind === 'lamp' ? [{ part, name }] : []));
  return [
    ...lamps.flatMap(({ part, name }) => [...glows(facts, part, name, rows), ...dark(facts, part, name, rows)]),
    ...fedBack(facts),
  ];
};

/** An armed light that is lit while auto is not selected. */
function fedBackwards(facts: CircuitFacts, part: LampPart, name: string, rows: readonly SolvedRow[]): Judgement[] {
  const row = rows.find(
    ({ setting, point }) => setting.switches[roles.switch] !== 'auto' && keptDoing(point, part.id) !== 'dark',
  );
  if (!row) return [];
  return [
    {
      code: 'sneak-path-armed',
      severity: 'note',
      message: `${name}: with ${inWords(facts, row)} it is ${keptWord(row.point, part.id)}, fed backwards through the float from the pump’s side. It then says auto where auto is not selected: look at the switch, not at the light.`,
      rule: 'An armed light is lit on auto, and only then.',
      source: SOURCE,
      at: [part.id],
    },
  ];
}

/** A running light that is lit while the pump stands. */
function glows(facts: CircuitFacts, part: LampPart, name: string, rows: readonly SolvedRow[]): Judgement[] {
  if (part.shows !== 'running') return fedBackwards(facts, part, name, rows);
  const row = rows.find((candidate) => keptDoing(candidate.point, part.id) !== 'dark' && !runs(facts, candidate));
  if (!row) return [];
  const milliamps = plainNumber(1000 * Math.abs(keptPartA(row.point, part.id)), 0);
  const through = Math.abs(pumpVolts(row)) > 1e-6;
  return [
    {
      code: 'sneak-path-light',
      severity: 'caution',
      message: `${name}: with ${inWords(facts, row)} it is ${keptWord(row.point, part.id)} while the pump stands: ${milliamps} mA ${through ? 'return through the pump’s winding' : 'find another way to negative'}. It tells of a pump that does not run: wire it from the pump’s post to negative.`,
      rule: 'A running light is lit when the pump has voltage, and only then.',
      source: SOURCE,
      at: [part.id],
      ...withIdeas(lightToNegative(facts.circuit), backToPlan(facts.circuit)),
    },
  ];
}

/** A light that stays dark when it should be lit. */
function dark(facts: CircuitFacts, part: LampPart, name: string, rows: readonly SolvedRow[]): Judgement[] {
  const wanted = rows.filter((row) =>
    part.shows === 'running' ? runs(facts, row) : row.setting.switches[roles.switch] === 'auto',
  );
  const missed = wanted.filter(({ point }) => keptDoing(point, part.id) === 'dark');
  const [first] = missed;
  if (!first) return [];
  const always = missed.length === wanted.length;
  return [
    {
      code: always ? 'light-never-lights' : 'light-misses',
      severity: 'caution',
      message: `${name}: ${always ? 'it never lights' : `it stays dark with ${inWords(facts, first)}`}, when ${part.shows === 'running' ? 'the pump runs' : 'auto is selected'}. Look for a missing negative, a reversed LED or the wrong post.`,
      rule:
        part.shows === 'running'
          ? 'A running light is lit when the pump has voltage.'
          : 'An armed light is lit on auto.',
      source: SOURCE,
      at: [part.id],
      ...withIdeas(lightToNegative(facts.circuit), backToPlan(facts.circuit)),
    },
  ];
}

/** One circuit feeding the pump of another through the alarm that they share. */
function fedBack(facts: CircuitFacts): Judgement[] {
  return facts.behaviour.wired.parts.flatMap(({ part, name }): Judgement[] => {
    if (part.kind !== 'neighbour') return [];
    const theirs = solvedRows(facts.behaviour)
      .filter(({ setting }) => setting.switches[part.id] !== 'manual')
      .map((row) => ({ row, volts: keptVoltsAcross(row.point, part.id, 'post', 'minus'), whose: `“${name}”` }));
    const ours = solvedRows(facts.behaviour)
      .filter(({ setting }) => setting.switches[part.id] === 'manual' && !startsItself(facts, setting))
      .map((row) => ({ row, volts: pumpVolts(row), whose: 'this pump' }));
    const worst = [...theirs, ...ours].reduce<(typeof theirs)[number] | null>(
      (most, one) => (Math.abs(one.volts) > Math.abs(most?.volts ?? 0) ? one : most),
      null,
    );
    if (!worst || Math.abs(worst.volts) < ourRules.fedBackV.value) return [];
    const moves = Math.abs(worst.volts) >= runsFromV(defaults.labelV);
    return [
      {
        code: 'back-feed-between-circuits',
        severity: moves ? 'stop' : 'caution',
        message: `With ${inWords(facts, worst.row)}, ${worst.whose} gets ${formatVolts(worst.volts)} through the alarm’s feeds${moves ? ': one circuit runs the other’s pump past its own fuse and switch, and neither can be made dead alone' : ''}. Put a diode in each feed.`,
        rule: 'An alarm on two circuits joins neither to the other.',
        source: SOURCE,
        at: ['alarm'],
        ...withIdeas(alarmDiodes(facts.circuit), backToPlan(facts.circuit)),
      },
    ];
  });
}

/** Whether the setting starts this circuit's pump by its own switch or float. */
function startsItself({ automatic }: CircuitFacts, { switches, floats }: SolvedRow['setting']): boolean {
  return switches[roles.switch] === 'manual' || (automatic && Object.values(floats).includes('up'));
}
