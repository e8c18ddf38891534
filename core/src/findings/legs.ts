import { roles } from '../circuit';
import { ourRules, OUR_RULE } from '../reference';
import { formatAmps, formatOpening } from '../units';
import type { RuleFamily } from './finding';
import { manualBreaksAuto, oneCommonFuse, withIdeas } from './fixes';

/** Two legs fused apart: with both at work they share a stalled motor's current, and neither fuse may open in time. */
export const legRules: RuleFamily = ({ circuit, options, protection }) => {
  const { legs } = protection;
  if (!circuit.panel?.legFuses || !options.includes('leg-fuses') || legs === null) return [];
  const limitS = ourRules.lockedRotorGoodS.value;
  if (legs.opening.kind === 'opens' && legs.opening.seconds <= limitS * (1 + 1e-9)) return [];
  const lasts =
    legs.opening.kind === 'opens'
      ? `takes up to ${formatOpening(legs.opening.seconds)} to go dead`
      : legs.opening.kind === 'never'
        ? 'may never go dead'
        : 'may not go dead: no opening curve is published for those fuses';
  return [
    {
      code: 'legs-fused-apart',
      severity: 'stop',
      message: `Manual on and float up together: a stalled pump draws ${formatAmps(legs.manualA)} through manual and ${formatAmps(legs.autoA)} through auto, each below what its own fuse opens at in time, and ${lasts}. Use one common fuse before both, or a manual switch that breaks the auto leg.`,
      rule: `A stalled pump is dead within ${limitS} s, whatever feeds it.`,
      source: `Each fuse judged on its own share, seconds adding up; ${OUR_RULE}`,
      at: [roles.manualFuse, roles.autoFuse],
      ...withIdeas(oneCommonFuse(circuit), manualBreaksAuto(circuit)),
    },
  ];
};
