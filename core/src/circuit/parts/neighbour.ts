import { motorBetween, resistance } from '../element';
import { motorAt, type Motor } from '../motor';
import type { PartKind } from './part';

/**
 * Another circuit as seen from the post that its pump hangs on: fed through its
 * own fuse and switch, its motor to negative. What feeds that post from elsewhere
 * feeds its pump.
 */
export interface NeighbourPart {
  readonly kind: 'neighbour';
  readonly id: string;
  readonly motor: Motor;
  /** Resistance of its own way from the battery to the post, Ω. */
  readonly feedOhm: number;
}

export const neighbour: PartKind<NeighbourPart> = {
  entry: 'post',
  positions: ['off', 'manual'],
  terminals: () => ['plus', 'post', 'minus'],
  elements: (part, node, { position }) => [
    ...(position === 'manual' ? [resistance(node('plus'), node('post'), part.feedOhm)] : []),
    motorBetween(node('post'), node('minus'), part.motor, 'sound'),
  ],
  doing: (part, { position, volts }) => {
    const turns = motorAt(part.motor, volts('post') - volts('minus')).speedRatio > 0;
    if (position === 'manual') return turns ? 'running' : 'onStanding';
    return turns ? 'fedBack' : 'off';
  },
};
