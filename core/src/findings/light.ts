import { formatAmps } from '../units';
import type { RuleFamily } from './finding';
import { fuseTheTap, withIdeas } from './fixes';

/** A fuse this large or larger does not protect a light's thin tap, A. */
const TAP_NEEDS_FUSE_A = 5;

/** The running light's tap after the pump's fuse. */
export const lightRules: RuleFamily = ({ circuit, protection }) => {
  const { panel } = circuit;
  if (!panel?.light || panel.light === 'none' || panel.tapFuseA !== undefined) return [];
  const ratingA = Math.min(protection.ratingA, protection.panel?.ratingA ?? Infinity);
  if (ratingA < TAP_NEEDS_FUSE_A) return [];
  const accepted = panel.tapAccepted === true;
  return [
    {
      code: accepted ? 'light-tap-accepted' : 'light-tap-unprotected',
      severity: accepted ? 'note' : 'caution',
      message: accepted
        ? `The running light’s tap has no fuse of its own after the ${formatAmps(ratingA)} one: decided on, because it is very short and well placed.`
        : `The running light’s thin tap comes after a ${formatAmps(ratingA)} fuse and is protected by nothing. Give it its own small fuse, or record the decision to leave a very short, well-placed tap.`,
      rule: 'A tap thinner than its conductor has its own fuse.',
      source: 'ABYC E-11; ISO 13297',
      about: 'light',
      ...(accepted ? {} : withIdeas(fuseTheTap(circuit))),
    },
  ];
};
