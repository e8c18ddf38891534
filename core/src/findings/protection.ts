import { maxMultipleOfAmpacity, protectionFamilies, protectionPlace, ratingOverRunning } from '../reference';
import { formatAmps, formatOpening } from '../units';
import { nextStandardRating, openingSeconds, type Opening } from '../wiring';
import type { CircuitFacts } from './facts';
import type { Judgement, RuleFamily, Severity } from './finding';
import { useProposedRating, withIdea } from './fixes';

const SLACK = 1 + 1e-9;
const RULE_SOURCE = '33 CFR 183.455; ABYC E-11; ISO 13297';

/** The rating of the fuse or breaker against pump, maker and conductor. */
export const ratingRules: RuleFamily = (facts) => {
  const { protection, designCurrentA } = facts;
  const { ratingA } = protection;
  const makerA = facts.circuit.pump.makerFuseA;
  const findings: Judgement[] = [];
  const say = (code: string, severity: Severity, message: string, rule: string, source = RULE_SOURCE) =>
    findings.push({
      code,
      severity,
      message,
      rule,
      source,
      about: 'fuse',
      ...withIdea(useProposedRating(facts.circuit, protection)),
    });

  if (!protection.answer.found) {
    say(
      'no-rating-satisfies',
      'stop',
      protection.answer.because === 'maker-below-running'
        ? `No standard rating carries the pump’s ${formatAmps(designCurrentA)} and stays within the maker’s ${formatAmps(makerA ?? 0)}. Check both figures on the label, and measure the running current.`
        : `No standard rating reaches 125 % of ${formatAmps(designCurrentA)}. Split the load between two circuits.`,
      'Rating at least the running current and at most the maker’s figure.',
    );
  }
  const family = protectionFamilies[protection.kind];
  if (!family.ratingsA.includes(ratingA)) {
    say(
      'rating-not-standard',
      'caution',
      `${ratingA} A is not a standard rating of the ${family.name}. Its ratings: ${family.ratingsA.join(', ')} A.`,
      'A rating that can be bought and replaced.',
      family.source,
    );
  }
  if (ratingA * SLACK < designCurrentA) {
    say(
      'rating-below-running',
      'stop',
      `The ${ratingA} A rating is below the running current of ${formatAmps(designCurrentA)}: it opens while the pump is working.`,
      'Rating at least the running current.',
    );
  } else if (
    ratingA * SLACK < designCurrentA * ratingOverRunning &&
    protection.answer.found &&
    protection.answer.because === 'over-running'
  ) {
    say(
      'rating-near-running',
      'caution',
      `The ${ratingA} A rating is less than 125 % of the running current of ${formatAmps(designCurrentA)}: it may open on a hot day or a rag in the impeller.`,
      'Rating at least 125 % of the running current.',
    );
  }
  if (makerA !== undefined && ratingA > makerA * SLACK) {
    say(
      'rating-over-maker',
      'stop',
      `The ${ratingA} A rating is above the pump maker’s ${formatAmps(makerA)}: a stalled pump may burn before it opens.`,
      'Rating at most the maker’s figure.',
      'The pump’s label or leaflet',
    );
  }
  conductorRatingFinding(facts, say);
  return findings;
};

type Say = (code: string, severity: Severity, message: string, rule: string, source?: string) => void;

function conductorRatingFinding({ protection }: CircuitFacts, say: Say): void {
  const { ratingA, kind, smallestConductor } = protection;
  const amps = smallestConductor.ampacity.amps;
  const which = `the ${smallestConductor.planned.name.toLowerCase()} (${smallestConductor.size}, ${formatAmps(amps)})`;
  if (ratingA > amps * maxMultipleOfAmpacity * SLACK) {
    say(
      'rating-over-conductor',
      'stop',
      `The ${ratingA} A rating is ${Math.round((100 * ratingA) / amps)} % of what ${which} may carry; 150 % is the most. The conductor burns before the fuse opens.`,
      'Rating at most 150 % of the corrected ampacity of the smallest conductor.',
    );
    return;
  }
  if (ratingA <= amps * SLACK) return;
  const tolerated = nextStandardRating(kind, amps);
  const within = tolerated !== undefined && ratingA <= tolerated * SLACK;
  say(
    'rating-above-ampacity',
    within ? 'note' : 'caution',
    `The ${ratingA} A rating is ${Math.round((100 * ratingA) / amps)} % of what ${which} may carry. ${within ? 'It is the next standard rating above, which the rules tolerate.' : 'Allowed up to 150 %, but 100 % is better: use a larger conductor.'}`,
    'Rating at 100 % of the smallest conductor’s ampacity preferred, next standard rating tolerated, 150 % at most.',
  );
}

