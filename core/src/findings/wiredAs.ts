import { cautions, minimumSize, ourRules } from '../reference';
import { formatAmps, formatQuantity } from '../units';
import { inSheath } from './conductors';
import type { AlarmFacts, CircuitFacts } from './facts';
import { unprotectedTaps } from './taps';

/** How a circuit is wired, as somebody decided: nothing is wrong with it, and whoever works on it should know. */
export interface Statement {
  readonly code: string;
  readonly text: string;
  /** Whether it stands where hands are, on top. */
  readonly beforeWork: boolean;
}

/** Statements of a circuit, what matters before work first. */
export function wiredAsOf(facts: CircuitFacts): Statement[] {
  return [...isolating(facts), ...choices(facts), ...protecting(facts), ...outOfWater(facts)];
}

/** Statements of an alarm with a battery of its own. */
export function wiredAsOfAlarm(facts: AlarmFacts): Statement[] {
  return [
    {
      code: 'alarm-own-battery',
      text: 'The alarm lives on its own battery: no fuse of the boat protects or feeds it, and a flat one is silent. Lift the float before each trip, and change the battery on a date written on it. Muting stops the sound and keeps the light. Polarity of its two conductors is free unless its maker says otherwise.',
      beforeWork: false,
    },
    ...thinAllowed(facts),
  ];
}

/** What makes it dead. */
function isolating({ circuit, options, automatic, sharedFeed }: CircuitFacts): Statement[] {
  const statements: Statement[] = [];
  const unswitched = circuit.source?.feed !== 'isolator';
  if (unswitched) statements.push({ code: 'feed-unswitched', text: cautions.proveDead, beforeWork: true });
  const apart = circuit.panel?.legFuses && options.includes('leg-fuses') ? circuit.panel.legFuses : null;
  if (apart)
    statements.push({
      code: 'two-fuses-to-pull',
      text: `The legs have fuses of their own (${formatAmps(apart.manualA)} manual, ${formatAmps(apart.autoA)} auto): making the pump dead means pulling both.`,
      beforeWork: true,
    });
  else if (automatic && !options.includes('three-way'))
    statements.push({
      code: 'only-fuse-isolates',
      text: 'Auto is always live: no switch makes this pump dead, only its fuse. Say so on the label at the pump and at sign-off.',
      beforeWork: true,
    });
  if (sharedFeed)
    statements.push({
      code: 'shared-feed',
      text: `Battery, fuse and feed are those of ${sharedFeed.leaderName}: pulling that fuse makes both dead.`,
      beforeWork: true,
    });
  return statements;
}

function choices({ circuit, options, automatic }: CircuitFacts): Statement[] {
  const statements: Statement[] = [];
  if (circuit.source?.feed !== 'isolator' && automatic)
    statements.push({
      code: 'feed-school',
      text: 'Fed ahead of the isolator, through its own fuse, so that the boat still pumps when she is closed up.',
      beforeWork: false,
    });
  if (circuit.manual !== 'momentary' && options.includes('pump'))
    statements.push({
      code: 'manual-can-be-forgotten',
      text: 'Manual stays on until a hand turns it off: forgotten, the pump runs dry and wears out. A switch that springs back cannot be forgotten; one that stays frees the hands. A running light tells of it.',
      beforeWork: false,
    });
  if (circuit.panel?.manualBreaksAuto && options.includes('leg-fuses'))
    statements.push({
      code: 'manual-breaks-auto',
      text: 'The manual switch breaks the auto leg while it is on: the two legs never feed the motor together.',
      beforeWork: false,
    });
  return statements;
}

/** Decisions about protection that are on record. */
function protecting(facts: CircuitFacts): Statement[] {
  const { circuit } = facts;
  const statements: Statement[] = [...thinAllowed(facts)];
  if (circuit.panel?.tapAccepted && unprotectedTaps(facts).length > 0)
    statements.push({
      code: 'tap-accepted',
      text: 'A light’s or alarm’s tap has no fuse of its own after a larger one: decided on, because it is very short and well placed.',
      beforeWork: false,
    });
  if (circuit.pump.thermalGuard !== undefined)
    statements.push({
      code: 'thermal-guard',
      text: `A stalled pump switches itself off, as its maker states: “${circuit.pump.thermalGuard}”.`,
      beforeWork: false,
    });
  return statements;
}

/** Conductors under the least size that may be: in the panel, as short leads, in a sheath. */
function thinAllowed({ conductors, units }: Pick<CircuitFacts, 'conductors' | 'units'>): Statement[] {
  const thin = conductors.filter(
    (one) => one.underLeast && (one.planned.underLeastBecause !== undefined || inSheath(one)),
  );
  const [first] = thin;
  if (!first) return [];
  const most = formatQuantity(ourRules.unsheathedM.value, 'shortLength', units);
  const why = [
    ...new Set(
      thin.map(
        (one) => one.planned.underLeastBecause ?? `It runs in a sheathed multicore, with at most ${most} outside it.`,
      ),
    ),
  ];
  const names = thin.map(({ planned, size }) => `${planned.name} (${size})`).join(', ');
  return [
    {
      code: 'under-least-size-allowed',
      text: `Under the least size of ${minimumSize[first.family]}, which is allowed here: ${names}. ${why.join(' ')}`,
      beforeWork: false,
    },
  ];
}

function outOfWater({ automatic, water }: CircuitFacts): Statement[] {
  return automatic && water
    ? [
        {
          code: 'oily-water',
          text: 'An automatic pump sends overboard whatever stands in the well. Oily water must not go: keep oil out of this well, or pump by hand after a look. (MARPOL Annex I; 33 CFR 155.)',
          beforeWork: false,
        },
      ]
    : [];
}
