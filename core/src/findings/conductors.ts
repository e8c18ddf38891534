import { conductorSizes, minimumSize, findSize } from '../reference';
import { formatAmps } from '../units';
import type { CircuitFacts, ConductorFacts, NoSize } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { useProposedSize, withIdea } from './fixes';

/** Ampacity, surroundings and least size of each conductor. */
export const conductorRules: RuleFamily = (facts) => [
  ...(facts.noSize ? [noSizeFinding(facts, facts.noSize)] : []),
  ...facts.conductors.flatMap((conductor) => judge(facts, conductor)),
];

function judge(facts: CircuitFacts, conductor: ConductorFacts): Judgement[] {
  const findings: Judgement[] = [];
  const { planned, ampacity } = conductor;
  const idea = withIdea(useProposedSize(facts.circuit, conductor));
  if (ampacity.engineSpaceFactor === null) {
    findings.push({
      code: 'insulation-forbidden-in-engine-space',
      severity: 'stop',
      message: `${planned.name}: ${planned.insulationC} °C insulation is not allowed in an engine space. Use cable rated 75 °C or more there.`,
      rule: 'Insulation in an engine space rated above 60 °C.',
      source: ampacity.source,
      about: planned.id,
    });
  } else if (facts.designCurrentA > ampacity.amps * (1 + 1e-9)) {
    findings.push({
      code: 'ampacity-below-current',
      severity: 'stop',
      message: `${planned.name}: ${conductor.size} may carry ${formatAmps(ampacity.amps)}${ampacity.engineSpaceFactor < 1 ? ' in an engine space' : ''}, the pump draws ${formatAmps(facts.designCurrentA)}. The insulation overheats.`,
      rule: 'Corrected ampacity at least the design current.',
      source: ampacity.source,
      about: planned.id,
      ...idea,
    });
  }
  if (conductor.areaMm2 < leastArea(conductor)) {
    findings.push({
      code: 'below-minimum-size',
      severity: 'stop',
      message: `${planned.name}: ${conductor.size} is below the least size of ${minimumSize[conductor.family]} outside a sheath. It breaks under strain and vibration.`,
      rule: `Conductors at least ${minimumSize.awg} or ${minimumSize.metric}; ${conductorSizes.awg[0]?.size ?? ''} only inside a sheath.`,
      source: 'ABYC E-11; ISO 13297',
      about: planned.id,
      ...idea,
    });
  }
  return findings;
}

function leastArea(conductor: ConductorFacts): number {
  return findSize(minimumSize[conductor.family])?.areaMm2 ?? 0;
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
  const over = remedies[noSize.limit](noSize);
  return {
    code: 'no-size-satisfies',
    severity: 'stop',
    message: `No size in the ${facts.family === 'awg' ? 'AWG' : 'mm²'} table satisfies this circuit, not even ${noSize.largest}. ${over}`,
    rule: 'Drop, ampacity and protection satisfied together.',
    source: 'Sizing method: ABYC E-11; ISO 13297',
  };
}
