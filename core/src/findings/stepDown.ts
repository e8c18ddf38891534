import { barrels, findSize, largestBarrelMm2, ourRules, OUR_RULE, sizesApart } from '../reference';
import { formatPercent, formatQuantity } from '../units';
import type { CircuitFacts, ConductorFacts } from './facts';
import type { Judgement, RuleFamily } from './finding';

/** Cable that is so much thicker than what it joins, and what that is. */
interface StepDown {
  readonly cable: readonly ConductorFacts[];
  readonly largest: ConductorFacts;
  readonly meets: readonly { readonly name: string; readonly size: string }[];
  readonly noBarrel: boolean;
}

/** Cable so much thicker than what it joins that a butt barrel does not take both. */
export const stepDownRules: RuleFamily = (facts) => {
  const found = stepsDown(facts);
  return found ? [stepDown(facts, found)] : [];
};

/** Where cable in the bilge meets something much thinner, or is too large for any butt barrel; null where it does not. */
export function stepsDown({ circuit, conductors }: Pick<CircuitFacts, 'circuit' | 'conductors'>): StepDown | null {
  const cable = conductors.filter(({ planned }) => planned.duty === 'pump' && reachesBilge(planned.leg));
  const largest = cable.reduce<ConductorFacts | null>(
    (most, one) => (one.areaMm2 > (most?.areaMm2 ?? 0) ? one : most),
    null,
  );
  if (!largest) return null;
  const { leads } = circuit.pump;
  const meets = [
    ...(leads ? [{ name: 'the pump’s leads', size: leads.size }] : []),
    ...(circuit.floatLead === undefined ? [] : [{ name: 'the float’s leads', size: circuit.floatLead }]),
  ].filter(
    ({ size }) =>
      sizesApart(largest.areaMm2, findSize(size)?.areaMm2 ?? largest.areaMm2) >= ourRules.stepDownSizes.value,
  );
  const noBarrel = largest.areaMm2 > largestBarrelMm2;
  return meets.length === 0 && !noBarrel ? null : { cable, largest, meets, noBarrel };
}

function reachesBilge(leg: ConductorFacts['planned']['leg']): boolean {
  return leg === 'panelToBilge' || leg === 'bilgeToNegative';
}

function stepDown(facts: CircuitFacts, { cable, largest, meets, noBarrel }: StepDown): Judgement {
  const joins = meets.map(({ name, size }) => `${name} (${size})`).join(' and ');
  const tooLarge = noBarrel
    ? `${largest.size} is larger than any butt barrel takes (${barrels[barrels.length - 1]?.sizes ?? ''})`
    : `${largest.size} meets ${joins}`;
  return {
    code: 'step-down',
    severity: 'note',
    message: `${tooLarge}${noBarrel && joins !== '' ? ` and meets ${joins}` : ''}: joining them takes a step-down splice or a terminal block in a dry place.${smallerWords(facts)}`,
    rule: `Conductors ${ourRules.stepDownSizes.value} or more sizes apart are joined by a step-down.`,
    source: OUR_RULE,
    at: cable.filter(({ areaMm2 }) => areaMm2 === largest.areaMm2).map(({ planned }) => planned.id),
  };
}

/** What the next smaller size would cost: in litres where flows are known, else in drop. */
function smallerWords(facts: CircuitFacts): string {
  const smaller = facts.smallerSize;
  if (!smaller) return '';
  const { size, dropPercent, flowLPerH, presentFlowLPerH } = smaller;
  const costs =
    flowLPerH === null || presentFlowLPerH === null
      ? `a drop of ${formatPercent(dropPercent)} instead of ${formatPercent(facts.dropPercent)}`
      : `${formatQuantity(Math.max(0, presentFlowLPerH - flowLPerH), 'flow', facts.units, 0)} of ${formatQuantity(presentFlowLPerH, 'flow', facts.units, 0)}, at a drop of ${formatPercent(dropPercent)}`;
  return ` ${size} instead would cost ${costs}.`;
}
