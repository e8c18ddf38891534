import { autoConductor, manualConductor, negativeBack, pumpAt } from './bilgeSide';
import { threeCoreLegs } from './legs';
import { at, link, piece, planOf } from './pieces';
import type { Scheme } from './plan';
import { floatPart, plannedJoint } from './standardParts';
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
  plan: (surveyed) => {
    const { circuit } = surveyed;
    return planOf([
      ...threeWayPanel(surveyed),
      piece(
        [
          plannedJoint('joint-float', ['cable', 'float'], 'J1', 'auto'),
          floatPart(),
          plannedJoint('joint-pump', ['cable', 'float', 'pump'], 'J2', 'supply'),
        ],
        [
          manualConductor(circuit, threeWayPosts.manual, at('joint-pump', 'cable')),
          autoConductor(circuit, threeWayPosts.auto, at('joint-float', 'cable')),
        ],
        [
          link('float-lead-1', at('joint-float', 'float'), at('float', 'a')),
          link('float-lead-2', at('float', 'b'), at('joint-pump', 'float')),
        ],
      ),
      pumpAt(circuit, { plus: at('joint-pump', 'pump'), minus: at('joint-negative', 'pump') }),
      negativeBack(circuit, ['pump'], 'J3'),
    ]);
  },
};
