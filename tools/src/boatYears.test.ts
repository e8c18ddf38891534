import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobText, type Job } from '@harbor-latch/core';
import { trendsOf, type TrendAlarm } from '@harbor-latch/core/log/index';
import { asEntry, boatYears, type SlowFaults, type YearsAsked } from './boatYears';
import { examplesFolder } from './places';

const read = readJobText(readFileSync(join(examplesFolder, 'alder-wren.json'), 'utf8'));
if (!read.ok) throw new Error('no example');
const job: Job = read.job;
const circuit = job.circuits[0]?.id ?? '';
const DAY_MS = 86_400_000;
const FROM = Date.UTC(2024, 2, 1);
const load = { capacityAh: 90, chemistry: 'lead-acid', chargeA: 0, runningA: 4.9, leftAloneDays: 14 } as const;

const asked = (faults: SlowFaults, more: Partial<YearsAsked> = {}): YearsAsked => ({
  job,
  circuit,
  seed: 1,
  fromMs: FROM,
  days: 365,
  countDays: 1,
  readEveryDays: null,
  inflowLPerDay: 140,
  rainLPerMm: 6,
  cycle: { litres: 24, seconds: 42 },
  faults,
  by: 'Wren',
  ...more,
});

/** The alarms of a log, each at the first day on which it stood. */
function alarmsOf(
  of: YearsAsked,
  everyDays = 1,
): { readonly code: string; readonly day: number; readonly alarm: TrendAlarm }[] {
  const entries = boatYears(of).map((one) => asEntry(one, job.boat.id));
  const first = new Map<string, { readonly code: string; readonly day: number; readonly alarm: TrendAlarm }>();
  for (let day = everyDays; day <= of.days; day += everyDays) {
    const nowMs = FROM + (day + 1) * DAY_MS;
    const so = entries.filter(({ madeAt }) => Date.parse(madeAt) < nowMs);
    for (const alarm of trendsOf(so, circuit, load, nowMs).alarms)
      if (!first.has(alarm.code)) first.set(alarm.code, { code: alarm.code, day, alarm });
  }
  return [...first.values()];
}
const dayOf = (of: YearsAsked, code: string, everyDays = 1) =>
  alarmsOf(of, everyDays).find((one) => one.code === code)?.day;

describe('slow faults that are planted', () => {
  it('a splice with a tenth of an ohm more is told by the third reading after it, where it is, and when it matters', () => {
    const from = 100;
    const of = asked(
      { splice: { joint: 'joint-float', fromDay: from, ohmPerMonth: 0.1 } },
      { readEveryDays: 30, days: 300 },
    );
    const told = alarmsOf(of, 10).find(({ code }) => code === 'added-auto');
    // A tenth of an ohm at day 130; the third reading after that at day 210.
    expect(told?.day).toBeLessThanOrEqual(210);
    expect(told?.day).toBeGreaterThan(from);
    expect(told?.alarm.words).toMatch(/Ω more in the auto conductor, the float and their joints .*\sV lost there/);
    expect(told?.alarm.causes[0]?.words).toContain('joint of the float');
  });

  it('one at once by a tenth is told as soon', () => {
    const of = asked(
      { splice: { joint: 'joint-pump', fromDay: 89, ohmPerMonth: 3 } },
      { readEveryDays: 30, days: 120 },
    );
    expect(dayOf(of, 'added-manual', 10)).toBeLessThanOrEqual(120);
  });

  it('starts that double are told within seven days', () => {
    // From one day to the next.
    const calm = boatYears(asked({}, { days: 60 }));
    const doubled = calm.map((one) =>
      one.kind === 'runCount' && one.madeAtMs > FROM + 40 * DAY_MS
        ? { ...one, body: { ...one.body, starts: one.body.starts * 2 + 6 } }
        : one,
    );
    const entries = doubled.map((one) => asEntry(one, job.boat.id));
    const nowMs = FROM + 47.5 * DAY_MS;
    const so = entries.filter(({ madeAt }) => Date.parse(madeAt) < nowMs);
    const codes = trendsOf(so, circuit, load, nowMs).alarms.map(({ code }) => code);
    expect(codes.some((code) => code === 'more-starts' || code === 'starts-rise')).toBe(true);
  });

  it.each([1, 7])(
    'water that grows by a fifth a month is told within sixty days, counted every %s days',
    (countDays) => {
      const from = 120;
      const of = asked(
        { inflow: { fromDay: from, growthPerMonth: 0.2 } },
        { countDays, days: 220, rainLPerMm: countDays === 1 ? 6 : 0 },
      );
      const day = Math.min(...['starts-rise', 'more-starts'].map((code) => dayOf(of, code) ?? Infinity));
      expect(day).toBeGreaterThan(from);
      expect(day).toBeLessThanOrEqual(from + 60);
    },
  );

  it('a float that hangs is told at its third long run', () => {
    const of = asked({ sticks: { fromMonth: 5, toMonth: 7, everyDays: 9 } }, { days: 240, rainLPerMm: 0 });
    const entries = boatYears(of).map((one) => asEntry(one, job.boat.id));
    const dry = new Set(entries.flatMap((one) => (one.kind === 'rain' ? [one.body.day] : [])));
    const rained = (of: string) => dry.has(of) || dry.has(new Date(Date.parse(of) - DAY_MS).toISOString().slice(0, 10));
    const long = entries.flatMap((one) =>
      one.kind === 'runCount' && (one.body.longestS ?? 0) > 600 && !rained(one.body.day)
        ? [Date.parse(one.body.day)]
        : [],
    );
    const third = Math.round(((long[2] ?? 0) - FROM) / DAY_MS);
    expect(third).toBeGreaterThan(0);
    expect(dayOf(of, 'float-sticks')).toBeLessThanOrEqual(third + 1);
    expect(dayOf(of, 'float-sticks')).toBeGreaterThan(third - 2);
  });
});

describe('a boat in order', () => {
  it('raises at most one alarm in ten years, over two hundred of them', () => {
    let alarms = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      const of = asked(
        {},
        { seed: seed / 211, inflowLPerDay: 60 + (seed % 7) * 60, countDays: seed % 3 === 0 ? 7 : 1 },
      );
      const entries = boatYears(of).map((one) => asEntry(one, job.boat.id));
      alarms += trendsOf(entries, circuit, { ...load, capacityAh: 400 }, FROM + 366 * DAY_MS).alarms.length;
    }
    expect(alarms).toBeLessThanOrEqual(20);
  });

  it('stays quiet under a meter’s chance: readings each month for three years', () => {
    for (const seed of [0.1, 0.2, 0.3]) {
      const of = asked({}, { seed, days: 3 * 365, readEveryDays: 30, countDays: 7 });
      const entries = boatYears(of).map((one) => asEntry(one, job.boat.id));
      const { alarms, trends } = trendsOf(entries, circuit, { ...load, capacityAh: 400 }, FROM + 3 * 366 * DAY_MS);
      expect(alarms.filter(({ code }) => code.startsWith('added') || code.startsWith('amps'))).toEqual([]);
      expect(trends.map(({ key }) => key)).toEqual(
        expect.arrayContaining(['ohm-auto', 'ohm-manual', 'ohm-feed', 'amps', 'starts']),
      );
    }
  });
});
