import { floatBetween } from './floatBetween';
import { threeCoreLegs } from './legs';
import { planOf } from './pieces';
import type { Scheme } from './plan';
import { threeWayPanel, threeWayPosts } from './threeWayPanel';

/**
 * The base circuit: battery + → fuse → common of the three-way switch; manual
 * post → pump positive; auto post → float → pump positive; pump negative →
 * negative bus. Manual bypasses the float; off isolates both.
 */
export const threeWayFloat: Scheme = {
  name: 'Three-way switch with separate float',
  summary: 'Two-lead pump, a float beside it, and manual / off / auto at the panel.',
  automatic: true,
  senses: 'hinged',
  duty: 'primary',
  options: ['pump', 'three-way', 'float', 'running-light', 'armed-light'],
  legs: threeCoreLegs,
  plan: (surveyed) =>
    planOf([
      ...threeWayPanel(surveyed),
      ...floatBetween(surveyed.circuit, {
        usual: 'float',
        manualFrom: threeWayPosts.manual,
        autoFrom: threeWayPosts.auto,
      }),
    ]),
};
