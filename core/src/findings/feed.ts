import { cautions } from '../reference';
import type { RuleFamily } from './finding';

/** How the circuit is fed, and what that means for whoever works on it. */
export const feedRules: RuleFamily = () => [
  {
    code: 'feed-unswitched',
    severity: 'note',
    message: cautions.proveDead,
    rule: 'An automatic bilge pump is fed ahead of the battery isolator, through its own fuse, so that a closed-up boat still pumps.',
    source: 'Common practice for boats left afloat',
    about: 'feed',
  },
];
