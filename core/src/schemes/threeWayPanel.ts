import { lights } from './lights';
import { at, piece } from './pieces';
import type { PlanPiece, Surveyed } from './plan';
import { threeWayPart } from './standardParts';
import { supplySide } from './supplySide';

/** Posts of the three-way switch that lead to the bilge. */
export const threeWayPosts = { manual: at('switch', 'manual'), auto: at('switch', 'auto') };

/** Supply, manual / off / auto switch and its lights: what every scheme has whose switch carries the pump. */
export function threeWayPanel(surveyed: Surveyed): PlanPiece[] {
  const { manual, auto } = threeWayPosts;
  return [
    supplySide(surveyed, { switch: at('switch', 'common') }),
    piece([threeWayPart(surveyed.circuit)]),
    lights(surveyed.circuit, { running: manual, auto, lane: 'supply' }),
  ];
}