interface Limit {
  readonly code: string;
  readonly goodS: number;
  readonly cautionS: number;
  readonly message: (time: string) => string;
  readonly rule: string;
}

/** What happens on faults: stalled pump, short at the far end, inrush, and a short at the device itself. */
export const faultRules: RuleFamily = (facts) => {
  const { protection } = facts;
  const family = protectionFamilies[protection.kind];
  const findings: Judgement[] = [];
  const idea = withIdea(useProposedRating(facts.circuit, protection));
  const judge = (opening: Opening, limit: Limit) => {
    const severity = severityOf(opening, limit);
    if (!severity) return;
    const time = openingWords(opening);
    findings.push({
      code: limit.code,
      severity,
      message: limit.message(time),
      rule: limit.rule,
      source: `${family.name}: ${family.source}`,
      about: 'fuse',
      ...idea,
    });
  };
  judge(protection.lockedRotorOpening, {
    code: 'locked-rotor-slow',
    goodS: 10,
    cautionS: 60,
    message: (time) =>
      `A stalled pump draws ${formatAmps(protection.lockedRotorA)} through this wiring; the ${protection.ratingA} A ${family.name} ${time}. A stalled pump must not become a heater. Use a smaller rating within the running current, a pump with its own thermal guard, or less resistance in the wiring.`,
    rule: 'Opens on a locked rotor within 10 s; up to 60 s is a caution.',
  });
  judge(protection.farShortOpening, {
    code: 'far-short-slow',
    goodS: 1,
    cautionS: 5,
    message: (time) =>
      `A short at the pump draws ${formatAmps(protection.farShortA)}; the ${protection.ratingA} A ${family.name} ${time}. Use larger conductors or a smaller rating.`,
    rule: 'Opens on a short at the far end within 1 s; up to 5 s is a caution.',
  });
  const inrushS = openingSeconds(protection.inrushOpening);
  if (inrushS !== null && inrushS <= 0.03 * SLACK) {
    findings.push({
      code: 'inrush-reaches-fuse',
      severity: 'caution',
      message: `Starting at 14.4 V draws ${formatAmps(protection.inrushA)} for about 0.03 s, and a fast ${protection.ratingA} A ${family.name} may open in ${formatOpening(inrushS)}. Expect nuisance openings; a slower device helps.`,
      rule: 'Inrush of 0.03 s clear of the fastest edge.',
      source: `${family.name}: ${family.source}`,
      about: 'fuse',
      ...idea,
    });
  }
  if (protection.sourceFaultA > protection.interruptA * SLACK) {
    findings.push({
      code: 'interrupt-rating-exceeded',
      severity: 'caution',
      message: `The battery can deliver ${formatAmps(protection.sourceFaultA)} into a short just after the device, which can safely break ${formatAmps(protection.interruptA)}. Put a high-interrupt fuse at the battery ahead of it, or use another device.`,
      rule: 'Interrupt rating at least the fault current where the device sits.',
      source: 'ABYC E-11 interrupt ratings; figures by family',
      about: 'fuse',
    });
  }
  return findings;
};

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

/** Where the device sits: the stub before it is protected by nothing. */
export const placeRules: RuleFamily = ({ protection }) => {
  const { stubLengthM, stubSheathed } = protection;
  if (stubLengthM <= protectionPlace.maxLengthM * SLACK) return [];
  const inches = (metres: number) => `${Math.round(metres / 0.0254)} in (${Math.round(metres * 1000)} mm)`;
  const tooFar = stubLengthM > (stubSheathed ? protectionPlace.fromBatteryM : protectionPlace.maxLengthM) * SLACK;
  if (stubSheathed && stubLengthM <= protectionPlace.sheathedM * SLACK) return [];
  return [
    {
      code: tooFar ? 'fuse-too-far' : 'fuse-far',
      severity: tooFar ? 'stop' : 'caution',
      message: tooFar
        ? `The stub before the fuse is ${inches(stubLengthM)} long and protected by nothing. Move the fuse nearer${stubSheathed ? '' : ', or sheathe the stub'}.`
        : `The sheathed stub is ${inches(stubLengthM)} long: beyond 40 in, and allowed up to 72 in only for the battery’s own output conductor.`,
      rule: 'Within 7 in of the source; 40 in when sheathed; 72 in from the battery for its own output conductor.',
      source: protectionPlace.source,
      about: 'stub',
    },
  ];
};
