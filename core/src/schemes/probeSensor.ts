import { defaults } from '../reference';
import { autoConductor, manualConductor, negativeBack, pumpAt } from './bilgeSide';
import { threeCoreLegs } from './legs';
import { at, link, piece, planOf } from './pieces';
import type { Scheme } from './plan';
import { plannedJoint } from './standardParts';
import { threeWayPanel, threeWayPosts } from './threeWayPanel';

/**
 * An electronic sensor in the float's place: supply from the auto post, a
 * negative of its own, and an output to the pump. Polarity matters.
 */
export const probeSensor: Scheme = {
  name: 'Three-way switch, electronic sensor',
  summary: 'A sensor with supply, negative and output in the float’s place. Nothing moves; polarity matters.',
  automatic: true,
  senses: 'probe',
  duty: 'primary',
  options: ['pump', 'three-way', 'float', 'running-light', 'armed-light'],
  legs: threeCoreLegs,
  plan: (surveyed) => {
    const { circuit } = surveyed;
    return planOf([
      ...threeWayPanel(surveyed),
      piece(
        [
          plannedJoint('joint-float', ['cable', 'sensor'], 'J1', 'auto'),
          {
            part: { kind: 'probe-sensor', id: 'float', contactOhm: defaults.floatContactOhm },
            name: 'Sensor',
            band: 'bilge',
            role: 'auto',
          },
          plannedJoint('joint-pump', ['cable', 'sensor', 'pump'], 'J2', 'supply'),
        ],
        [
          manualConductor(circuit, threeWayPosts.manual, at('joint-pump', 'cable')),
          autoConductor(circuit, threeWayPosts.auto, at('joint-float', 'cable')),
        ],
        [
          link('sensor-lead-supply', at('joint-float', 'sensor'), at('float', 'plus')),
          link('sensor-lead-out', at('float', 'out'), at('joint-pump', 'sensor')),
          link('sensor-lead-negative', at('float', 'minus'), at('joint-negative', 'sensor')),
        ],
      ),
      pumpAt(circuit, { plus: at('joint-pump', 'pump'), minus: at('joint-negative', 'pump') }),
      negativeBack(circuit, ['pump', 'sensor'], 'J3'),
    ]);
  },
};
