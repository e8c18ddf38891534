import { conductorSizes, minimumSize, ruleSets } from '../reference';
import { formatAmps } from '../units';
import type { CircuitFacts, ConductorFacts, NoSize } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { useBetterInsulation, useProposedSize, withIdeas } from './fixes';

const SLACK = 1 + 1e-9;

/** Ampacity, surroundings and least size of each conductor. */
export const conductorRules: RuleFamily = (facts) => [
  ...(facts.noSize ? [noSizeFinding(facts, facts.noSize)] : []),
  ...conductorJudgements(facts),
];

/** What conductors are judged by in every circuit. */
type Conducting = Pick<CircuitFacts, 'circuit' | 'conductors'>;

/** Each conductor of a circuit, with a pump or without. */
export function conductorJudgements(facts: Conducting): Judgement[] {
  return facts.conductors.flatMap((conductor) => [
    ...ampacityRule(facts, conductor),
    ...leastSizeRule(facts, conductor),
  ]);
}

function ampacityRule(facts: Conducting, conductor: ConductorFacts): Judgement[] {
  const { planned, ampacity } = conductor;
  const forbidden = conductor.pieces.find((piece) => piece.ampacity.engineSpaceFactor === null);
  if (forbidden) {
    return [
      {
        code: 'insulation-forbidden-in-engine-space',
        severity: 'stop',
        message: `${planned.name}: ${forbidden.run.insulationC} °C insulation is not allowed in an engine space. Use cable rated 75 °C or more there.`,
        rule: 'Insulation in an engine space rated above 60 °C.',
        source: ampacity.source,
        about: planned.id,
        ...withIdeas(useBetterInsulation(facts.circuit, conductor)),
      },
    ];
  }
  if (conductor.designA <= ampacity.amps * SLACK) return [];
  const where = [
    ...(ampacity.engineSpaceFactor !== null && ampacity.engineSpaceFactor < 1 ? [' in an engine space'] : []),
    ...(ampacity.bundlingFactor < 1 ? [' in its bundle'] : []),
  ].join(' and');
  return [
    {
      code: 'ampacity-below-current',
      severity: 'stop',
      message: `${planned.name}: ${conductor.size} may carry ${formatAmps(ampacity.amps)}${where}, and carries ${formatAmps(conductor.designA)}. The insulation overheats.`,
      rule: 'Corrected ampacity at least the design current.',
      source: ampacity.source,
      about: planned.id,
      ...withIdeas(useProposedSize(facts.circuit, conductor), useBetterInsulation(facts.circuit, conductor)),
    },
  ];
}

function leastSizeRule(facts: Conducting, conductor: ConductorFacts): Judgement[] {
  const { planned } = conductor;
  if (!conductor.underLeast) return [];
  const rule = `Conductors at least ${minimumSize.awg} or ${minimumSize.metric}; ${conductorSizes.awg[0]?.size ?? ''} only inside a sheath or enclosure; a part’s leads up to 178 mm exempt.`;
  const source = facts.circuit.choices?.rules === 'iso' ? ruleSets.iso.name : 'ABYC E-11; ISO 13297';
  if (planned.underLeastBecause !== undefined) {
    return [
      {
        code: 'under-least-size-allowed',
        severity: 'note',
        message: `${planned.name}: ${conductor.size} is under the least size of ${conductor.leastSize}, which is allowed here. ${planned.underLeastBecause}`,
        rule,
        source,
        about: planned.id,
      },
    ];
  }
  return [
    {
      code: 'below-minimum-size',
      severity: 'stop',
      message: `${planned.name}: ${conductor.size} is below the least size of ${conductor.leastSize} outside a sheath. It breaks under strain and vibration.`,
      rule,
      source,
      about: planned.id,
      ...withIdeas(useProposedSize(facts.circuit, conductor)),
    },
  ];
}

const remedies: Readonly<Record<NoSize['limit'], (noSize: NoSize) => string>> = {
  drop: ({ neededFactor }) =>
    `The drop is ${neededFactor.toFixed(2)} times what is allowed: shorten the route to ${Math.floor(100 / neededFactor)} % of its length, place the source nearer, or split the load between two pumps.`,
  ampacity: ({ neededFactor }) =>
    `The current is ${Number.isFinite(neededFactor) ? `${neededFactor.toFixed(2)} times its ampacity` : 'not allowed at all with this insulation there'}: use a higher insulation rating, or route clear of the engine space.`,
  fuse: ({ neededFactor }) =>
    `The fuse that the pump needs is ${neededFactor.toFixed(2)} times what protects this conductor: use a higher insulation rating, route clear of the engine space, or split the load.`,
};

function noSizeFinding(facts: CircuitFacts, noSize: NoSize): Judgement {
  return {
    code: 'no-size-satisfies',
    severity: 'stop',
    message: `No size in the ${facts.family === 'awg' ? 'AWG' : 'mm²'} table satisfies this circuit, not even ${noSize.largest}. ${remedies[noSize.limit](noSize)}`,
    rule: 'Drop, ampacity and protection satisfied together.',
    source: 'Sizing method: ABYC E-11; ISO 13297',
  };
}
