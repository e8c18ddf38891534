import { assess } from '../assess';
import { jobWith } from '../build/build.fixture';
import type { KnownEntry } from '../records';
import { boatAlarms } from './boatAlarms';
import { loadOf } from './loadOf';
import { dayCounts, median, type DayCount } from './dayCounts';
import { loadTrend, motorHours } from './loadTrend';
import { lineThrough } from './lineThrough';
import { resistanceTrend } from './resistanceTrend';
import { dueOf, intervalOf, isAshore } from './routine';
import { runsTrend } from './runsTrend';
import { baselineOf, startsTrend } from './startsTrend';

const DAY_MS = 86_400_000;
const FROM = Date.UTC(2026, 0, 1);
let count = 0;
const entry = (kind: string, body: object, day = 0, circuit: string | null = 'main'): KnownEntry =>
  ({
    id: `e${(count += 1)}`,
    yard: '',
    boat: '',
    circuit,
    kind,
    body,
    madeAt: new Date(FROM + day * DAY_MS).toISOString(),
    by: '',
    device: '',
  }) as unknown as KnownEntry;
const days = (starts: readonly number[], more: Partial<DayCount> = {}): DayCount[] =>
  starts.map((one, at) => ({
    dayMs: FROM + at * DAY_MS,
    starts: one,
    runS: one * 40,
    longestS: 45,
    ampHours: null,
    litres: null,
    rained: null,
    entry: `d${at}`,
    ...more,
  }));
const fortnight = Array.from({ length: 14 }, () => 4);
const codes = (told: { readonly alarms: readonly { readonly code: string }[] }) => told.alarms.map(({ code }) => code);
const starts = (after: readonly number[], more: Partial<DayCount> = {}) =>
  codes(startsTrend(days([...fortnight, ...after], more), null, FROM + 400 * DAY_MS));

describe('starts a day', () => {
  it('have a baseline after fourteen dry days, and no alarm before', () => {
    expect(baselineOf(days(fortnight.slice(1)))).toBeNull();
    // By hand: 4 + 3·√4 + 1.
    expect(baselineOf(days(fortnight))).toMatchObject({ starts: 4, limit: 11 });
    expect(baselineOf(days(Array.from({ length: 14 }, () => 0)))?.limit).toBe(4);
    expect(codes(startsTrend(days([4, 4, 40, 40]), null, FROM))).toEqual([]);
  });

  it('are told at two days in seven over the limit, or one over twice of it', () => {
    expect(starts([12, 4, 4, 4, 4, 4, 12])).toContain('more-starts');
    expect(starts([12, 0, 0, 0, 0, 0, 0, 12])).not.toContain('more-starts');
    expect(starts([11, 11])).not.toContain('more-starts');
    expect(starts([22])).not.toContain('more-starts');
    expect(starts([23])).toContain('more-starts');
  });

  it('leave rainy days out', () => {
    const wet = days([...fortnight, 30, 30]).map((day, at) => ({ ...day, rained: at >= 14 }));
    expect(codes(startsTrend(wet, null, FROM))).toEqual([]);
  });

  it('that rise slowly are told by their sum: half of slack and eight spreads are its bounds', () => {
    // Spread 0.5 + 0.1·4 = 0.9; slack 0.675; the call at 7.2.
    expect(starts(Array.from({ length: 60 }, () => 4.67))).toEqual([]);
    expect(starts(Array.from({ length: 9 }, () => 5.5))).toContain('starts-rise');
    expect(starts(Array.from({ length: 8 }, () => 5.5))).not.toContain('starts-rise');
  });

  it('that stop for thirty days are asked about where they were one a week', () => {
    const none = (n: number) => Array.from({ length: n }, () => 0);
    expect(starts(none(30))).toContain('no-starts');
    expect(starts(none(29))).not.toContain('no-starts');
    const rare = days([...Array.from({ length: 14 }, () => 0.14), 0.14, ...none(40)]);
    expect(codes(startsTrend(rare, null, FROM + 90 * DAY_MS))).not.toContain('no-starts');
  });
});

describe('counts over some days', () => {
  it('are shared out over them, and rain counts on its day and the next', () => {
    const list = dayCounts(
      [
        entry('rain', { day: '2026-01-02', mm: 1 }),
        entry('runCount', { day: '2026-01-03', days: 3, starts: 6, runS: 300, longestS: 80 }),
      ],
      'main',
    );
    expect(list.map(({ starts: one, runS, rained }) => [one, runS, rained])).toEqual([
      [2, 100, true],
      [2, 100, true],
      [2, 100, true],
    ]);
    expect(
      dayCounts(
        [entry('rain', { day: '2026-01-03', mm: 0.9 }), entry('runCount', { day: '2026-01-03', days: 1, starts: 1 })],
        'main',
      )[0]?.rained,
    ).toBe(false);
    expect(median([3, 1, 2])).toBe(2);
    expect(median([4, 1, 2, 3])).toBe(2.5);
  });
});

