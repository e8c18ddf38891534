import { resistance } from '../element';
import type { PartKind } from './part';

/** Manual / off / auto: the common meets one post or none. */
export interface ThreeWaySwitchPart {
  readonly kind: 'three-way-switch';
  readonly id: string;
  readonly momentaryManual: boolean;
  readonly contactOhm: number;
}

export const threeWaySwitch: PartKind<ThreeWaySwitchPart> = {
  entry: 'common',
  positions: ['off', 'manual', 'auto'],
  terminals: () => ['common', 'manual', 'auto'],
  elements: (part, node, { position = 'off' }) =>
    position === 'off' ? [] : [resistance(node('common'), node(position), part.contactOhm)],
  doing: (_part, { position }) => position ?? 'off',
};
