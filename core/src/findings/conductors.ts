import { conductorSizes, minimumSize, ourRules, ruleSets } from '../reference';
import { formatAmps, formatQuantity, shownUnit, SLACK, toldApart, type UnitSystem } from '../units';
import type { AnyFacts, CircuitFacts, ConductorFacts, NoSize } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { useBetterInsulation, useProposedSizesOf, withIdeas } from './fixes';

/** Ampacity, surroundings and least size of the conductors. */
export const conductorRules: RuleFamily<AnyFacts> = (facts) => [
  ...(facts.kind === 'pump' && facts.noSize ? [noSizeFinding(facts, facts.noSize)] : []),
  ...conductorJudgements(facts),
];

/** What conductors are judged by in every circuit. */
type Conducting = Pick<CircuitFacts, 'circuit' | 'conductors' | 'units'>;

/** The conductors of a circuit, with a pump or without; what has one cause is one finding with its places. */
function conductorJudgements(facts: Conducting): Judgement[] {
  const forbidden = facts.conductors.filter((one) => one.pieces.some(isForbidden));
  const overloaded = facts.conductors.filter(
    (one) => !forbidden.includes(one) && one.designA > one.ampacity.amps * SLACK,
  );
  const thin = facts.conductors.filter(({ underLeast, planned }) => underLeast && planned.duty !== 'lead');
  return [
    ...(forbidden.length > 0 ? [insulationForbidden(facts, forbidden)] : []),
    ...(overloaded.length > 0 ? [ampacityExceeded(facts, overloaded)] : []),
    ...leastSizeRules(facts, thin),
    ...leadRules(facts),
  ];
}

function isForbidden({ ampacity }: ConductorFacts['pieces'][number]): boolean {
  return ampacity.engineSpaceFactor === null;
}

function places(conductors: readonly ConductorFacts[]): string[] {
  return conductors.map(({ planned }) => planned.id);
}

/** "Feed and auto positive", the first with its capital. */
function namesOf(conductors: readonly ConductorFacts[]): string {
  const names = conductors.map(({ planned: { name } }, index) => (index === 0 ? name : name.toLowerCase()));
  const last = names.pop() ?? '';
  return names.length === 0 ? last : `${names.join(', ')} and ${last}`;
}

function insulationForbidden(facts: Conducting, conductors: readonly ConductorFacts[]): Judgement {
  const [first] = conductors;
  const run = first?.pieces.find(isForbidden)?.run;
  return {
    code: 'insulation-forbidden-in-engine-space',
    severity: 'stop',
    message: `${namesOf(conductors)}: insulation of ${run?.insulationC ?? 60} °C is not allowed in an engine space. Use cable rated 75 °C or more there, or lead it clear of the engine.`,
    rule: 'Insulation in an engine space rated above 60 °C.',
    source: first?.ampacity.source ?? '',
    at: places(conductors),
    ...withIdeas(useBetterInsulation(facts.circuit, conductors)),
  };
}

function ampacityExceeded(facts: Conducting, conductors: readonly ConductorFacts[]): Judgement {
  const each = conductors.map((conductor) => {
    const { planned, ampacity, size, designA } = conductor;
    const where = [
      ...(ampacity.engineSpaceFactor !== null && ampacity.engineSpaceFactor < 1 ? [' in an engine space'] : []),
      ...(ampacity.bundlingFactor < 1 ? [' in its bundle'] : []),
    ].join(' and');
    const [may, does] = toldApart(ampacity.amps, designA, formatAmps);
    return `${planned.name}: ${size} may carry ${may}${where}, and carries ${does}.`;
  });
  const proposed = conductors[0]?.proposedSize ?? '';
  const larger = conductors.every(({ overridden }) => overridden);
  return {
    code: 'ampacity-below-current',
    severity: 'stop',
    message: `${each.join(' ')} The insulation overheats. ${larger ? `Use ${proposed}.` : 'Use a larger size, or a higher insulation rating.'}`,
    rule: 'Corrected ampacity at least the design current.',
    source: conductors[0]?.ampacity.source ?? '',
    at: places(conductors),
    ...withIdeas(useProposedSizesOf(facts.circuit, conductors), useBetterInsulation(facts.circuit, conductors)),
  };
}

