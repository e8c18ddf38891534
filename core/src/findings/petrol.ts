import { cautions } from '../reference';
import type { AnyFacts } from './facts';
import type { RuleFamily } from './finding';

/** What petrol or gas on board asks of everything in the space. */
export const petrolRules: RuleFamily<Pick<AnyFacts, 'boat'>> = ({ boat }) =>
  boat.petrol === true
    ? [
        {
          code: 'ignition-protection',
          severity: 'caution',
          message: `Petrol or gas on board: pump, float, switch and fuse holder in that space must be marked ignition-protected. Splices are not sold so marked: seal and support them instead, or keep them out of the space. ${cautions.fuelVapour}`,
          rule: 'Devices, holders and motors where vapour can gather are ignition-protected.',
          source: '33 CFR 183.410; ISO 8846',
          at: [],
        },
      ]
    : [];
