import { cautions } from '../reference';
import type { RuleFamily } from './finding';
import { feedUnswitched, withIdeas } from './fixes';

/** How the circuit is fed, and what that means for whoever works on it. */
export const feedRules: RuleFamily = ({ circuit, automatic }) => {
  if (circuit.source?.feed !== 'isolator') {
    return [
      {
        code: 'feed-unswitched',
        severity: 'note',
        message: cautions.proveDead,
        rule: 'An automatic bilge pump is fed ahead of the battery isolator, through its own fuse, so that a closed-up boat still pumps.',
        source: 'Common practice for boats left afloat',
        about: 'feed',
      },
    ];
  }
  if (!automatic) return [];
  return [
    {
      code: 'isolator-in-automatic-feed',
      severity: 'caution',
      message:
        'The feed goes through the battery isolator: with the boat closed up and the isolator off, this automatic pump is dead. Right for a boat kept ashore; one left afloat needs a feed of its own.',
      rule: 'An automatic bilge pump is fed ahead of the battery isolator, through its own fuse.',
      source: 'Common practice for boats left afloat; small open boats kept ashore do otherwise',
      about: 'feed',
      ...withIdeas(feedUnswitched(circuit)),
    },
  ];
};
