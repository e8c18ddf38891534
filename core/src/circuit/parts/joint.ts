import { resistance } from '../element';
import type { PartKind } from './part';

/** Two or more conductors in one joint. `ohm` is the resistance between any two of them. */
export interface JointPart {
  readonly kind: 'joint';
  readonly id: string;
  readonly ways: readonly string[];
  readonly ohm: number;
}

export const joint: PartKind<JointPart> = {
  terminals: (part) => part.ways,
  elements: ({ ways, ohm }, node) => {
    const [one, other] = ways;
    if (ways.length === 2 && one !== undefined && other !== undefined) return [resistance(node(one), node(other), ohm)];
    // A star about an inner node gives every pair of ways the same resistance.
    return ways.map((way) => resistance(node(way), node('core'), ohm / 2));
  },
  doing: () => 'joined',
};
