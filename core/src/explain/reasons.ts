import { roles } from '../circuit';
import {
  maxMultipleOfAmpacity,
  ourRules,
  protectionFamilies,
  protectionPlace,
  ratingOverRunning,
  ruleSets,
} from '../reference';
import { worstSeverity, type CircuitFacts, type Finding, type Severity } from '../findings';
import { formatAmps, formatOpening, formatQuantity } from '../units';
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
  const link = (question: string, answer: string, ...codes: readonly (string | null)[]): Reason => ({
    question,
    answer,
    verdict: codes.includes('caution')
      ? 'caution'
      : codes.includes('note')
        ? 'note'
        : worstSeverity(findings.filter((finding) => codes.includes(finding.code))),
  });
  const height = (metres: number) => formatQuantity(metres, 'shortLength', facts.units);
  const onChargeA = protection.devices.find(({ id }) => id === roles.fuse)?.onChargeA ?? 0;
  const family = protectionFamilies[protection.kind];
  return [
    link(
      'Carries the pump',
      `125 % of ${formatAmps(fedA)} is ${formatAmps(fedA * ratingOverRunning)}; ${facts.sharedFeed ? `taken over from ${facts.sharedFeed.leaderName}` : protection.proposed?.ratingA === protection.ratingA ? 'proposed' : 'in force'}: ${formatAmps(protection.ratingA)}. With 13.6 V at the battery ${formatAmps(onChargeA)} flow.`,
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
      // What nobody has read is not good: it is not known.
      makerA === null ? 'note' : 'rating-over-maker',
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
      'locked-rotor-winding',
    ),
    link(
      'Opens on a short at the pump',
      `${formatAmps(protection.farShortA)} at 12.0 V; slowest: ${opens(protection.farShortOpening)}. Good within 1 s.`,
      'far-short-slow',
    ),
    link('Holds while the pump starts', inrushWords(protection), 'inrush-reaches-fuse'),
    link(
      'Can break a short beside the battery',
      main
        ? `Up to ${formatAmps(protection.sourceFaultA)} there; the ${main.ratingA} A ${protectionFamilies[main.kind].name} on the post breaks ${formatAmps(protectionFamilies[main.kind].interruptA)}.`
        : `Up to ${formatAmps(protection.sourceFaultA)} there; the ${family.name} breaks ${formatAmps(protection.interruptA)}.`,
      // Said once a battery, so that it may stand beside another circuit.
      protection.sourceFaultA > protectionFamilies[(main ?? protection).kind].interruptA * (1 + 1e-9)
        ? 'caution'
        : null,
    ),
    link(
      'Sits close to the battery',
      `${height(protection.stubLengthM)} of ${protection.stubSheathed ? 'sheathed' : 'open'} stub; ${height(placeLimitM(facts))} allowed.`,
      'fuse-too-far',
      'fuse-far',
    ),
  ];
}

/** How far the device may sit as its stub is. */
function placeLimitM({ protection, circuit, choices }: CircuitFacts): number {
  const fromPost = (circuit.source?.takenFrom ?? 'battery') === 'battery' && circuit.source?.feed !== 'isolator';
  if (!protection.stubSheathed) return ruleSets[choices.rules ?? 'us'].placeM;
  return fromPost ? protectionPlace.fromBatteryM : protectionPlace.sheathedM;
}

/** The start through every device, each with its fastest edge. */
function inrushWords({ devices }: CircuitFacts['protection']): string {
  const each = devices.map(({ name, inrushA, inrushOpening }, index) =>
    index === 0
      ? `${formatAmps(inrushA)} at 14.4 V for ${ourRules.inrushS.value} s; fastest: ${opens(inrushOpening)}`
      : `${name.toLowerCase()} ${formatAmps(inrushA)}, ${opens(inrushOpening)}`,
  );
  return `${each.join('; ')}.`;
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
