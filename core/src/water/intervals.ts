import { rootOf } from './root';

/** A rule that bounds the height of a float. */
export type WindowRule = 'floor' | 'prime' | 'drain-back' | 'limit' | 'order';

/** What ends a height: a rule, in a pose. */
export interface Bound {
  readonly rule: WindowRule;
  readonly pose: string;
  /** What stands there, for a limit. */
  readonly about?: string;
}

/** Heights from one to another, m; infinite where nothing ends them. */
export interface Interval {
  readonly fromM: number;
  readonly toM: number;
}

/** Heights that keep every rule, and what ends them below and above. */
export interface Piece extends Interval {
  readonly lowBound: Bound | null;
  readonly highBound: Bound | null;
}

/** Every height there is. */
export const everyHeight: readonly Piece[] = [{ fromM: -Infinity, toM: Infinity, lowBound: null, highBound: null }];

/**
 * The heights of some pieces that lie in one of the intervals of a rule as well; the
 * rule's name goes to each end that it sets. Equal is kept.
 * @param slackM ends that differ by less are the same, m
 */
export function within(
  pieces: readonly Piece[],
  intervals: readonly Interval[],
  bound: Bound,
  slackM: number,
): readonly Piece[] {
  // Most rules of most poses set no end.
  const [only] = intervals;
  const wide = only && intervals.length === 1 ? only : null;
  if (wide && pieces.every(({ fromM, toM }) => wide.fromM <= fromM + slackM && wide.toM >= toM - slackM)) return pieces;
  return pieces.flatMap((piece) =>
    intervals.flatMap((interval): Piece[] => {
      const raised = interval.fromM > piece.fromM + slackM;
      const lowered = interval.toM < piece.toM - slackM;
      const fromM = raised ? interval.fromM : piece.fromM;
      const toM = lowered ? interval.toM : piece.toM;
      if (fromM > toM + slackM) return [];
      return [
        {
          fromM,
          toM,
          lowBound: raised ? bound : piece.lowBound,
          highBound: lowered ? bound : piece.highBound,
        },
      ];
    }),
  );
}

/** Heights from one to another, as plain data: null where nothing ends them. */
export interface Heights {
  readonly fromM: number | null;
  readonly toM: number | null;
}

/** An interval as plain data. */
export function heightsOf({ fromM, toM }: Interval): Heights {
  return { fromM: Number.isFinite(fromM) ? fromM : null, toM: Number.isFinite(toM) ? toM : null };
}

/** Whether a height lies in one of them. */
export function isAmong(heights: readonly Heights[], zM: number, slackM: number): boolean {
  return isIn(
    heights.map(({ fromM, toM }) => ({ fromM: fromM ?? -Infinity, toM: toM ?? Infinity })),
    zM,
    slackM,
  );
}

/** Whether a height lies in one of the intervals. */
export function isIn(intervals: readonly Interval[], zM: number, slackM: number): boolean {
  return intervals.some(({ fromM, toM }) => zM >= fromM - slackM && zM <= toM + slackM);
}

/**
 * Where a function is 0 or more, by steps with each change of sign closed in on.
 * @param stepM features narrower than this may be missed, m
 * @param above whether it stays as it is at `toM` above it
 */
export function whereEnough(
  f: (zM: number) => number,
  fromM: number,
  toM: number,
  stepM: number,
  above: boolean,
): Interval[] {
  const found: Interval[] = [];
  let begunM: number | null = f(fromM) >= 0 ? fromM : null;
  let atM = fromM;
  while (atM < toM) {
    const nextM = Math.min(toM, atM + stepM);
    const enough = f(nextM) >= 0;
    if (enough && begunM === null) begunM = crossing(f, atM, nextM);
    else if (!enough && begunM !== null) {
      found.push({ fromM: begunM, toM: crossing(f, atM, nextM) });
      begunM = null;
    }
    atM = nextM;
  }
  if (begunM !== null) found.push({ fromM: begunM, toM: above ? Infinity : toM });
  return found;
}

/** Where the function passes 0 between two heights, on one of which it is below. */
function crossing(f: (zM: number) => number, lowM: number, highM: number): number {
  if (f(highM) >= 0) return rootOf(f, lowM, highM);
  return lowM + highM - rootOf((mirroredM) => f(lowM + highM - mirroredM), lowM, highM);
}
