import { resistance } from '../element';
import type { PartKind } from './part';

/** Two or more conductors in one joint. `ohm` is the resistance between any two of them. */
export interface JointPart {
  readonly kind: 'joint';
  readonly id: string;
  readonly ways: readonly string[];
  readonly ohm: number;
  /** What single ways have grown beside that, Ω; infinite where a conductor has come out of the joint. */
  readonly wayOhm?: Readonly<Record<string, number>>;
}

export const joint: PartKind<JointPart> = {
  terminals: (part) => part.ways,
  elements: ({ ways, ohm, wayOhm = {} }, node) => {
    const own = (way: string) => wayOhm[way] ?? 0;
    const [one, other] = ways;
    if (ways.length === 2 && one !== undefined && other !== undefined) {
      const between = ohm + own(one) + own(other);
      return between < Infinity ? [resistance(node(one), node(other), between)] : [];
    }
    // A star about an inner node gives every pair of ways the same resistance.
    return ways
      .filter((way) => own(way) < Infinity)
      .map((way) => resistance(node(way), node('core'), ohm / 2 + own(way)));
  },
  doing: () => 'joined',
};
