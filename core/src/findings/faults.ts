import { roles } from '../circuit';
import { ourRules, OUR_RULE, protectionFamilies } from '../reference';
import { aRating, formatAmps, formatOhms, formatOpening, SLACK } from '../units';
import { openingSeconds, type Opening } from '../wiring';
import type { CircuitFacts } from './facts';
import type { FixIdea, Judgement, RuleFamily, Severity } from './finding';
import { addPanelFuse, useFamily, useProposedRating, useSmallerRating, withIdeas } from './fixes';
import { ownDevices } from './rating';

/** What happens on faults: stalled pump, short at the far end, inrush. */
export const faultRules: RuleFamily = (facts) => [
  ...lockedRotorRule(facts),
  ...farShortRule(facts),
  ...inrushRule(facts),
];

interface Limit {
  readonly goodS: number;
  readonly cautionS: number;
}

/** How an opening time is judged: within the first limit nothing, within the second a caution, beyond or never a stop. */
function severityOf(opening: Opening, limit: Limit): Severity | null {
  switch (opening.kind) {
    case 'not-shown':
      return 'caution';
    case 'never':
      return 'stop';
    case 'opens':
      if (opening.seconds <= limit.goodS * SLACK) return null;
      return opening.seconds <= limit.cautionS * SLACK ? 'caution' : 'stop';
    default:
      return opening satisfies never;
  }
}

/** What a stalled pump's opening time amounts to. */
export function lockedRotorSeverity(opening: Opening): Severity | null {
  return severityOf(opening, {
    goodS: ourRules.lockedRotorGoodS.value,
    cautionS: ourRules.lockedRotorCautionS.value,
  });
}

function lockedRotorRule(facts: CircuitFacts): Judgement[] {
  const { protection, circuit } = facts;
  // Legs fused apart have a finding of their own; a maker's thermal guard answers, with its statement on record.
  if (protection.legs !== null || circuit.pump.thermalGuard !== undefined) return [];
  const severity = lockedRotorSeverity(protection.lockedRotorOpening);
  if (severity === null) return windingRule(facts);
  return [
    {
      code: 'locked-rotor-slow',
      severity,
      message: `A stalled pump draws ${formatAmps(protection.lockedRotorA)} through this wiring; ${deviceWords(facts)} ${openingWords(protection.lockedRotorOpening)}. A stalled pump must not become a heater. Use a smaller rating that still carries the pump, a pump whose maker states a thermal guard, or less resistance in the wiring.`,
      rule: `Opens on a locked rotor within ${ourRules.lockedRotorGoodS.value} s; up to ${ourRules.lockedRotorCautionS.value} s is a caution. The published motor rule asks that it start no fire in seven hours.`,
      ...aboutDevice(facts),
      ...withIdeas(...otherDevices(facts)),
    },
  ];
}

/** The verdict stands at the winding as it is known; where one within its spread would turn it, that is said, a step milder. */
function windingRule({ protection, circuit }: CircuitFacts): Judgement[] {
  const turn = protection.windingTurn;
  if (turn === null) return [];
  const known = circuit.pump.windingOhm === undefined ? 'taken by default' : 'measured';
  return [
    {
      code: 'locked-rotor-winding',
      severity: lockedRotorSeverity(turn.opening) === 'stop' ? 'caution' : 'note',
      message: `On a stalled pump the fuse opens in time with the winding ${known}. From ${formatOhms(turn.fromOhm)} upwards it would take longer than ${ourRules.lockedRotorGoodS.value} s, and at ${formatOhms(turn.highestOhm)} it ${turn.opening.kind === 'opens' ? `takes up to ${formatOpening(turn.opening.seconds)}` : 'might never open'}; a hand meter is off by as much as ${formatOhms(ourRules.windingSpreadOhm.value)}. Measure the winding, the lowest of several shaft positions less the leads, or read a thermal guard from the label.`,
      rule: `The verdict stands at the nominal winding; within ± ${ourRules.windingSpreadOhm.value} Ω of it, it is said from where it turns.`,
      source: OUR_RULE,
      at: ['pump'],
    },
  ];
}

