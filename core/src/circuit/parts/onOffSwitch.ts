import { resistance } from '../element';
import type { PartKind } from './part';

/**
 * An on/off switch; on is "manual", since a hand has put it there. One that breaks
 * auto has a second pole, closed while it is off: on manual the auto leg is dead.
 */
export interface OnOffSwitchPart {
  readonly kind: 'on-off-switch';
  readonly id: string;
  readonly momentary: boolean;
  readonly contactOhm: number;
  readonly breaksAuto?: boolean;
}

export const onOffSwitch: PartKind<OnOffSwitchPart> = {
  entry: 'in',
  positions: ['off', 'manual'],
  terminals: ({ breaksAuto }) => (breaksAuto ? ['in', 'out', 'auto-in', 'auto-out'] : ['in', 'out']),
  elements: (part, node, { position }) =>
    position === 'manual'
      ? [resistance(node('in'), node('out'), part.contactOhm)]
      : part.breaksAuto
        ? [resistance(node('auto-in'), node('auto-out'), part.contactOhm)]
        : [],
  doing: (_part, { position }) => (position === 'manual' ? 'on' : 'off'),
};
