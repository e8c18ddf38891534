import { defaults, type ProtectionKind } from '../../reference';
import { resistance } from '../element';
import type { PartKind } from './part';

/** A fuse or breaker: a small resistance until it opens or is pulled. */
export interface FusePart {
  readonly kind: 'fuse';
  readonly id: string;
  readonly family: ProtectionKind;
  readonly ratingA: number;
  readonly closed: boolean;
  /** Left out: 0.085 V ÷ rating. */
  readonly ohm?: number;
}

export const fuse: PartKind<FusePart> = {
  entry: 'source',
  terminals: () => ['source', 'load'],
  elements: (part, node) =>
    part.closed ? [resistance(node('source'), node('load'), part.ohm ?? fuseOhm(part.ratingA))] : [],
  word: ({ closed, ratingA }, { amps }) =>
    !closed ? 'open' : Math.abs(amps) > ratingA * (1 + 1e-9) ? 'over its rating' : 'closed',
};

/** Resistance of a fuse or breaker of the given rating, Ω. */
export function fuseOhm(ratingA: number): number {
  return defaults.fuseDropV / ratingA;
}
