import { defaults, dropSchools } from '../reference';
import { formatPercent, formatVolts } from '../units';
import type { Judgement, RuleFamily } from './finding';
import { useProposedSizes, withIdeas } from './fixes';

/** Voltage drop along the conductors, and what reaches the pump. */
export const dropRules: RuleFamily = (facts) => {
  const findings: Judgement[] = [];
  const school = dropSchools[facts.dropSchool];
  const { general } = dropSchools;
  const idea = withIdeas(useProposedSizes(facts.circuit, facts.conductors));
  if (facts.dropPercent > school.percent * (1 + 1e-9)) {
    findings.push({
      code: 'drop-over-school',
      severity: facts.dropPercent > general.percent * (1 + 1e-9) ? 'stop' : 'caution',
      message: `The conductors lose ${formatVolts(facts.dropV)}, ${formatPercent(facts.dropPercent)} of 12 V; the ${school.name} allows ${school.percent} %. Use a larger size, or a shorter route.`,
      rule: `Drop at design current at most ${school.percent} % of 12 V.`,
      source: school.source,
      ...idea,
    });
  }
  const lowest = facts.supplies.find((row) => row.supplyV === defaults.ratedSupplyV);
  if (!lowest) return findings;
  if (lowest.pumpV < facts.motor.labelV * defaults.breakawayShare) {
    findings.push({
      code: 'pump-may-not-break-away',
      severity: 'stop',
      message: `At 12.0 V the pump gets ${formatVolts(lowest.pumpV)}, less than a fifth of its label volts: it may not break away from standstill.`,
      rule: 'Pump volts at least 20 % of label volts.',
      source: 'Motor model; prove on the bench',
      about: 'pump',
      ...idea,
    });
  } else if (lowest.pumpV < defaults.pumpJobV) {
    findings.push({
      code: 'pump-volts-low',
      severity: 'caution',
      message: `At 12.0 V the pump gets ${formatVolts(lowest.pumpV)} and turns at ${Math.round(lowest.speedRatio * 100)} % of label speed. Below ${defaults.pumpJobV} V a pump does not do its job.`,
      rule: `At least ${defaults.pumpJobV} V at the pump.`,
      source: 'Common practice for 12 V bilge pumps',
      about: 'pump',
      ...idea,
    });
  }
  return findings;
};
