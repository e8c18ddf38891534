import { percentOf, sharesOf, shareGroups, type ShareGroup, type SharesKnown } from '../reference';

/** A cause that an alarm may have, and how likely it is. */
export interface Cause {
  readonly words: string;
  /** 0 to 1; those of one alarm sum to one. */
  readonly share: number;
}

/** A cause before it is known how likely it is: faults by their groups, or something that is no fault. */
export type PossibleCause =
  | {
      readonly words: string;
      readonly faults: readonly ShareGroup[];
      /** So much of them it is; left out: all. */ readonly part?: number;
    }
  /** So often as faults that are so many percent of calls (E). */
  | { readonly words: string; readonly asOftenAsPercent: number };

/** What a trend shows, before its causes have shares. */
export interface FoundAlarm extends Omit<TrendAlarm, 'causes'> {
  readonly causes: readonly PossibleCause[];
}

/** Trends with what they show. */
export interface Found {
  readonly trends: readonly Trend[];
  readonly alarms: readonly FoundAlarm[];
}

/** An alarm with its causes by the shares that hunts go by, the likeliest first. */
export function withShares(alarm: FoundAlarm, known: SharesKnown = {}): TrendAlarm {
  const shares = sharesOf(shareGroups, known);
  const all = shareGroups.reduce((sum, group) => sum + percentOf(group, known), 0);
  const weighed = alarm.causes.map((cause) => ({
    words: cause.words,
    weight:
      'faults' in cause
        ? (cause.part ?? 1) * cause.faults.reduce((sum, group) => sum + (shares.get(group) ?? 0), 0)
        : cause.asOftenAsPercent / all,
  }));
  const sum = weighed.reduce((total, { weight }) => total + weight, 0);
  return {
    ...alarm,
    causes: weighed
      .map(({ words, weight }): Cause => ({ words, share: sum > 0 ? weight / sum : 1 / weighed.length }))
      .sort((a, b) => b.share - a.share),
  };
}

/** Something that a trend shows. */
export interface TrendAlarm {
  readonly code: string;
  readonly severity: 'stop' | 'caution' | 'note';
  /** With its numbers. */
  readonly words: string;
  readonly causes: readonly Cause[];
  /** The next cheap test. */
  readonly next: string;
  /** When it showed, ms since 1970. */
  readonly atMs: number;
  /** The entry that shows it. */
  readonly entry: string;
}

/** The trend in which an alarm is seen, by its key. */
export function trendOf(code: string): string {
  if (code.startsWith('added-')) return `ohm-${code.slice('added-'.length)}`;
  if (code.startsWith('amps-')) return 'amps';
  if (code === 'battery-days') return 'amp-hours';
  return ['more-starts', 'starts-rise', 'no-starts'].includes(code) ? 'starts' : 'run-length';
}

export interface TrendPoint {
  readonly atMs: number;
  readonly value: number;
  /** The entry that it comes from. */
  readonly entry: string;
}

export interface TrendLine {
  readonly value: number;
  readonly words: string;
}

/** A trend as it is drawn. */
export interface Trend {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly points: readonly TrendPoint[];
  /** Lines across it: its baseline, its limits. */
  readonly lines: readonly TrendLine[];
  /** When it was proved, ms since 1970; null where it was not. */
  readonly provedMs: number | null;
  /** What it says, in a sentence; empty where there is nothing to say. */
  readonly words: string;
}

export interface Told {
  readonly trends: readonly Trend[];
  readonly alarms: readonly TrendAlarm[];
}
