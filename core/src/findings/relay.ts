import { keptVoltsAcross, roles } from '../circuit';
import { defaults, ourRules } from '../reference';
import { formatVolts } from '../units';
import type { CircuitFacts } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { suppressCoil, useProposedSizesOf, withIdeas } from './fixes';

/** The relay: that it pulls in at the lowest supply, holds, and does not burn what drives it. */
export const relayRules: RuleFamily = (facts) => {
  const { options } = facts;
  if (!options.includes('relay')) return chatterRule(facts);
  return [...chatterRule(facts), ...marginRule(facts), ...suppressionRule(facts)];
};

function chatterRule(facts: CircuitFacts): Judgement[] {
  const { rows, lowRows, lowestV } = facts.behaviour;
  const chatters = (some: CircuitFacts['behaviour']['rows']) => some.find(({ trouble }) => trouble?.code === 'chatter');
  const usual = chatters(rows);
  const trouble = (usual ?? chatters(lowRows))?.trouble;
  if (!trouble) return [];
  return [
    {
      code: 'relay-chatters',
      severity: 'stop',
      message: `At ${formatVolts(usual ? defaults.runningSupplyV : lowestV)} the relay chatters: pulled in, the pump takes away the volts that hold it. Its contacts burn. Use larger conductors, or feed the coil from nearer the source.`,
      rule: 'The coil holds while the pump runs.',
      source: 'Circuit solved until the relay rests',
      at: [trouble.about ?? roles.relay],
      ...withIdeas(useProposedSizesOf(facts.circuit, facts.conductors)),
    },
  ];
}

function marginRule(facts: CircuitFacts): Judgement[] {
  const { lowRows, lowestV } = facts.behaviour;
  const pullInV = facts.circuit.relay?.pullInV ?? defaults.relayPullInV;
  const least = lowRows.reduce(
    (volts, { point }) => (point ? Math.min(volts, Math.abs(keptVoltsAcross(point, roles.relay, '86', '85'))) : volts),
    Infinity,
  );
  if (least >= pullInV * ourRules.relayPullInMargin.value) return [];
  const fails = lowRows.some(({ point }) => point && !point.latched.includes(roles.relay));
  return [
    {
      code: fails ? 'relay-does-not-pull-in' : 'relay-pull-in-margin',
      severity: fails ? 'stop' : 'caution',
      message: `With ${formatVolts(lowestV)} at the battery the coil gets ${formatVolts(least)}; it pulls in at ${formatVolts(pullInV)}${fails ? ': the pump does not start on a tired battery' : ', and a warm coil needs about a fifth more'}. Feed the coil by shorter or thicker conductors, or fit a relay that pulls in at less.`,
      rule: `Coil volts at the lowest supply at least ${ourRules.relayPullInMargin.value} times the pull-in volts.`,
      source: 'Circuit solved at the lowest supply; the relay’s leaflet',
      at: ['relay'],
      ...withIdeas(useProposedSizesOf(facts.circuit, facts.conductors)),
    },
  ];
}

function suppressionRule({ circuit }: CircuitFacts): Judgement[] {
  if (circuit.relay?.suppression !== 'none') return [];
  return [
    {
      code: 'coil-unsuppressed',
      severity: 'caution',
      message:
        'The relay’s coil has no suppressor: each time the float opens, the coil throws a spark of some hundred volts across it and burns its contact. Put a diode across it, cathode to 86.',
      rule: 'A relay’s coil has a diode or resistor across it.',
      source: 'Common practice for relays driven by small contacts',
      at: ['relay'],
      ...withIdeas(suppressCoil(circuit)),
    },
  ];
}
