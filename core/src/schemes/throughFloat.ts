import { defaults } from '../reference';
import { autoConductor, manualConductor, negativeBack, pumpAt } from './bilgeSide';
import { threeCoreLegs } from './legs';
import { at, link, piece, planOf } from './pieces';
import type { Scheme } from './plan';
import { plannedJoint } from './standardParts';
import { threeWayPanel, threeWayPosts } from './threeWayPanel';

/**
 * An enclosed float with five leads: supply, two for the positive (pump, manual),
 * two for the negative (pump, return). Every joint is one conductor to one
 * conductor; the leads are not to be cut, or the maker's cover ends.
 */
export const throughFloat: Scheme = {
  name: 'Three-way switch, float with five leads',
  summary: 'Enclosed float that passes both sides through: every joint is one conductor to one. Do not cut its leads.',
  automatic: true,
  senses: 'enclosed',
  duty: 'primary',
  options: ['pump', 'three-way', 'float', 'running-light', 'armed-light'],
  legs: threeCoreLegs,
  plan: (surveyed) => {
    const { circuit } = surveyed;
    return planOf([
      ...threeWayPanel(surveyed),
      piece(
        [
          plannedJoint('joint-auto', ['cable', 'float'], 'J1', 'auto'),
          plannedJoint('joint-manual', ['cable', 'float'], 'J2', 'manual'),
          {
            part: { kind: 'through-float', id: 'float', contactOhm: defaults.floatContactOhm },
            name: 'Float',
            band: 'bilge',
            role: 'supply',
          },
          plannedJoint('joint-pump', ['float', 'pump'], 'J3', 'supply'),
          plannedJoint('joint-pump-negative', ['pump', 'float'], 'J4', 'auto'),
        ],
        [
          manualConductor(circuit, threeWayPosts.manual, at('joint-manual', 'cable')),
          autoConductor(circuit, threeWayPosts.auto, at('joint-auto', 'cable')),
        ],
        [
          link('float-lead-supply', at('joint-auto', 'float'), at('float', 'supply')),
          link('float-lead-manual', at('joint-manual', 'float'), at('float', 'manual')),
          link('float-lead-pump', at('float', 'pump-plus'), at('joint-pump', 'float')),
          link('float-lead-pump-negative', at('joint-pump-negative', 'float'), at('float', 'pump-minus')),
          link('float-lead-return', at('float', 'return'), at('joint-negative', 'float')),
        ],
      ),
      pumpAt(circuit, { plus: at('joint-pump', 'pump'), minus: at('joint-pump-negative', 'pump') }),
      negativeBack(circuit, ['float'], 'J5'),
    ]);
  },
};
