import { formatAmps } from '../units';
import type { ContactFacts } from './facts';
import type { RuleFamily } from './finding';
import { useRelay, withIdeas } from './fixes';

const remedies: Readonly<Record<ContactFacts['what'], string>> = {
  switch: 'Use a switch of the rating, or let it drive a relay.',
  float: 'A welded float never lets the pump stop. Use a float of the rating, or let it drive a relay.',
  relay: 'Use a relay of a larger contact.',
};

/** Contacts of switch, float and relay against the motor's current on DC. */
export const contactRules: RuleFamily = ({ circuit, contacts }) =>
  contacts.flatMap(({ part, name, what, ratingA, amps }) =>
    ratingA === undefined || amps <= ratingA * (1 + 1e-9)
      ? []
      : [
          {
            code: 'contact-over-rating',
            severity: 'stop' as const,
            message: `${name}: the contact is rated ${formatAmps(ratingA)} on DC and carries ${formatAmps(amps)}: it welds or burns. ${remedies[what]}`,
            rule: 'Contacts rated for the motor’s current on DC.',
            source: 'ABYC E-11; the maker’s rating on DC',
            about: part,
            ...withIdeas(useRelay(circuit)),
          },
        ],
  );
