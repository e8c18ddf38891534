import type { Aboard } from './Aboard';
import type { Feed } from './Feed';
import type { Sender } from './Sender';

/** What the tabs of a device tell each other of the server. */
const REACHED = 'reached';
const AWAY = 'away';
const ASK = 'reach?';

/**
 * Lets every tab know whether the server is reached, which only the one that sends and asks finds out.
 * @returns what is called when this tab becomes that one
 */
export function shareReach(aboard: Aboard, feed: Feed, sender: Sender): { lead(): void } {
  aboard.hear((message) => {
    if (message !== REACHED && message !== AWAY) return;
    feed.heard(message === REACHED);
    sender.heard(message === REACHED);
  });
  aboard.say(ASK);
  return {
    lead: () => {
      let said: string | null = null;
      const say = () => {
        if (feed.state.kind === 'asking') return;
        const reach = sender.away || feed.state.kind === 'away' ? AWAY : REACHED;
        if (said !== reach) aboard.say(reach);
        said = reach;
      };
      sender.subscribe(say);
      feed.subscribe(say);
      aboard.hear((message) => (message === ASK && said !== null ? aboard.say(said) : undefined));
    },
  };
}
