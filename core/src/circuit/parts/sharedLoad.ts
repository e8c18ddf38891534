import { motorBetween, sink } from '../element';
import type { Motor } from '../motor';
import type { PartKind } from './part';

/** Another circuit's pump on the same feed, seen from where the feed divides; it runs or not like a switched load. */
export interface SharedLoadPart {
  readonly kind: 'shared-load';
  readonly id: string;
  readonly motor: Motor;
  /** Stands in for the motor where a fixed current is asked for, A. */
  readonly sinkA?: number;
}

export const sharedLoad: PartKind<SharedLoadPart> = {
  entry: 'plus',
  positions: ['off', 'manual'],
  terminals: () => ['plus', 'minus'],
  elements: (part, node, { position }) => {
    if (position !== 'manual') return [];
    const [plus, minus] = [node('plus'), node('minus')];
    return [part.sinkA === undefined ? motorBetween(plus, minus, part.motor, 'sound') : sink(plus, minus, part.sinkA)];
  },
  doing: (_part, { position }) => (position === 'manual' ? 'running' : 'off'),
};
