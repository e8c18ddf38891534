import type { BuildList } from './buildList';
import { itemKey, type StockState } from './stockLedger';

/** What a circuit comes to by the yard's own prices. */
export interface Estimate {
  readonly parts: number;
  /** How many of the parts that are still to be got have a price. */
  readonly priced: number;
  readonly of: number;
  readonly hours: number;
  /** Null where no rate was given. */
  readonly labour: number | null;
  readonly sum: number;
}

/**
 * What parts that are not on board yet and the work come to, by prices of the yard's own; null where there is neither a
 * price nor a rate. Waiting costs nothing.
 */
export function estimateOf({ parts, steps }: BuildList, { prices, perHour }: StockState): Estimate | null {
  const wanted = parts.filter(({ aboard }) => !aboard);
  const priced = wanted.flatMap(({ item, quantity }) => {
    const each = prices[itemKey(item)];
    return each === undefined ? [] : [each * quantity];
  });
  if (priced.length === 0 && perHour === null) return null;
  const inParts = priced.reduce((sum, cost) => sum + cost, 0);
  const hours = steps.reduce((sum, { minutes }) => sum + minutes, 0) / 60;
  const labour = perHour === null ? null : perHour * hours;
  return { parts: inParts, priced: priced.length, of: wanted.length, hours, labour, sum: inParts + (labour ?? 0) };
}
