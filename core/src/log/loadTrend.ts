import { batteryChemistry } from '../reference';
import type { Found, FoundAlarm } from './alarm';
import type { DayCount } from './dayCounts';
import { MORE_WATER_PERCENT } from './startsTrend';

/** The battery a pump hangs on, and how long it is left alone. */
export interface Load {
  readonly capacityAh: number;
  readonly chemistry: keyof typeof batteryChemistry;
  readonly chargeA: number;
  /** Drawn while it runs, A: where only its time was counted. */
  readonly runningA: number | null;
  readonly leftAloneDays: number;
}

const IN_HAND = 1.5;
const WEEK = 7;
const HOURS = { inspect: 300, replace: 500 } as const;

/** What it takes from the battery, how long that lasts, and the hours on its motor. */
export function loadTrend(days: readonly DayCount[], load: Load, provedMs: number | null): Found {
  const taken = days.flatMap((day) => {
    const ampHours =
      day.ampHours ?? (day.runS !== null && load.runningA !== null ? (day.runS / 3600) * load.runningA : null);
    return ampHours === null ? [] : [{ day, ampHours }];
  });
  const usable = load.capacityAh * (1 - batteryChemistry[load.chemistry].usableTo);
  const wanted = IN_HAND * load.leftAloneDays;
  const limit = usable / wanted + load.chargeA * 24;
  const trends =
    taken.length === 0
      ? []
      : [
          {
            key: 'amp-hours',
            name: 'From the battery',
            unit: 'Ah a day',
            points: taken.map(({ day, ampHours }) => ({ atMs: day.dayMs, value: ampHours, entry: day.entry })),
            lines: [{ value: limit, words: `lasts ${Math.round(wanted)} days` }],
            provedMs,
            words: `${Math.round(usable)}\u00a0Ah can be used; ${Math.round(wanted)} days are wanted.`,
          },
        ];
  const alarms = [battery(taken, load, usable), hours(days)].filter((one) => one !== null);
  return { trends, alarms };
}

function battery(
  taken: readonly { readonly day: DayCount; readonly ampHours: number }[],
  { chargeA, leftAloneDays }: Load,
  usable: number,
): FoundAlarm | null {
  // The last week that says so.
  for (let at = taken.length; at >= WEEK; at -= 1) {
    const week = taken.slice(at - WEEK, at);
    const last = week[WEEK - 1];
    const mean = week.reduce((sum, { ampHours }) => sum + ampHours, 0) / WEEK - chargeA * 24;
    const lasts = usable / mean;
    if (!last || mean <= 0 || lasts >= IN_HAND * leftAloneDays) continue;
    return {
      code: 'battery-days',
      severity: lasts < leftAloneDays ? 'stop' : 'caution',
      words: `At ${mean.toFixed(1)}\u00a0Ah a day the battery lasts ${lasts.toFixed(1)} days; she is left alone for ${leftAloneDays}.`,
      causes: [
        { words: 'more water comes in', asOftenAsPercent: MORE_WATER_PERCENT },
        { words: 'the pump runs longer for the same water', faults: ['blocked', 'hose', 'valve', 'impeller'] },
        { words: 'the float hangs and it does not stop', faults: ['float-stuck-up', 'float-place'] },
      ],
      next: 'Charge her, or come sooner. Then look at starts and runs.',
      atMs: last.day.dayMs,
      entry: last.day.entry,
    };
  }
  return null;
}

/** Hours on the motor, as counted. */
export function motorHours(days: readonly DayCount[]): number {
  return days.reduce((sum, { runS }) => sum + (runS ?? 0), 0) / 3600;
}

function hours(days: readonly DayCount[]): FoundAlarm | null {
  const all = motorHours(days);
  const last = days[days.length - 1];
  if (!last || all < HOURS.inspect) return null;
  const old = all >= HOURS.replace;
  return {
    code: 'motor-hours',
    severity: old ? 'caution' : 'note',
    words: `${Math.round(all)} hours on its motor. ${old ? 'Replace it before it chooses the day.' : 'Brushes and bearing are worth a look.'}`,
    causes: [{ words: 'hours', asOftenAsPercent: 100 }],
    next: old ? 'A new pump, proved on the bench first.' : 'Listen to it, and compare its amperes with the proof.',
    atMs: last.dayMs,
    entry: last.entry,
  };
}
