import { defaults, protectionFamilies } from '../reference';
import { formatAmps, formatOpening } from '../units';
import { openingSeconds, type Opening } from '../wiring';
import type { CircuitFacts } from './facts';
import type { FixIdea, Judgement, RuleFamily, Severity } from './finding';
import { addMainFuse, addPanelFuse, useFamily, useProposedRating, useSmallerRating, withIdeas } from './fixes';

const SLACK = 1 + 1e-9;

/** What happens on faults: stalled pump, short at the far end, inrush, and a short at the device itself. */
export const faultRules: RuleFamily = (facts) => [
  ...lockedRotorRule(facts),
  ...farShortRule(facts),
  ...inrushRule(facts),
  ...interruptRule(facts),
];

interface Limit {
  readonly goodS: number;
  readonly cautionS: number;
}

function lockedRotorRule(facts: CircuitFacts): Judgement[] {
  const { protection } = facts;
  const severity = severityOf(protection.lockedRotorOpening, { goodS: 10, cautionS: 60 });
  // Legs fused apart have a finding of their own.
  if (!severity || (facts.circuit.panel?.legFuses && facts.options.includes('leg-fuses'))) return [];
  return [
    {
      code: 'locked-rotor-slow',
      severity,
      message: `A stalled pump draws ${formatAmps(protection.lockedRotorA)} through this wiring; ${deviceWords(facts)} ${openingWords(protection.lockedRotorOpening)}. A stalled pump must not become a heater. Use a smaller rating within the running current, a pump with its own thermal guard, or less resistance in the wiring.`,
      rule: 'Opens on a locked rotor within 10 s; up to 60 s is a caution.',
      ...aboutDevice(facts),
      ...withIdeas(...otherDevices(facts)),
    },
  ];
}

function farShortRule(facts: CircuitFacts): Judgement[] {
  const { protection } = facts;
  const severity = severityOf(protection.farShortOpening, { goodS: 1, cautionS: 5 });
  if (!severity) return [];
  return [
    {
      code: 'far-short-slow',
      severity,
      message: `A short at the pump draws ${formatAmps(protection.farShortA)}; ${deviceWords(facts)} ${openingWords(protection.farShortOpening)}. Use larger conductors or a smaller rating.`,
      rule: 'Opens on a short at the far end within 1 s; up to 5 s is a caution.',
      ...aboutDevice(facts),
      ...withIdeas(...otherDevices(facts)),
    },
  ];
}

function inrushRule(facts: CircuitFacts): Judgement[] {
  const { protection } = facts;
  const inrushS = openingSeconds(protection.inrushOpening);
  if (inrushS === null || inrushS > defaults.inrushS * SLACK) return [];
  return [
    {
      code: 'inrush-reaches-fuse',
      severity: 'caution',
      message: `Starting at 14.4 V draws ${formatAmps(protection.inrushA)} for about ${defaults.inrushS} s, and a fast ${protection.ratingA} A ${protectionFamilies[protection.kind].name} may open in ${formatOpening(inrushS)}. Expect nuisance openings; a slower device helps.`,
      rule: `Inrush of ${defaults.inrushS} s clear of the fastest edge.`,
      ...aboutDevice(facts),
      ...withIdeas(
        useProposedRating(facts.circuit, protection),
        ...useFamily(facts.circuit, 'thermalBreaker', facts.fedA),
      ),
    },
  ];
}

function interruptRule(facts: CircuitFacts): Judgement[] {
  const { protection, circuit, fedA } = facts;
  const first = protection.main ?? protection;
  const { interruptA, name } = protectionFamilies[first.kind];
  if (protection.sourceFaultA <= interruptA * SLACK) return [];
  return [
    {
      code: 'interrupt-rating-exceeded',
      severity: 'caution',
      message: `The battery can deliver ${formatAmps(protection.sourceFaultA)} into a short just after the ${name}, which can safely break ${formatAmps(interruptA)}. Put a high-interrupt fuse at the battery ahead of it, or use another device.`,
      rule: 'Interrupt rating at least the fault current where the device sits.',
      source: 'ABYC E-11 interrupt ratings; figures by family',
      about: 'fuse',
      ...withIdeas(...addMainFuse(circuit, protection.sourceFaultA), ...useFamily(circuit, 'thermalBreaker', fedA)),
    },
  ];
}

/** Other devices that may open sooner. */
function otherDevices({ circuit, protection, fedA, designCurrentA }: CircuitFacts): (FixIdea | undefined)[] {
  return [
    useProposedRating(circuit, protection),
    ...useSmallerRating(circuit, protection, fedA),
    ...(protection.kind === 'blade' ? [] : useFamily(circuit, 'blade', fedA)),
    ...addPanelFuse(circuit, designCurrentA),
  ];
}

function aboutDevice({ protection }: CircuitFacts) {
  const family = protectionFamilies[protection.kind];
  return { source: `${family.name}: ${family.source}`, about: 'fuse' } as const;
}

function deviceWords({ protection }: CircuitFacts): string {
  const own = `the ${protection.ratingA} A ${protectionFamilies[protection.kind].name}`;
  const { panel } = protection;
  return panel ? `${own} or the panel’s ${panel.ratingA} A ${protectionFamilies[panel.kind].name}` : own;
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