function leastSizeRules(facts: Conducting, thin: readonly ConductorFacts[]): Judgement[] {
  const notAllowed = thin.filter((one) => one.planned.underLeastBecause === undefined && !inSheath(one));
  const [first] = notAllowed;
  if (!first) return [];
  const outside = notAllowed.find(({ planned }) => planned.unsheathedM !== undefined);
  const each = `${notAllowed.map(({ planned, size }) => `${planned.name}: ${size}`).join('; ')} ${notAllowed.length === 1 ? 'is' : 'are'}`;
  const [outsideBy, most] = toldApart(outside?.planned.unsheathedM ?? 0, ourRules.unsheathedM.value, (metres, more) =>
    formatQuantity(metres, 'shortLength', facts.units, shownUnit('shortLength', facts.units).digits + more),
  );
  return [
    {
      code: 'below-minimum-size',
      severity: 'stop',
      message: outside
        ? `${each} below the least size of ${first.leastSize}, and ${outsideBy} of it run outside the sheath. Bring the sheath to within ${most}, or use ${first.leastSize}.`
        : `${each} below the least size of ${first.leastSize} outside a sheath. It breaks under strain and vibration. Use ${first.leastSize} or larger.`,
      rule: `Conductors at least ${minimumSize.awg} or ${minimumSize.metric}; ${conductorSizes.awg[0]?.size ?? ''} only inside a sheathed multicore with at most ${most} outside it.`,
      source: facts.circuit.choices?.rules === 'iso' ? ruleSets.iso.name : 'ABYC E-11; ISO 13297',
      at: places(notAllowed),
      ...withIdeas(useProposedSizesOf(facts.circuit, notAllowed)),
    },
  ];
}

/** Whether a thin conductor is one of a sheathed multicore, of a size that the rule names, and short outside the sheath. */
export function inSheath({ planned, size, family }: ConductorFacts): boolean {
  const sizes = conductorSizes[family].map((row) => row.size);
  const next = sizes.indexOf(minimumSize[family]) - 1;
  return (
    planned.unsheathedM !== undefined &&
    planned.unsheathedM <= ourRules.unsheathedM.value * SLACK &&
    sizes.indexOf(size) === next
  );
}

/** A part's own leads come with it: thin ones are judged apart from the cable. */
function leadRules(facts: Conducting): Judgement[] {
  const thin = facts.conductors.filter(
    ({ planned, underLeast }) => planned.duty === 'lead' && underLeast && planned.underLeastBecause === undefined,
  );
  const [first] = thin;
  if (!first) return [];
  const length = (units: UnitSystem) => formatQuantity(first.planned.lengthM, 'shortLength', units);
  return [
    {
      code: 'leads-below-minimum',
      severity: 'caution',
      message: `The pump’s own leads are ${first.size}, below the least size of ${first.leastSize}, and ${length(facts.units)} long. Cut them to ${formatQuantity(0.178, 'shortLength', facts.units)} where the maker allows it, or lead them in a sheath and support them.`,
      rule: `Leads of a part up to 178 mm (7 in) may be under ${minimumSize[first.family]}.`,
      source: 'ABYC E-11; the pump’s maker',
      at: places(thin),
    },
  ];
}

const remedies: Readonly<Record<NoSize['limit'], (noSize: NoSize) => string>> = {
  // Some drop is always allowed, so that this limit has a factor.
  drop: ({ neededFactor }) =>
    `The drop is ${(neededFactor ?? 1).toFixed(2)} times what is allowed: shorten the route to ${Math.floor(100 / (neededFactor ?? 1))} % of its length, place the source nearer, or split the load between two pumps.`,
  ampacity: ({ neededFactor }) =>
    `The current is ${neededFactor === null ? 'not allowed at all with this insulation there' : `${neededFactor.toFixed(2)} times its ampacity`}: use a higher insulation rating, or route clear of the engine space.`,
  fuse: ({ neededFactor }) =>
    neededFactor === null
      ? 'With this insulation no size may carry anything there: use a higher insulation rating, or route clear of the engine space.'
      : `The fuse that the pump needs is ${neededFactor.toFixed(2)} times what protects this conductor: use a higher insulation rating, route clear of the engine space, or split the load.`,
};

function noSizeFinding(facts: CircuitFacts, noSize: NoSize): Judgement {
  return {
    code: 'no-size-satisfies',
    severity: 'stop',
    message: `No size in the ${facts.family === 'awg' ? 'AWG' : 'mm²'} table satisfies this circuit, not even ${noSize.largest}. ${remedies[noSize.limit](noSize)}`,
    rule: 'Drop, ampacity and protection satisfied together.',
    source: 'Sizing method: ABYC E-11; ISO 13297',
    at: [],
    ...withIdeas(
      useBetterInsulation(
        facts.circuit,
        facts.conductors.filter((one) => one.pieces.some(isForbidden)),
      ),
    ),
  };
}
