/** A cause that an alarm may have, and how likely it is. */
export interface Cause {
  readonly words: string;
  /** 0 to 1; those of one alarm sum to one. Ours: from what each shows, until faults are traced by readings. */
  readonly share: number;
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