describe('runs', () => {
  const timed = (runS: number, each: number, longestS = 45) =>
    days(Array.from({ length: 7 }, () => each)).map((day, at) => ({
      ...day,
      dayMs: day.dayMs + 14 * DAY_MS,
      runS: runS * each,
      longestS,
      entry: `t${at}`,
    }));
  const told = (after: readonly DayCount[]) => codes(runsTrend([...days(fortnight), ...after], null));

  it('by three tenths shorter and more of them say that water comes back', () => {
    expect(told(timed(27, 6))).toContain('shorter-runs');
    expect(told(timed(28.1, 6))).not.toContain('shorter-runs');
    expect(told(timed(27, 4))).not.toContain('shorter-runs');
  });

  it('by a quarter longer at the same starts say that something clogs', () => {
    expect(told(timed(50.5, 4))).toContain('longer-runs');
    expect(told(timed(50, 4))).not.toContain('longer-runs');
  });

  it('one over ten minutes or three times the longest is told at once, the third as a float that hangs', () => {
    const with_ = (longest: readonly number[]) =>
      told(timed(40, 4).map((day, at) => ({ ...day, longestS: longest[at] ?? 45 })));
    expect(with_([135])).not.toContain('long-run');
    expect(with_([136])).toContain('long-run');
    expect(with_([601, 700])).toContain('long-run');
    expect(with_([601, 700, 800])).toContain('float-sticks');
  });

  it('over a tenth of a day are a caution, over three tenths a stop', () => {
    const duty = (share: number) =>
      runsTrend([...days([4]), { ...(days([4])[0] as DayCount), runS: share * 86_400 }], null).alarms;
    expect(duty(0.1)).toEqual([]);
    expect(duty(0.1001)[0]).toMatchObject({ code: 'duty', severity: 'caution' });
    expect(duty(0.3)[0]?.severity).toBe('caution');
    expect(duty(0.3001)[0]?.severity).toBe('stop');
  });
});

describe('what it takes from the battery', () => {
  const load = { capacityAh: 100, chemistry: 'lead-acid', chargeA: 0, runningA: 4, leftAloneDays: 10 } as const;
  const week = (ampHours: number) => days(Array.from({ length: 7 }, () => 4)).map((day) => ({ ...day, ampHours }));
  const told = (ampHours: number, more = {}) => loadTrend(week(ampHours), { ...load, ...more }, null).alarms;

  it('is told where it does not last half as long again as she is left alone', () => {
    // Fifty ampere-hours over fifteen days.
    expect(told(50 / 15)).toEqual([]);
    expect(told(50 / 15 + 0.001)[0]).toMatchObject({ code: 'battery-days', severity: 'caution' });
    expect(told(5)[0]?.severity).toBe('caution');
    expect(told(5.001)[0]?.severity).toBe('stop');
    // A trickle that covers it ends that.
    expect(told(5.001, { chargeA: 0.3 })).toEqual([]);
  });

  it('is made of the time it ran where nothing else was counted', () => {
    expect(loadTrend(days([4]), load, null).trends[0]?.points[0]?.value).toBeCloseTo((160 / 3600) * 4, 9);
  });

  it('and the hours on its motor are told from three hundred, and as old from five hundred', () => {
    const ran = (hours: number) => days([1]).map((day) => ({ ...day, runS: hours * 3600 }));
    expect(motorHours(ran(12))).toBe(12);
    const code = (hours: number) =>
      loadTrend(ran(hours), { ...load, runningA: null }, null).alarms.map(({ severity }) => severity);
    expect([299.9, 300, 499.9, 500].map(code)).toEqual([[], ['note'], ['note'], ['caution']]);
  });
});

