import { resistance } from '../element';
import type { PartKind } from './part';

/** An on/off switch; on is "manual", since a hand has put it there. */
export interface OnOffSwitchPart {
  readonly kind: 'on-off-switch';
  readonly id: string;
  readonly momentary: boolean;
  readonly contactOhm: number;
}

export const onOffSwitch: PartKind<OnOffSwitchPart> = {
  entry: 'in',
  positions: ['off', 'manual'],
  terminals: () => ['in', 'out'],
  elements: (part, node, { position }) =>
    position === 'manual' ? [resistance(node('in'), node('out'), part.contactOhm)] : [],
  word: (_part, { position }) => (position === 'manual' ? 'on' : 'off'),
};
