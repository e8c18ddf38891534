import { defaults, dropSchools, ourRules, OUR_RULE, runsFromV } from '../reference';
import { formatPercent, formatVolts, SLACK } from '../units';
import type { CircuitFacts, SupplyFacts } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { useProposedSizesOf, withIdeas } from './fixes';

/** Voltage drop along the conductors, and what reaches the pump. */
export const dropRules: RuleFamily = (facts) => [...schoolRule(facts), ...voltsRules(facts)];

function schoolRule(facts: CircuitFacts): Judgement[] {
  const school = dropSchools[facts.dropSchool];
  const { general } = dropSchools;
  if (facts.dropPercent <= school.percent * SLACK) return [];
  return [
    {
      code: 'drop-over-school',
      severity: facts.dropPercent > general.percent * SLACK ? 'stop' : 'caution',
      message: `The cable loses ${formatVolts(facts.dropV)}, ${formatPercent(facts.dropPercent)} of 12 V; the ${school.name} allows ${school.percent} %. Use a larger size, or a shorter route.`,
      rule: `Drop at design current at most ${school.percent} % of 12 V.`,
      source: school.source,
      at: [],
      ...withIdeas(useProposedSizesOf(facts.circuit, facts.conductors)),
    },
  ];
}

function voltsRules(facts: CircuitFacts): Judgement[] {
  const rated = facts.supplies.find((row) => row.supplyV === defaults.ratedSupplyV);
  if (!rated) return [];
  const atRated = voltsRule(facts, rated, 'At 12.0 V');
  if (atRated.length > 0) return atRated;
  // A battery that was measured lower than that is judged as it is.
  const { asMeasured } = facts;
  return asMeasured.supplyV < defaults.ratedSupplyV + 0.5
    ? voltsRule(
        facts,
        asMeasured,
        `With ${facts.battery.name} as measured, ${formatVolts(asMeasured.supplyV)} at rest,`,
      )
    : [];
}

function voltsRule(facts: CircuitFacts, row: SupplyFacts, when: string): Judgement[] {
  const idea = withIdeas(useProposedSizesOf(facts.circuit, facts.conductors));
  const asMeasured = row === facts.asMeasured;
  const charge = asMeasured ? 'Charge it, or test it' : 'Use larger cable, or a shorter route';
  if (row.pumpV < runsFromV(facts.motor.labelV)) {
    return [
      {
        code: 'pump-may-not-break-away',
        severity: 'stop',
        message: `${when} the pump gets ${formatVolts(row.pumpV)}, less than a fifth of its label volts: it may not break away from standstill. ${charge}.`,
        rule: 'Pump volts at least 20 % of label volts.',
        source: OUR_RULE,
        at: ['pump'],
        ...(asMeasured ? {} : idea),
      },
    ];
  }
  if (row.pumpV >= ourRules.pumpJobV.value) return [];
  return [
    {
      code: 'pump-volts-low',
      severity: 'caution',
      message: `${when} the pump gets ${formatVolts(row.pumpV)} and turns at ${Math.round(row.speedRatio * 100)} % of label speed: below ${ourRules.pumpJobV.value} V a pump does not do its job. ${charge}.`,
      rule: `At least ${ourRules.pumpJobV.value} V at the pump.`,
      source: OUR_RULE,
      at: ['pump'],
      ...(asMeasured ? {} : idea),
    },
  ];
}