function farShortRule(facts: CircuitFacts): Judgement[] {
  const { protection } = facts;
  const limit = { goodS: ourRules.farShortGoodS.value, cautionS: ourRules.farShortCautionS.value };
  const severity = severityOf(protection.farShortOpening, limit);
  if (!severity) return [];
  return [
    {
      code: 'far-short-slow',
      severity,
      message: `A short at the pump draws ${formatAmps(protection.farShortA)}; ${deviceWords(facts)} ${openingWords(protection.farShortOpening)}. Use larger conductors or a smaller rating.`,
      rule: `Opens on a short at the far end within ${limit.goodS} s; up to ${limit.cautionS} s is a caution.`,
      ...aboutDevice(facts),
      ...withIdeas(...otherDevices(facts)),
    },
  ];
}

/** Every device in the path that a starting pump may open. */
function inrushRule(facts: CircuitFacts): Judgement[] {
  const { protection, circuit, fedA } = facts;
  const reached = ownDevices(facts).flatMap((device) => {
    const seconds = openingSeconds(device.inrushOpening);
    return seconds === null || seconds > ourRules.inrushS.value * SLACK ? [] : [{ device, seconds }];
  });
  if (reached.length === 0) return [];
  const each = reached.map(
    ({ device, seconds }) =>
      `a fast ${formatAmps(device.ratingA)} ${protectionFamilies[device.kind].name}${device.id === roles.fuse ? '' : ` (${device.name.toLowerCase()})`} may open in ${formatOpening(seconds)}`,
  );
  const inrushA = Math.max(...reached.map(({ device }) => device.inrushA));
  return [
    {
      code: 'inrush-reaches-fuse',
      severity: 'caution',
      message: `Starting at 14.4 V draws ${formatAmps(inrushA)} for about ${ourRules.inrushS.value} s, and ${each.join(', ')}. Expect nuisance openings; a slower device helps.`,
      rule: `Inrush of ${ourRules.inrushS.value} s clear of the fastest edge of every device in the path.`,
      source: `${protectionFamilies[protection.kind].source}; duration: ${OUR_RULE}`,
      at: reached.map(({ device }) => device.id),
      ...withIdeas(
        useProposedRating(facts),
        ...(reached.some(({ device }) => device.id === roles.fuse) && facts.sharedFeed === null
          ? useFamily(circuit, 'thermalBreaker', fedA)
          : []),
        ...slowerPanelDevice(facts),
      ),
    },
  ];
}

/** A thermal breaker in place of the panel's fuse. */
function slowerPanelDevice({ circuit, designCurrentA }: CircuitFacts): FixIdea[] {
  const { panel } = circuit;
  if (!panel?.fuse || panel.fuse.kind === 'thermalBreaker') return [];
  const ratingA = protectionFamilies.thermalBreaker.ratingsA.find(
    (rating) => rating >= Math.max(panel.fuse?.ratingA ?? 0, designCurrentA),
  );
  return ratingA === undefined
    ? []
    : [
        {
          label: `Use ${aRating(ratingA)} thermal breaker at the panel`,
          circuit: { ...circuit, panel: { ...panel, fuse: { kind: 'thermalBreaker', ratingA } } },
        },
      ];
}

/** Other devices that may open sooner. */
function otherDevices(facts: CircuitFacts): (FixIdea | undefined)[] {
  const { circuit, protection, fedA, sharedFeed } = facts;
  return [
    useProposedRating(facts),
    ...useSmallerRating(facts),
    ...(protection.kind === 'blade' || sharedFeed ? [] : useFamily(circuit, 'blade', fedA)),
    ...addPanelFuse(facts),
  ];
}

function aboutDevice({ protection }: CircuitFacts) {
  const family = protectionFamilies[protection.kind];
  return { source: `${OUR_RULE}; ${family.name}: ${family.source}`, at: ['fuse'] } as const;
}

function deviceWords({ protection }: CircuitFacts): string {
  const own = `the ${formatAmps(protection.ratingA)} ${protectionFamilies[protection.kind].name}`;
  const { panel } = protection;
  return panel ? `${own} or the panel’s ${formatAmps(panel.ratingA)} ${protectionFamilies[panel.kind].name}` : own;
}

function openingWords(opening: Opening): string {
  switch (opening.kind) {
    case 'opens':
      return `takes up to ${formatOpening(opening.seconds)} to open`;
    case 'never':
      return 'may never open';
    case 'not-shown':
      return 'has no published opening curve, so its opening is not shown';
    default:
      return opening satisfies never;
  }
}
