import type { Found, FoundAlarm, PossibleCause } from './alarm';
import { median, type DayCount } from './dayCounts';

const DAY_MS = 86_400_000;
/** Days that make a baseline. */
export const BASELINE_DAYS = 14;
/** The cumulative sum gives away so much of a spread each day, and calls at so many: a shift of two spreads is told in about a week. */
const SLACK_SPREADS = 0.75;
const CALL_SPREADS = 8;
/** What comes in differs from day to day by a tenth or so, and a count is whole: no fortnight is taken for steadier than that. */
const LEAST_SPREAD = { starts: 0.5, share: 0.1 } as const;
/** Days left out at either end of a fortnight, for the mean that a slow rise is measured from. */
const TRIMMED_DAYS = 2;
/** To spread of a normal one, from the median of what lies off. */
const FROM_MAD = 1.4826;

export interface Baseline {
  readonly starts: number;
  readonly limit: number;
  /** The mean of its days but for the outermost. */
  readonly mean: number;
  readonly spread: number;
  /** The last day of it. */
  readonly untilMs: number;
}

/** The usual number of starts of a day: the median of the first fourteen dry days; null with fewer. */
export function baselineOf(days: readonly DayCount[]): Baseline | null {
  const dry = days.filter(({ rained }) => rained !== true).slice(0, BASELINE_DAYS);
  const last = dry[BASELINE_DAYS - 1];
  if (!last) return null;
  const starts = median(dry.map((day) => day.starts));
  const inner = dry
    .map((day) => day.starts)
    .sort((a, b) => a - b)
    .slice(TRIMMED_DAYS, -TRIMMED_DAYS);
  const mean = inner.reduce((sum, one) => sum + one, 0) / inner.length;
  const spread = Math.max(
    LEAST_SPREAD.starts + LEAST_SPREAD.share * mean,
    FROM_MAD * median(dry.map((day) => Math.abs(day.starts - starts))),
  );
  return { starts, limit: starts + 3 * Math.sqrt(Math.max(starts, 1)) + 1, mean, spread, untilMs: last.dayMs };
}

/** So often is it the boat that takes more water, and so often a dry month, beside the faults (E). */
export const MORE_WATER_PERCENT = 12;
const DRY_SPELL_PERCENT = 60;

const causes: readonly PossibleCause[] = [
  { words: 'more water comes in: gland, hull fitting, deck, a hose end', asOftenAsPercent: MORE_WATER_PERCENT },
  { words: 'water comes back from the hose', faults: ['hose', 'valve'] },
  { words: 'the float was moved or tilts', faults: ['float-place'] },
];
const NEXT = 'Dry the bilge, wait an hour, and look where water stands first. Look at the outlet after a stop.';

/** Starts a day against their baseline: days far over it, and a slow rise by its cumulative sum (Page, 1954), the rain taken out. */
export function startsTrend(days: readonly DayCount[], provedMs: number | null, nowMs: number): Found {
  const base = baselineOf(days);
  const trend = {
    key: 'starts',
    name: 'Starts a day',
    unit: '',
    points: days.map(({ dayMs, starts, entry }) => ({ atMs: dayMs, value: starts, entry })),
    lines: base
      ? [
          { value: base.starts, words: 'usual' },
          { value: base.limit, words: 'limit' },
        ]
      : [],
    provedMs,
    words: base
      ? `Usually ${show(base.starts)} a day; over ${show(base.limit)} is out of the usual.`
      : days.length > 0
        ? `No baseline yet: ${BASELINE_DAYS} dry days are wanted.`
        : '',
  };
  if (!base) return { trends: days.length > 0 ? [trend] : [], alarms: [] };
  const after = days.filter(({ dayMs, rained }) => dayMs > base.untilMs && rained !== true);
  const alarms = [overLimit(after, base), rising(after, base), silent(days, base, nowMs)].filter((one) => one !== null);
  return { trends: [trend], alarms };
}

const show = (value: number) => String(Math.round(value * 10) / 10);

function overLimit(days: readonly DayCount[], { starts, limit }: Baseline): FoundAlarm | null {
  const over = days.filter((day) => day.starts > limit);
  const found = lastOf(
    over,
    (day, at) => day.starts > 2 * limit || (at > 0 && day.dayMs - (over[at - 1]?.dayMs ?? 0) <= 6 * DAY_MS),
  );
  if (!found) return null;
  return {
    code: 'more-starts',
    severity: 'caution',
    words: `${show(found.starts)} starts in a day, usually ${show(starts)}; the limit is ${show(limit)}.`,
    causes,
    next: NEXT,
    atMs: found.dayMs,
    entry: found.entry,
  };
}

/** The last that is so. */
function lastOf<T>(list: readonly T[], is: (one: T, at: number) => boolean): T | undefined {
  return list.filter(is).pop();
}

function rising(days: readonly DayCount[], { starts, mean, spread }: Baseline): FoundAlarm | null {
  let sum = 0;
  let since = 0;
  let told: FoundAlarm | null = null;
  for (const day of days) {
    const next = Math.max(0, sum + day.starts - mean - SLACK_SPREADS * spread);
    if (sum === 0) since = day.dayMs;
    sum = next;
    if (sum > CALL_SPREADS * spread) {
      const lasting = Math.round((day.dayMs - since) / DAY_MS) + 1;
      told = {
        code: 'starts-rise',
        severity: 'caution',
        words: `Starts have been rising for ${lasting} days: ${show(day.starts)} a day now, usually ${show(starts)}.`,
        causes,
        next: NEXT,
        atMs: day.dayMs,
        entry: day.entry,
      };
    }
  }
  return told;
}

const SILENT_DAYS = 30;

function silent(days: readonly DayCount[], { starts }: Baseline, nowMs: number): FoundAlarm | null {
  if (starts < 1 / 7) return null;
  const ran = [...days].reverse().find((day) => day.starts > 0);
  const last = days[days.length - 1];
  if (!ran || !last || last.dayMs - ran.dayMs < SILENT_DAYS * DAY_MS) return null;
  return {
    code: 'no-starts',
    severity: 'note',
    words: `No start in ${Math.round((Math.min(nowMs, last.dayMs) - ran.dayMs) / DAY_MS)} days, usually ${show(starts * 7)} a week. A dry spell, or the float?`,
    causes: [
      { words: 'a dry spell', asOftenAsPercent: DRY_SPELL_PERCENT },
      { words: 'the float hangs, or its way is open', faults: ['float-dead', 'float-stuck-down', 'splice-float'] },
      {
        words: 'the pump itself is dead',
        faults: ['fuse', 'holder', 'battery', 'motor', 'seized', 'splice-negative', 'splice-pump'],
      },
    ],
    next: 'Lift the float: it runs, or it does not. Then the same by hand.',
    atMs: last.dayMs,
    entry: last.entry,
  };
}
