import { ourRules, OUR_RULE } from '../reference';
import { formatAmps, SLACK, toldApart } from '../units';
import type { ContactFacts } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { useRelay, withIdeas } from './fixes';

const remedies: Readonly<Record<ContactFacts['what'], string>> = {
  switch: 'Use a switch of the rating, or let it drive a relay.',
  float: 'A welded float never lets the pump stop. Use a float of the rating, or let it drive a relay.',
  relay: 'Use a relay of a larger contact.',
};

/** Contacts of switch, float and relay against the motor's current on DC. */
export const contactRules: RuleFamily = ({ circuit, contacts }) => {
  const unread = contacts.filter(
    ({ ratingA, amps }) => ratingA === null && amps * SLACK >= ourRules.contactAskFromA.value,
  );
  return [
    ...contacts.flatMap(({ part, name, what, ratingA, amps }): Judgement[] =>
      ratingA === null || amps <= ratingA * SLACK
        ? []
        : [
            {
              code: 'contact-over-rating',
              severity: 'stop',
              message: `${name}: the contact is rated ${toldApart(ratingA, amps, formatAmps).join(' on DC and carries ')}: it welds or burns. ${remedies[what]}`,
              rule: 'Contacts rated for the motor’s current on DC.',
              source: 'ABYC E-11; the maker’s rating on DC',
              at: [part],
              ...withIdeas(useRelay(circuit)),
            },
          ],
    ),
    ...(unread.length === 0 ? [] : [notRead(unread)]),
  ];
};

/** Contacts that carry much and whose rating nobody has read. */
function notRead(unread: readonly ContactFacts[]): Judgement {
  const names = unread.map(({ name }, index) => (index === 0 ? name : name.toLowerCase())).join(' and ');
  const amps = Math.max(...unread.map((one) => one.amps));
  return {
    code: 'contact-not-read',
    severity: 'caution',
    message: `${names}: ${unread.length === 1 ? 'the contact carries' : 'the contacts carry'} ${formatAmps(amps)}, and ${unread.length === 1 ? 'its rating has' : 'their ratings have'} not been read. Read it on the part or its leaflet, for DC, and enter it in the survey; many are made for no more than ${ourRules.contactAskFromA.value} A.`,
    rule: `From ${ourRules.contactAskFromA.value} A a contact’s rating is read, not assumed.`,
    source: OUR_RULE,
    at: unread.map(({ part }) => part),
  };
}
