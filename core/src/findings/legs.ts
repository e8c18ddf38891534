import { formatAmps, formatOpening } from '../units';
import type { RuleFamily } from './finding';
import { oneCommonFuse, withIdeas } from './fixes';

/** Seconds within which a stalled motor fed through both legs must be dead. */
const GOOD_S = 10;

/** Two legs fused apart: with both at work they share a stalled motor's current, and neither fuse may open in time. */
export const legRules: RuleFamily = ({ circuit, options, protection }) => {
  const { legs } = protection;
  if (!circuit.panel?.legFuses || !options.includes('leg-fuses')) return [];
  const { manualA, autoA } = circuit.panel.legFuses;
  const inTime = legs === null || (legs.opening.kind === 'opens' && legs.opening.seconds <= GOOD_S);
  const shares = legs ? `${formatAmps(legs.manualA)} through manual and ${formatAmps(legs.autoA)} through auto` : '';
  const lasts =
    legs?.opening.kind === 'opens'
      ? `takes up to ${formatOpening(legs.opening.seconds)} to go dead`
      : 'may never go dead';
  return [
    ...(inTime
      ? []
      : [
          {
            code: 'legs-fused-apart',
            severity: 'stop' as const,
            message: `Manual on and float up together: a stalled pump draws ${shares}, each below what its own fuse opens at in time, and ${lasts}. Use one common fuse before both, or a manual switch that breaks the auto leg.`,
            rule: 'A stalled pump is dead within 10 s, whatever feeds it.',
            source: 'Each fuse judged on its own share, seconds adding up',
            about: 'manual-fuse',
            ...withIdeas(oneCommonFuse(circuit)),
          },
        ]),
    {
      code: 'two-fuses-to-pull',
      severity: 'note',
      message: `The legs have fuses of their own (${formatAmps(manualA)} manual, ${formatAmps(autoA)} auto): making the pump dead means pulling both.`,
      rule: 'Isolate and prove dead before work.',
      source: 'Common practice',
      about: 'auto-fuse',
    },
  ];
};
