import { buildRules } from '../reference';

/** Cable to be ordered. */
export interface OrderLine {
  readonly size: string;
  readonly colour: string;
  /** The pieces and 10 %, rounded up to a tenth of a metre. */
  readonly metres: number;
  readonly pieces: number;
  /** The shortest drum sold that holds it, m; null for more than the largest. */
  readonly drumM: number | null;
}

/** Lengths in which cable is sold, m. Our rule: as most chandlers have it. */
const DRUMS_M = [5, 10, 25, 50, 100];

/** Pieces summed by size and colour, with 10 % on top. */
export function orderOf(
  pieces: readonly { readonly size: string; readonly colour: string; readonly cutM: number }[],
): OrderLine[] {
  const sums = new Map<string, { size: string; colour: string; sumM: number; pieces: number }>();
  for (const { size, colour, cutM } of pieces) {
    const key = `${size}\n${colour}`;
    const before = sums.get(key);
    sums.set(key, { size, colour, sumM: (before?.sumM ?? 0) + cutM, pieces: (before?.pieces ?? 0) + 1 });
  }
  return [...sums.values()].map(({ size, colour, sumM, pieces: count }) => {
    const metres = Number((Math.ceil(sumM * (1 + buildRules.orderShare.value) * 10 - 1e-6) / 10).toFixed(1));
    return { size, colour, metres, pieces: count, drumM: DRUMS_M.find((drum) => drum >= metres - 1e-9) ?? null };
  });
}
