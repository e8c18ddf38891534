import { protectionFamilies, ratingOverRunning, type ProtectionKind } from '../reference';
import { SLACK } from '../units';

export interface Rating {
  readonly kind: ProtectionKind;
  readonly ratingA: number;
}

export interface RatingQuestion {
  /** The family to begin with; beyond its largest rating the next family is used. */
  readonly kind: ProtectionKind;
  /** Running current, A (> 0). */
  readonly runningA: number;
  /** Largest fuse the pump's maker allows, A. */
  readonly makerA?: number;
}

export type RatingAnswer =
  | { readonly found: true; readonly rating: Rating; readonly because: 'over-running' | 'maker' }
  | { readonly found: false; readonly because: 'maker-below-running' | 'beyond-all-ratings' };

/**
 * The smallest standard rating at or above 125 % of the running current; if that
 * exceeds the maker's figure, the largest standard rating at or below it that
 * still carries the running current; else nothing, with the reason.
 */
export function proposeRating({ kind, runningA, makerA }: RatingQuestion): RatingAnswer {
  const ratings = standardRatings(kind);
  const overRunning = ratings.find((row) => row.ratingA * SLACK >= runningA * ratingOverRunning);
  if (overRunning && (makerA === undefined || overRunning.ratingA <= makerA * SLACK)) {
    return { found: true, rating: overRunning, because: 'over-running' };
  }
  if (makerA === undefined) return { found: false, because: 'beyond-all-ratings' };
  const underMaker = ratings.filter((row) => row.ratingA <= makerA * SLACK && row.ratingA * SLACK >= runningA).pop();
  return underMaker
    ? { found: true, rating: underMaker, because: 'maker' }
    : { found: false, because: overRunning ? 'maker-below-running' : 'beyond-all-ratings' };
}

/** Standard ratings from the family upwards, ascending; a larger family starts where the smaller one ends. */
export function standardRatings(kind: ProtectionKind): readonly Rating[] {
  const family = protectionFamilies[kind];
  const own = family.ratingsA.map((ratingA) => ({ kind, ratingA }));
  const largest = family.ratingsA[family.ratingsA.length - 1] ?? 0;
  return family.next ? [...own, ...standardRatings(family.next).filter((row) => row.ratingA > largest)] : own;
}

/** The smallest standard rating at or above `amps`, as the rules tolerate above a conductor's ampacity. */
export function nextStandardRating(kind: ProtectionKind, amps: number): number | undefined {
  return standardRatings(kind).find((row) => row.ratingA * SLACK >= amps)?.ratingA;
}
