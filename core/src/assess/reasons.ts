import { defaults, maxMultipleOfAmpacity, protectionFamilies, protectionPlace, ratingOverRunning } from '../reference';
import { worstSeverity, type CircuitFacts, type Finding, type Severity } from '../findings';
import { formatAmps, formatOpening, plainNumber } from '../units';
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
  const { protection, designCurrentA } = facts;
  const makerA = facts.circuit.pump.makerFuseA;
  const { smallestConductor: smallest } = protection;
  const link = (question: string, answer: string, ...codes: readonly string[]): Reason => ({
    question,
    answer,
    verdict: worstSeverity(findings.filter((finding) => codes.includes(finding.code))),
  });
  const family = protectionFamilies[protection.kind];
  return [
    link(
      'Carries the pump',
      `125 % of ${formatAmps(designCurrentA)} is ${formatAmps(designCurrentA * ratingOverRunning)}; ${protection.proposed?.ratingA === protection.ratingA ? 'chosen' : 'in force'}: ${formatAmps(protection.ratingA)}.`,
      'rating-below-running',
      'rating-near-running',
      'no-rating-satisfies',
      'rating-not-standard',
    ),
    link(
      'Within the maker’s figure',
      makerA === undefined
        ? 'Not entered. Look for it on the pump’s label.'
        : `The pump’s maker allows ${formatAmps(makerA)}.`,
      'rating-over-maker',
    ),
    link(
      'Protects the smallest conductor',
      `${smallest.planned.name}, ${smallest.size}: ${formatAmps(smallest.ampacity.amps)} × 150 % = ${formatAmps(smallest.ampacity.amps * maxMultipleOfAmpacity)}.`,
      'rating-over-conductor',
      'rating-above-ampacity',
    ),
    link(
      'Opens on a stalled pump',
      `${formatAmps(protection.lockedRotorA)} at 12.0 V through this wiring; slowest: ${opens(protection.lockedRotorOpening)}. Good within 10 s.`,
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
      `Up to ${formatAmps(protection.sourceFaultA)} there; the ${family.name} breaks ${formatAmps(protection.interruptA)}.`,
      'interrupt-rating-exceeded',
    ),
    link(
      'Sits close to the battery',
      `${Math.round(protection.stubLengthM * 1000)} mm of ${protection.stubSheathed ? 'sheathed' : 'open'} stub; ${Math.round((protection.stubSheathed ? protectionPlace.sheathedM : protectionPlace.maxLengthM) * 1000)} mm allowed.`,
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

/** One line of arithmetic: what it is, how it was reckoned, and where it comes from. */
export interface WorkingStep {
  readonly what: string;
  readonly sum: string;
  readonly source: string;
}

/** The arithmetic behind a conductor's figures, step by step. */
export function conductorWorking(facts: CircuitFacts, id: string): WorkingStep[] {
  const conductor = facts.conductors.find((candidate) => candidate.planned.id === id);
  if (!conductor) return [];
  const { planned, ampacity, temperatureC, areaMm2, family } = conductor;
  const warm = plainNumber(1 + 0.00393 * (temperatureC - 20), 4);
  const milliohm = plainNumber(conductor.resistanceOhm * 1000, 2);
  const factor = ampacity.engineSpaceFactor;
  return [
    {
      what: 'Resistance',
      sum:
        family === 'awg'
          ? `17.241 mΩ·mm²/m × ${warm} (${temperatureC} °C) × ${planned.lengthM} m ÷ ${areaMm2} mm² = ${milliohm} mΩ`
          : `${plainNumber((conductor.resistanceOhm * 1000) / planned.lengthM / (1 + 0.00393 * (temperatureC - 20)), 3)} mΩ/m × ${warm} (${temperatureC} °C) × ${planned.lengthM} m = ${milliohm} mΩ`,
      source: family === 'awg' ? 'Annealed copper, ρ·L/A' : 'IEC 60228 class 5, tinned',
    },
    {
      what: 'Drop',
      sum: `${formatAmps(facts.designCurrentA)} × ${milliohm} mΩ = ${plainNumber(conductor.dropV, 3)} V`,
      source: 'Ohm’s law at design current',
    },
    {
      what: 'Ampacity',
      sum:
        factor === null
          ? `${ampacity.columnC} °C insulation is not allowed in an engine space`
          : `${conductor.size} at ${ampacity.columnC} °C: ${ampacity.tableA} A${factor < 1 ? ` × ${factor} (engine space)` : ''} = ${plainNumber(ampacity.amps, 1)} A`,
      source: ampacity.source,
    },
  ];
}
