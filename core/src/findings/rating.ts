import { maxMultipleOfAmpacity, protectionFamilies, ratingOverRunning } from '../reference';
import { formatAmps } from '../units';
import { nextStandardRating } from '../wiring';
import type { CircuitFacts } from './facts';
import type { FixIdea, Judgement, RuleFamily, Severity } from './finding';
import { addPanelFuse, useProposedRating, useProposedSizes, useSmallerRating, withIdeas } from './fixes';

const SLACK = 1 + 1e-9;
const RULE_SOURCE = '33 CFR 183.455; ABYC E-11; ISO 13297';

interface Saying {
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  readonly rule: string;
  readonly source?: string;
  readonly ideas?: readonly (FixIdea | undefined)[];
}

/** The rating of the fuse or breaker against pump, maker and conductor. */
export const ratingRules: RuleFamily = (facts) => {
  const proposed = useProposedRating(facts.circuit, facts.protection);
  return [...standardRules(facts), ...runningRules(facts), ...makerRules(facts), ...conductorRules(facts)].map(
    ({ code, severity, message, rule, source = RULE_SOURCE, ideas = [] }): Judgement => ({
      code,
      severity,
      message,
      rule,
      source,
      about: 'fuse',
      ...withIdeas(proposed, ...ideas),
    }),
  );
};

function standardRules({ protection, fedA }: CircuitFacts): Saying[] {
  const family = protectionFamilies[protection.kind];
  const sayings: Saying[] = [];
  if (!protection.answer.found) {
    sayings.push({
      code: 'no-rating-satisfies',
      severity: 'stop',
      message:
        protection.answer.because === 'maker-below-running'
          ? `No standard rating carries the ${formatAmps(fedA)} and stays within the maker’s ${formatAmps(protection.makerA ?? 0)}. Check both figures on the label, and measure the running current.`
          : `No standard rating reaches 125 % of ${formatAmps(fedA)}. Split the load between two circuits.`,
      rule: 'Rating at least the running current and at most the maker’s figure.',
    });
  }
  if (!family.ratingsA.includes(protection.ratingA)) {
    sayings.push({
      code: 'rating-not-standard',
      severity: 'caution',
      message: `${protection.ratingA} A is not a standard rating of the ${family.name}. Its ratings: ${family.ratingsA.join(', ')} A.`,
      rule: 'A rating that can be bought and replaced.',
      source: family.source,
    });
  }
  return sayings;
}

function runningRules({ protection, fedA, designCurrentA, circuit }: CircuitFacts): Saying[] {
  const devices = [
    { name: 'The', ratingA: protection.ratingA, runningA: fedA },
    ...(protection.panel ? [{ name: 'The panel’s', ratingA: protection.panel.ratingA, runningA: designCurrentA }] : []),
    ...(protection.main ? [{ name: 'The main fuse’s', ratingA: protection.main.ratingA, runningA: fedA }] : []),
  ];
  return devices.flatMap(({ name, ratingA, runningA }): Saying[] => {
    if (ratingA * SLACK < runningA) {
      return [
        {
          code: 'rating-below-running',
          severity: 'stop',
          message: `${name} ${ratingA} A rating is below the running current of ${formatAmps(runningA)}: it opens while the pump is working.`,
          rule: 'Rating at least the running current.',
        },
      ];
    }
    const byMaker = protection.answer.found && protection.answer.because === 'maker' && !circuit.panel?.fuse;
    if (ratingA * SLACK >= runningA * ratingOverRunning || byMaker) return [];
    return [
      {
        code: 'rating-near-running',
        severity: 'caution',
        message: `${name} ${ratingA} A rating is less than 125 % of the running current of ${formatAmps(runningA)}: it may open on a hot day or a rag in the impeller.`,
        rule: 'Rating at least 125 % of the running current.',
      },
    ];
  });
}

function makerRules({ circuit, protection, fedA, designCurrentA }: CircuitFacts): Saying[] {
  const { makerA } = protection;
  const smallestA = Math.min(protection.ratingA, protection.panel?.ratingA ?? Infinity);
  if (makerA === null || smallestA <= makerA * SLACK) return [];
  return [
    {
      code: 'rating-over-maker',
      severity: 'stop',
      message: `The ${smallestA} A rating is above the pump maker’s ${formatAmps(makerA)}: a stalled pump may burn before it opens.`,
      rule: 'Rating at most the maker’s figure.',
      source: 'The pump’s label or leaflet',
      ideas: [...useSmallerRating(circuit, protection, fedA), ...addPanelFuse(circuit, designCurrentA)],
    },
  ];
}

function conductorRules(facts: CircuitFacts): Saying[] {
  const { protection, circuit, fedA } = facts;
  const { conductor, ratingA } = protection.leastProtected;
  const amps = conductor.ampacity.amps;
  const which = `the ${conductor.planned.name.toLowerCase()} (${conductor.size}, ${formatAmps(amps)})`;
  const share = `The ${ratingA} A rating is ${Math.round((100 * ratingA) / amps)} % of what ${which} may carry`;
  const ideas = [useProposedSizes(circuit, facts.conductors), ...useSmallerRating(circuit, protection, fedA)];
  if (ratingA > amps * maxMultipleOfAmpacity * SLACK) {
    return [
      {
        code: 'rating-over-conductor',
        severity: 'stop',
        message: `${share}; 150 % is the most. The conductor burns before the fuse opens.`,
        rule: 'Rating at most 150 % of the corrected ampacity of the smallest conductor.',
        ideas,
      },
    ];
  }
  if (ratingA <= amps * SLACK) return [];
  const tolerated = nextStandardRating(protection.kind, amps);
  const within = tolerated !== undefined && ratingA <= tolerated * SLACK;
  return [
    {
      code: 'rating-above-ampacity',
      severity: within ? 'note' : 'caution',
      message: `${share}. ${within ? 'It is the next standard rating above, which the rules tolerate.' : 'Allowed up to 150 %, but 100 % is better: use a larger conductor.'}`,
      rule: 'Rating at 100 % of the smallest conductor’s ampacity preferred, next standard rating tolerated, 150 % at most.',
      ideas,
    },
  ];
}
