import { floatBetween } from './floatBetween';
import { threeCoreLegs } from './legs';
import { planOf } from './pieces';
import type { Scheme } from './plan';
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
  plan: (surveyed) =>
    planOf([
      ...threeWayPanel(surveyed),
      ...floatBetween(surveyed.circuit, {
        usual: 'probe',
        manualFrom: threeWayPosts.manual,
        autoFrom: threeWayPosts.auto,
      }),
    ]),
};
