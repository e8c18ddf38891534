import { maxMultipleOfAmpacity } from '../reference';
import { formatAmps, formatQuantity, SLACK } from '../units';
import type { CircuitFacts, TapFacts } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { fuseTheTap, withIdeas } from './fixes';

/** Thin taps of lights and alarms, each by its own size against the fuse before it, like any conductor. */
export const tapRules: RuleFamily = (facts) => {
  const bare = unprotectedTaps(facts);
  if (bare.length === 0 || facts.circuit.panel?.tapAccepted === true) return [];
  return [tapFinding(facts, bare)];
};

/** Taps whose fuse is over 150 % of what they may carry. */
export function unprotectedTaps({ protection }: Pick<CircuitFacts, 'protection'>): TapFacts[] {
  return protection.taps.filter(
    ({ conductor, ratingA }) =>
      conductor.ampacity.amps > 0 && ratingA > conductor.ampacity.amps * maxMultipleOfAmpacity * SLACK,
  );
}

function tapFinding(facts: CircuitFacts, bare: readonly TapFacts[]): Judgement {
  const each = bare.map(
    ({ conductor: { planned, size, ampacity }, ratingA }) =>
      `${planned.name}: ${size}, ${formatQuantity(planned.lengthM, planned.leg === 'panel' ? 'shortLength' : 'length', facts.units)} ${planned.leg === 'panel' ? 'behind the panel' : 'of cable'}, may carry ${formatAmps(ampacity.amps)} and comes after a fuse of ${formatAmps(ratingA)}.`,
  );
  return {
    code: 'tap-unprotected',
    severity: 'caution',
    message: `${each.join(' ')} A short in it burns it before that fuse opens. Give it its own small fuse, or record the decision to leave a very short, well-placed tap.`,
    rule: 'Rating at most 150 % of what a tap may carry, or a fuse of its own.',
    source: '33 CFR 183.455; ABYC E-11; ISO 13297',
    at: bare.map(({ conductor }) => conductor.planned.id),
    ...withIdeas(fuseTheTap(facts.circuit)),
  };
}
