import {
  defaults,
  maxMultipleOfAmpacity,
  protectionFamilies,
  protectionPlace,
  ratingOverRunning,
  ruleSets,
} from '../reference';
import { worstSeverity, type CircuitFacts, type Finding, type Severity } from '../findings';
import { formatAmps, formatOpening } from '../units';
import type { Opening } from '../wiring';

/** One link in the chain of reasons behind a fuse: what was asked, the numbers, and how it came out. */
export interface Reason {
  readonly question: string;
  readonly answer: string;
  /** The worst finding on this link; null = satisfied. */
  readonly verdict: Severity | null;
}

/** Why this fuse: running current, maker, conductor, stalled pump, far short, inrush, fault current, place. */
export function protectionReasons(facts: CircuitFacts, findings: readonly Finding[]): Reason[] {
  const { protection, fedA } = facts;
  const { makerA, leastProtected, main, panel } = protection;
  const { conductor: smallest } = leastProtected;
  const link = (question: string, answer: string, ...codes: readonly string[]): Reason => ({
    question,
    answer,
    verdict: worstSeverity(findings.filter((finding) => codes.includes(finding.code))),
  });
  const family = protectionFamilies[protection.kind];
  return [
    link(
      'Carries the pump',
      `125 % of ${formatAmps(fedA)} is ${formatAmps(fedA * ratingOverRunning)}; ${protection.proposed?.ratingA === protection.ratingA ? 'chosen' : 'in force'}: ${formatAmps(protection.ratingA)}.`,
      'rating-below-running',
      'rating-near-running',
      'no-rating-satisfies',
      'rating-not-standard',
    ),
    link(
      'Within the maker’s figure',
      makerA === null
        ? 'Not entered. Look for it on the pump’s label.'
        : `The pump’s maker allows ${formatAmps(makerA)}.`,
      'rating-over-maker',
    ),
    link(
      'Protects the smallest conductor',
      `${smallest.planned.name}, ${smallest.size}: ${formatAmps(smallest.ampacity.amps)} × 150 % = ${formatAmps(smallest.ampacity.amps * maxMultipleOfAmpacity)}, behind ${formatAmps(leastProtected.ratingA)}.`,
      'rating-over-conductor',
      'rating-above-ampacity',
    ),
    link(
      'Opens on a stalled pump',
      `${formatAmps(protection.lockedRotorA)} at 12.0 V through this wiring; slowest${panel ? ' of the sooner device' : ''}: ${opens(protection.lockedRotorOpening)}. Good within 10 s.`,
      'locked-rotor-slow',
    ),
    link(
      'Opens on a short at the pump',
      `${formatAmps(protection.farShortA)} at 12.0 V; slowest: ${opens(protection.farShortOpening)}. Good within 1 s.`,
      'far-short-slow',
    ),
    link(
      'Holds while the pump starts',
      `${formatAmps(protection.inrushA)} at 14.4 V for ${defaults.inrushS} s; fastest: ${opens(protection.inrushOpening)}.`,
      'inrush-reaches-fuse',
    ),
    link(
      'Can break a short beside the battery',
      main
        ? `Up to ${formatAmps(protection.sourceFaultA)} there; the ${main.ratingA} A ${protectionFamilies[main.kind].name} on the post breaks ${formatAmps(protectionFamilies[main.kind].interruptA)}.`
        : `Up to ${formatAmps(protection.sourceFaultA)} there; the ${family.name} breaks ${formatAmps(protection.interruptA)}.`,
      'interrupt-rating-exceeded',
    ),
    link(
      'Sits close to the battery',
      `${Math.round(protection.stubLengthM * 1000)} mm of ${protection.stubSheathed ? 'sheathed' : 'open'} stub; ${Math.round((protection.stubSheathed ? protectionPlace.sheathedM : ruleSets[facts.choices.rules ?? 'us'].placeM) * 1000)} mm allowed.`,
      'fuse-too-far',
      'fuse-far',
    ),
  ];
}

function opens(opening: Opening): string {
  switch (opening.kind) {
    case 'opens':
      return formatOpening(opening.seconds);
    case 'never':
      return 'does not open';
    case 'not-shown':
      return 'no curve published';
    default:
      return opening satisfies never;
  }
}
