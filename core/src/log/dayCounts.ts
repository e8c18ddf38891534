import { isOf, type KnownEntry } from '../records';

/** What a pump did on a day, as it was counted. */
export interface DayCount {
  /** Day, ms since 1970 at its begin, UTC. */
  readonly dayMs: number;
  /** A day's share where several were counted at once. */
  readonly starts: number;
  readonly runS: number | null;
  readonly longestS: number | null;
  readonly ampHours: number | null;
  readonly litres: number | null;
  /** Whether it rained on any of the days counted together, or the day before; null: nobody said. */
  readonly rained: boolean | null;
  /** The entry it comes from. */
  readonly entry: string;
}

const DAY_MS = 86_400_000;
/** Less is a drizzle that no bilge knows of, mm. */
const RAIN_MM = 1;

const dayOf = (day: string) => Date.parse(`${day}T00:00:00Z`);

/** Days of a circuit’s counts, in order; of a day that was counted twice, what was written last. */
export function dayCounts(entries: readonly KnownEntry[], circuit: string): DayCount[] {
  const rain = new Map(entries.filter(isOf('rain')).map(({ body }) => [dayOf(body.day), body.mm]));
  const logged = rain.size > 0;
  const days = new Map<number, DayCount>();
  for (const { id, body, circuit: of } of entries.filter(isOf('runCount'))) {
    if (of !== circuit) continue;
    const end = dayOf(body.day);
    const share = (value: number | undefined) => (value === undefined ? null : value / body.days);
    // Of what was counted together, nobody knows which day the rain brought.
    const rained = Array.from({ length: body.days + 1 }, (_, back) => end - back * DAY_MS).some(
      (one) => (rain.get(one) ?? 0) >= RAIN_MM,
    );
    for (let back = body.days - 1; back >= 0; back -= 1) {
      const dayMs = end - back * DAY_MS;
      days.set(dayMs, {
        dayMs,
        starts: body.starts / body.days,
        runS: share(body.runS),
        longestS: body.longestS ?? null,
        ampHours: share(body.ampHours),
        litres: share(body.litres),
        rained: logged ? rained : null,
        entry: id,
      });
    }
  }
  return [...days.values()].sort((a, b) => a.dayMs - b.dayMs);
}

/** The middle one of some values; NaN of none. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = (sorted.length - 1) / 2;
  return ((sorted[Math.floor(middle)] ?? NaN) + (sorted[Math.ceil(middle)] ?? NaN)) / 2;
}
