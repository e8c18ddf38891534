import type { RuleFamily } from './finding';
import { feedUnswitched, ownFeed, withIdeas } from './fixes';

/** How the circuit is fed. */
export const feedRules: RuleFamily = ({ circuit, automatic, duty, sharedFeed }) => [
  ...(circuit.source?.feed === 'isolator' && automatic && sharedFeed === null
    ? [
        {
          code: 'isolator-in-automatic-feed',
          severity: 'caution' as const,
          message:
            'The feed goes through the battery isolator: with the boat closed up and the isolator off, this automatic pump is dead. Right for a boat kept ashore; take that of one left afloat ahead of the isolator, through its own fuse.',
          rule: 'An automatic bilge pump is fed ahead of the battery isolator, through its own fuse.',
          source: 'Common practice for boats left afloat; small open boats kept ashore do otherwise',
          at: ['isolator', 'feed'],
          ...withIdeas(feedUnswitched(circuit)),
        },
      ]
    : []),
  ...(duty === 'backup' && sharedFeed
    ? [
        {
          code: 'backup-on-primary-feed',
          severity: 'stop' as const,
          message: `The backup hangs on the fuse and feed of ${sharedFeed.leaderName}: when that fuse opens, both pumps are dead, and it is no backup. Give it a fuse and feed of its own, from the battery.`,
          rule: 'A backup has its own fuse and feed.',
          source: 'Common practice for two pumps in one well',
          at: ['feed', 'fuse'],
          ...withIdeas(ownFeed(circuit)),
        },
      ]
    : []),
];
