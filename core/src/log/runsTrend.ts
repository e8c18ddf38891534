import type { Found, FoundAlarm } from './alarm';
import { median, type DayCount } from './dayCounts';
import { BASELINE_DAYS, MORE_WATER_PERCENT } from './startsTrend';

const LONG_RUN_S = 600;
const LONG_FACTOR = 3;
const STICKS_AT = 3;
const WINDOW = 7;
const SHORTER = 0.7;
const LONGER = 1.25;
const DUTY = { caution: 0.1, stop: 0.3 } as const;
const DAY_S = 86_400;
/** Beside the faults (E): much water at once for the third time, for the first; more water all day. */
const OFTEN_AT_ONCE_PERCENT = 1.5;
const ONCE_PERCENT = 20;

const minutes = (seconds: number) => (seconds < 120 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`);

/** How long runs are: the mean of a day, the longest of it, and what share of the day the pump ran. */
export function runsTrend(days: readonly DayCount[], provedMs: number | null): Found {
  const timed = days.filter((day) => day.runS !== null && day.starts > 0);
  const mean = timed.map((day) => ({ ...day, meanS: (day.runS ?? 0) / day.starts }));
  const base = mean.length >= BASELINE_DAYS ? median(mean.slice(0, BASELINE_DAYS).map(({ meanS }) => meanS)) : null;
  const trends =
    mean.length === 0
      ? []
      : [
          {
            key: 'run-length',
            name: 'Length of a run',
            unit: 's',
            points: mean.map(({ dayMs, meanS, entry }) => ({ atMs: dayMs, value: meanS, entry })),
            lines: base === null ? [] : [{ value: base, words: 'usual' }],
            provedMs,
            words: base === null ? '' : `Usually ${minutes(base)}.`,
          },
        ];
  const alarms = [lengths(mean, base), longRun(days), duty(days)].filter((one) => one !== null);
  return { trends, alarms };
}

function lengths(mean: readonly (DayCount & { readonly meanS: number })[], base: number | null): FoundAlarm | null {
  if (base === null) return null;
  const usual = median(mean.slice(0, BASELINE_DAYS).map(({ starts }) => starts));
  // The last week that says so.
  for (let at = mean.length; at >= BASELINE_DAYS + WINDOW; at -= 1) {
    const days = mean.slice(at - WINDOW, at);
    const last = days[WINDOW - 1];
    if (!last || days.some(({ rained }) => rained === true)) continue;
    const length = median(days.map(({ meanS }) => meanS));
    const starts = median(days.map((day) => day.starts));
    if (length < SHORTER * base && starts > 1.2 * usual)
      return {
        code: 'shorter-runs',
        severity: 'caution',
        words: `Runs of ${minutes(length)}, usually ${minutes(base)}, and more of them: ${Math.round(starts)} a day, usually ${Math.round(usual)}.`,
        causes: [
          { words: 'water comes back from the hose at each stop', faults: ['hose', 'valve'] },
          { words: 'the float was moved or tilts', faults: ['float-place'] },
        ],
        next: 'Watch one stop: how far does the water rise again?',
        atMs: last.dayMs,
        entry: last.entry,
      };
    if (length > LONGER * base && Math.abs(starts - usual) <= 0.2 * Math.max(usual, 1))
      return {
        code: 'longer-runs',
        severity: 'caution',
        words: `Runs of ${minutes(length)} at the same starts, usually ${minutes(base)}.`,
        causes: [
          { words: 'strainer, hose or valve clogs', faults: ['blocked', 'hose', 'valve'] },
          { words: 'fewer volts at the pump', faults: ['splice-negative', 'splice-pump', 'holder', 'battery'] },
          { words: 'the impeller wears', faults: ['impeller'] },
        ],
        next: 'Read amperes and volts at the panel while it runs, then look at the strainer.',
        atMs: last.dayMs,
        entry: last.entry,
      };
  }
  return null;
}

/** One of the days of each entry, a dry one where there is: the longest run is one of all of them. */
function byEntry(days: readonly DayCount[]): DayCount[] {
  const own = new Map<string, DayCount>();
  for (const day of days) {
    const before = own.get(day.entry);
    if (!before || before.rained === true) own.set(day.entry, day);
  }
  return [...own.values()];
}

/** A run far longer than any before: at once, and by its third, a float that hangs. */
function longRun(days: readonly DayCount[]): FoundAlarm | null {
  const timed = byEntry(days.filter(({ longestS }) => longestS !== null));
  let longest = 0;
  let last: { readonly day: DayCount; readonly before: number } | null = null;
  let count = 0;
  for (const [at, day] of timed.entries()) {
    const own = day.longestS ?? 0;
    // The first two weeks say what is long.
    const long =
      day.dayMs - (timed[0]?.dayMs ?? 0) >= BASELINE_DAYS * DAY_S * 1000 &&
      at > 0 &&
      day.rained !== true &&
      (own > LONG_RUN_S || own > LONG_FACTOR * longest);
    if (long) {
      count += 1;
      last = { day, before: longest };
    } else if (own <= LONG_RUN_S) longest = Math.max(longest, own);
  }
  if (!last) return null;
  const { day, before } = last;
  const own = minutes(day.longestS ?? 0);
  const common = { atMs: day.dayMs, entry: day.entry };
  return count >= STICKS_AT
    ? {
        ...common,
        code: 'float-sticks',
        severity: 'caution',
        words: `${count} runs far longer than any other, the last of ${own}; the longest otherwise was ${minutes(before)}.`,
        causes: [
          { words: 'the float hangs up: dirt, crumbs, its hinge', faults: ['float-stuck-up'] },
          { words: 'much water at once', asOftenAsPercent: OFTEN_AT_ONCE_PERCENT },
        ],
        next: 'Lift the float and let go: it must fall by itself, every time.',
      }
    : {
        ...common,
        code: 'long-run',
        severity: 'caution',
        words: `A run of ${own}; the longest before was ${minutes(before)}.`,
        causes: [
          { words: 'much water at once', asOftenAsPercent: ONCE_PERCENT },
          { words: 'the float hung', faults: ['float-stuck-up'] },
          { words: 'it ran without moving water', faults: ['blocked', 'impeller', 'hose'] },
        ],
        next: 'Look at the outlet on manual, then lift the float and let it fall.',
      };
}

function duty(days: readonly DayCount[]): FoundAlarm | null {
  const shares = days.flatMap((day) => (day.runS === null ? [] : [{ day, share: day.runS / DAY_S }]));
  const worst = shares.reduce<(typeof shares)[number] | null>((a, b) => (a && a.share >= b.share ? a : b), null);
  if (!worst || worst.share <= DUTY.caution) return null;
  return {
    code: 'duty',
    severity: worst.share > DUTY.stop ? 'stop' : 'caution',
    words: `It ran ${Math.round(worst.share * 100)} % of a day.`,
    causes: [
      { words: 'it does not keep up with what comes in', asOftenAsPercent: MORE_WATER_PERCENT },
      { words: 'it moves little: strainer, hose, impeller', faults: ['blocked', 'hose', 'impeller'] },
      { words: 'it does not stop: float, or a leak back', faults: ['float-stuck-up', 'float-place', 'valve'] },
    ],
    next: 'Stay with it: time what it moves, and look where water comes from.',
    atMs: worst.day.dayMs,
    entry: worst.day.entry,
  };
}
