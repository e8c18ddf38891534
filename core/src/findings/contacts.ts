import { formatAmps } from '../units';
import type { RuleFamily } from './finding';

/** Contacts of switch and float against the motor's current on DC. */
export const contactRules: RuleFamily = ({ circuit, automatic, designCurrentA }) => {
  const contacts = [
    { what: 'switch', ratingA: circuit.panel?.switchA, about: 'switch' },
    ...(automatic ? [{ what: 'float', ratingA: circuit.floatA, about: 'float' }] : []),
  ];
  return contacts.flatMap(({ what, ratingA, about }) =>
    ratingA === undefined || designCurrentA <= ratingA * (1 + 1e-9)
      ? []
      : [
          {
            code: 'contact-over-rating',
            severity: 'stop' as const,
            message: `The ${what}’s contact is rated ${formatAmps(ratingA)} on DC, the pump draws ${formatAmps(designCurrentA)}: it welds or burns, and a welded float never lets the pump stop. Use a ${what} of the rating, or let it drive a relay.`,
            rule: 'Contacts rated for the motor’s current on DC.',
            source: 'ABYC E-11; the maker’s rating on DC',
            about,
          },
        ],
  );
};
