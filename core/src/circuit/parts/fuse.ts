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
  /** Left out: the volts that it loses at its rating ÷ rating. */
  readonly ohm?: number;
  /** Lost at its rating, V; left out: the default. */
  readonly dropV?: number;
}

export const fuse: PartKind<FusePart> = {
  entry: 'source',
  terminals: () => ['source', 'load'],
  elements: (part, node) =>
    part.closed ? [resistance(node('source'), node('load'), part.ohm ?? fuseOhm(part.ratingA, part.dropV))] : [],
  doing: ({ closed, ratingA }, { amps }) =>
    !closed ? 'open' : Math.abs(amps) > ratingA * (1 + 1e-9) ? 'overRating' : 'closed',
};

/** Resistance of a fuse or breaker of the given rating, Ω. */
export function fuseOhm(ratingA: number, dropV: number = defaults.fuseDropV): number {
  return dropV / ratingA;
}