describe('added resistance', () => {
  const visit = (day: number, sense: number, amps = 4) => [
    entry('reading', { test: 'sense-auto', read: { value: sense, unit: 'V' }, expect: null }, day),
    entry('reading', { test: 'amps-auto-up', read: { value: amps, unit: 'A' }, expect: null }, day),
  ];
  const told = (...added: readonly number[]) =>
    resistanceTrend(
      added.flatMap((ohm, at) => visit(at * 30, 0.12 + ohm * 4)),
      'main',
      FROM,
    ).alarms;

  it('is told twice in a row over what a meter tells, or once by far', () => {
    expect(told(0, 0.045)).toEqual([]);
    expect(told(0, 0.045, 0.045)[0]?.code).toBe('added-auto');
    expect(told(0, 0.039, 0.039)).toEqual([]);
    expect(told(0, 0.165)[0]?.code).toBe('added-auto');
    expect(told(0, 0.155)).toEqual([]);
    // It went away again: the clamp was held askew.
    expect(told(0, 0.2, 0)).toEqual([]);
  });

  it('says the volts that it loses and when it matters, by the line through it', () => {
    const [alarm] = told(0, 0.05, 0.1, 0.15);
    expect(alarm?.words).toMatch(/^0\.15\u00a0Ω more in the auto conductor.*0\.6\u00a0V lost there/);
    // 1.2 V at 4 A are 0.3 Ω, of which 0.03 were there: 0.27 added at 0.05 a month: five months and a half in all, 2.4 from now.
    expect(alarm?.words).toMatch(/matters in about 2 months/);
    expect(told(0, 0.1, 0.2, 0.3)[0]).toMatchObject({ severity: 'stop' });
  });

  it('draws the line of least squares with the error of its slope', () => {
    // By hand: slope 1.5, intercept 1/6; residuals 1/6, −1/3, 1/6, their squares 1/6; √(1/6 / 1 / 2).
    const line = lineThrough([
      [0, 0],
      [1, 2],
      [2, 3],
    ]);
    expect(line?.slope).toBeCloseTo(1.5, 12);
    expect(line?.intercept).toBeCloseTo(1 / 6, 12);
    expect(line?.slopeError).toBeCloseTo(Math.sqrt(1 / 12), 12);
    expect(
      lineThrough([
        [0, 0],
        [1, 1],
      ]),
    ).toBeNull();
    expect(
      lineThrough([
        [1, 0],
        [1, 1],
        [1, 2],
      ]),
    ).toBeNull();
  });

  it('tells amperes a fifth off the proof at the same volts', () => {
    const read = (day: number, amps: number) =>
      entry(
        'reading',
        {
          test: 'amps-manual-down',
          read: { value: amps, unit: 'A' },
          expect: { nominal: 4, low: 0, high: 9, unit: 'A' },
        },
        day,
      );
    const code = (amps: number) =>
      resistanceTrend([read(0, 4), read(30, amps)], 'main', FROM).alarms.map((one) => `${one.code} ${one.severity}`);
    expect(code(3.21)).toEqual([]);
    expect(code(3.2)).toEqual(['amps-low caution']);
    expect(code(4.79)).toEqual([]);
    expect(code(4.81)).toEqual(['amps-high caution']);
    expect(code(6.41)).toEqual(['amps-high stop']);
  });
});

describe('the routine', () => {
  const asked = (entries: readonly KnownEntry[]) => dueOf({ entries, circuits: ['main'], kept: undefined });
  const dueDay = (entries: readonly KnownEntry[], routine: string) => {
    const one = asked(entries).find((due) => due.routine === routine);
    return one && (one.dueMs - FROM) / DAY_MS;
  };

  it('begins with the first thing that is logged, and goes by what was done last', () => {
    expect(asked([])).toEqual([]);
    const proof = entry('proof', { phase: 'commission', proofs: [], tests: [] });
    expect(dueDay([proof], 'counter')).toBe(7);
    expect(dueDay([proof], 'yearly')).toBe(365);
    expect(dueDay([proof, entry('runCount', {}, 5)], 'counter')).toBe(12);
    expect(dueDay([proof, entry('check', { routine: 'bucket' }, 9)], 'bucket')).toBe(39);
    expect(dueDay([proof, entry('cleaning', {}, 9, null)], 'strainer')).toBe(100);
  });

  it('follows afloat and ashore, and what was set for this boat', () => {
    const proof = entry('proof', { phase: 'commission' });
    const ashore = [proof, entry('layUp', { off: [] }, 1, null)];
    expect(isAshore(undefined, [proof])).toBe(false);
    expect(isAshore('ashore', [proof])).toBe(true);
    expect(isAshore(undefined, ashore)).toBe(true);
    expect(isAshore('ashore', [...ashore, entry('launch', { on: [] }, 2, null)])).toBe(false);
    expect(dueDay(ashore, 'counter')).toBeUndefined();
    expect(dueDay(ashore, 'bucket')).toBe(91);
    const set = [proof, entry('interval', { routine: 'counter', days: 3 }, 1, null)];
    expect(dueDay(set, 'counter')).toBe(3);
    expect(
      intervalOf('counter', [...set, entry('interval', { routine: 'counter', days: null }, 2, null)], false),
    ).toBeNull();
  });
});

describe('what a boat’s logs show', () => {
  const job = jobWith('three-way-float', { name: 'Aft pump' });
  const circuits = assess(job);
  const long = (circuit: string) =>
    entry('runCount', { day: '2026-01-02', days: 1, starts: 4, runS: 40_000, longestS: 700 }, 1, circuit);

  it('is told with its circuit, and an alarm by itself has no runs', () => {
    const alarms = boatAlarms(job, circuits, [long('main')], FROM + 2 * DAY_MS);
    expect(alarms[0]).toMatchObject({ circuit: 'main', circuitName: 'Aft pump', code: 'duty' });
    const other = jobWith('standalone-alarm');
    expect(boatAlarms(other, assess(other), [long('main')], FROM + 2 * DAY_MS)).toEqual([]);
  });

  it('goes by the battery that the circuit has, and by days that a boat of her kind is left alone', () => {
    expect(loadOf(job, circuits[0])).toMatchObject({ leftAloneDays: 14 });
    expect(loadOf({ ...job, boat: { ...job.boat, kept: 'ashore' } }, circuits[0]).leftAloneDays).toBe(3);
    expect(loadOf({ ...job, boat: { ...job.boat, leftAloneDays: 30 } }, undefined)).toMatchObject({
      leftAloneDays: 30,
      runningA: null,
    });
  });
});
