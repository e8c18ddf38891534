import { barrels, largestBarrelMm2, ourRules, sizesApart, type Barrel } from '../reference';

/** A conductor as far as a joint takes it up. */
export interface Joined {
  readonly id: string;
  readonly areaMm2: number;
}

/** One side of a butt joint. */
export interface JointSide {
  readonly ids: readonly string[];
  readonly areaMm2: number;
  /** Strands are folded back so many times over to fill the barrel: 1 is once through. */
  readonly fold: number;
}

/** How conductors go into one joint. */
export type BarrelFit =
  | { readonly how: 'butt'; readonly barrel: Barrel; readonly sides: readonly [JointSide, JointSide] }
  /** Sides too far apart for one barrel: a step-down butt, within 178 mm of the thin lead. */
  | { readonly how: 'step-down'; readonly barrel: Barrel; readonly sides: readonly [JointSide, JointSide] }
  | { readonly how: 'block'; readonly because: string };

const SLACK = 1e-9;
/** A conductor folded more often than this does not go into a barrel. */
const MOST_FOLDS = 2;
const MOST_CONDUCTORS = 3;

/** The smallest barrel that takes an area, mm²; undefined for more than the largest takes. Equal fits. */
export function barrelFor(areaMm2: number): Barrel | undefined {
  return barrels.find(({ toMm2 }) => areaMm2 <= toMm2 + SLACK);
}

/** Each way to divide a few conductors between two sides, the first of them always on the first. */
function divisions(joined: readonly Joined[]): (readonly [readonly Joined[], readonly Joined[]])[] {
  return Array.from({ length: 2 ** (joined.length - 1) - 1 }, (_, pattern) => [
    joined.filter((_one, at) => at === 0 || (pattern & (1 << (at - 1))) !== 0),
    joined.filter((_one, at) => at !== 0 && (pattern & (1 << (at - 1))) === 0),
  ]);
}

const areaOf = (side: readonly Joined[]) => side.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);

/**
 * How a joint of two or three conductors goes into a butt barrel. They are divided so that the sides are as near to
 * each other as can be; the barrel is that of the larger side, and the smaller one is folded back where it would lie
 * loose in it. Source: barrels by size as commonly sold; sides two sizes apart take a step-down (our rule).
 */
export function fitBarrel(joined: readonly Joined[]): BarrelFit {
  if (joined.length > MOST_CONDUCTORS)
    return { how: 'block', because: `${joined.length} conductors are more than one barrel joins.` };
  const [best] = divisions(joined)
    .map(([one, other]) => ({ one, other, apart: Math.abs(areaOf(one) - areaOf(other)) }))
    .sort((a, b) => a.apart - b.apart);
  if (!best) return { how: 'block', because: 'One conductor alone is no joint: it ends on a stud or is capped.' };
  const [larger, smaller] = areaOf(best.one) >= areaOf(best.other) ? [best.one, best.other] : [best.other, best.one];
  const [mostMm2, leastMm2] = [areaOf(larger), areaOf(smaller)];
  const barrel = barrelFor(mostMm2);
  if (!barrel)
    return {
      how: 'block',
      because: `${mostMm2.toFixed(1)} mm² on one side is more than the largest barrel takes (${largestBarrelMm2} mm²).`,
    };
  const side = (of: readonly Joined[], fold: number): JointSide => ({
    ids: of.map(({ id }) => id),
    areaMm2: areaOf(of),
    fold,
  });
  const foldOf = (areaMm2: number) =>
    areaMm2 <= 0 ? Infinity : Math.max(1, Math.ceil(barrel.fromMm2 / areaMm2 - SLACK));
  const fold = foldOf(leastMm2);
  const sides = [
    side(larger, Math.min(foldOf(mostMm2), MOST_FOLDS)),
    side(smaller, Math.min(fold, MOST_FOLDS)),
  ] as const;
  const far = sizesApart(mostMm2, leastMm2) >= ourRules.stepDownSizes.value;
  return { how: far && fold > 1 ? 'step-down' : fold > MOST_FOLDS ? 'step-down' : 'butt', barrel, sides };
}
