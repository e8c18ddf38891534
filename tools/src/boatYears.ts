import { v7 } from 'uuid';
import { randomBernoulli, randomExponential, randomLcg, randomLogNormal, randomNormal } from 'd3-random';
import { assess } from '@harbor-latch/core/assess/index';
import type { AssessedPump } from '@harbor-latch/core/assess/assessed';
import { mapParts } from '@harbor-latch/core/circuit/index';
import type { Job } from '@harbor-latch/core/job/index';
import { groundOf, proveTests } from '@harbor-latch/core/prove/proveTests';
import { proofList } from '@harbor-latch/core/prove/proofList';
import { proofNow } from '@harbor-latch/core/prove/proofNow';
import type { ProveTest } from '@harbor-latch/core/prove/proveTest';
import { readOn } from '@harbor-latch/core/prove/readOn';
import { signedBody } from '@harbor-latch/core/prove/signOff';
import { judged } from '@harbor-latch/core/prove/verdict';
import { hashOf, type BodyOf, type KnownEntry, type RecordKind } from '@harbor-latch/core/records/index';

/** What slowly goes wrong on a simulated boat. */
export interface SlowFaults {
  /** A joint that corrodes from a day on. */
  readonly splice?: { readonly joint: string; readonly fromDay: number; readonly ohmPerMonth: number };
  /** More water each month, from a day on. */
  readonly inflow?: { readonly fromDay: number; readonly growthPerMonth: number };
  /** A float that hangs at times between two months of the year, 0 to 11. */
  readonly sticks?: { readonly fromMonth: number; readonly toMonth: number; readonly everyDays: number };
}

export interface YearsAsked {
  readonly job: Job;
  readonly circuit: string;
  readonly seed: number;
  readonly fromMs: number;
  readonly days: number;
  /** Counts come over so many days. */
  readonly countDays: number;
  /** Days between two rounds of readings at the panel; null: none. */
  readonly readEveryDays: number | null;
  /** What comes in on a dry day, and how much of each mm of rain, L. */
  readonly inflowLPerDay: number;
  readonly rainLPerMm: number;
  /** Of one run of the pump: what it moves, and how long that takes. */
  readonly cycle: { readonly litres: number; readonly seconds: number };
  readonly faults: SlowFaults;
  readonly by: string;
}

/** Something of a simulated log, in order of time. */
export type LogEntry = {
  readonly [K in RecordKind]: { readonly kind: K; readonly circuit: string | null; readonly body: BodyOf<K> };
}[RecordKind] & {
  /** A UUIDv7 of its time. */
  readonly id: string;
  readonly madeAtMs: number;
  readonly by: string;
};

/** An entry that has its id yet to come. */
export type Unnamed = {
  readonly [K in RecordKind]: { readonly kind: K; readonly circuit: string | null; readonly body: BodyOf<K> };
}[RecordKind] &
  Pick<LogEntry, 'madeAtMs' | 'by'>;

/** An entry under a new id. */
export const named = (entry: Unnamed): LogEntry => ({ ...entry, id: v7({ msecs: entry.madeAtMs }) });

const DAY_MS = 86_400_000;
const MONTH = 30;
const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);

/** Read on a round at the panel, without opening the bilge. */
const ROUND = [
  'battery-running',
  'amps-manual-down',
  'volts-manual-manual-down',
  'sense-manual',
  'amps-auto-up',
  'sense-auto',
];

/**
 * Years of a boat’s log: proved at the beginning, counted and read since, by the circuit’s own solver and by what runs of
 * its pump move, with weather, a meter’s and a day’s chance, and what slowly goes wrong.
 */
export function boatYears(asked: YearsAsked): LogEntry[] {
  const { fromMs, days, countDays, readEveryDays, circuit, by } = asked;
  const chance = chanceOf(asked.seed);
  const meter = meterOf(asked);
  const entries: LogEntry[] = meter ? proved(asked, meter, chance) : [];
  let held = 0;
  let sum = { starts: 0, runS: 0, longestS: 0 };
  for (let at = 1; at <= days; at += 1) {
    const dayMs = fromMs + at * DAY_MS;
    const rainMm = chance.rains() ? Math.round(chance.rainMm() * 10) / 10 : 0;
    if (rainMm >= 1 && asked.rainLPerMm > 0)
      entries.push(
        named({
          kind: 'rain',
          circuit: null,
          body: { day: day(dayMs), mm: rainMm },
          madeAtMs: dayMs + 18 * 3_600_000,
          by,
        }),
      );
    held += asked.inflowLPerDay * grown(asked.faults, at) * chance.ofADay() + rainMm * asked.rainLPerMm;
    const starts = Math.floor(held / asked.cycle.litres);
    held -= starts * asked.cycle.litres;
    const hangs = starts > 0 && stuck(asked.faults, at, dayMs);
    const longest =
      starts === 0 ? 0 : asked.cycle.seconds * chance.ofALongRun() + (hangs ? 900 + 300 * chance.share() : 0);
    const runS = starts * asked.cycle.seconds * chance.ofARun() + (hangs ? longest : 0);
    sum = { starts: sum.starts + starts, runS: sum.runS + runS, longestS: Math.max(sum.longestS, longest) };
    if (at % countDays === 0) {
      const body = {
        day: day(dayMs),
        days: countDays,
        starts: sum.starts,
        runS: Math.round(sum.runS),
        longestS: Math.round(sum.longestS),
      };
      entries.push(named({ kind: 'runCount', circuit, body, madeAtMs: dayMs + 20 * 3_600_000, by }));
      sum = { starts: 0, runS: 0, longestS: 0 };
    }
    if (meter && readEveryDays !== null && at % readEveryDays === 0)
      entries.push(...roundOf(asked, meter, chance, at, dayMs + 10 * 3_600_000));
  }
  return entries.sort((a, b) => a.madeAtMs - b.madeAtMs);
}

function chanceOf(seed: number) {
  const source = randomLcg(seed);
  return {
    share: source,
    rains: randomBernoulli.source(source)(0.3),
    rainMm: randomExponential.source(source)(1 / 6),
    ofADay: randomLogNormal.source(source)(0, 0.12),
    ofARun: randomNormal.source(source)(1, 0.04),
    ofALongRun: randomNormal.source(source)(1.15, 0.08),
    ofAMeter: randomNormal.source(source)(0, 1),
  };
}
type Chance = ReturnType<typeof chanceOf>;

function grown({ inflow }: SlowFaults, at: number): number {
  if (!inflow || at < inflow.fromDay) return 1;
  return (1 + inflow.growthPerMonth) ** ((at - inflow.fromDay) / MONTH);
}

function stuck({ sticks }: SlowFaults, at: number, dayMs: number): boolean {
  if (!sticks) return false;
  const month = new Date(dayMs).getUTCMonth();
  return month >= sticks.fromMonth && month <= sticks.toMonth && at % sticks.everyDays === 0;
}

interface Meter {
  readonly assessed: AssessedPump;
  readonly tests: readonly ProveTest[];
}

function meterOf({ job, circuit, readEveryDays }: YearsAsked): Meter | null {
  const one = readEveryDays === null ? undefined : assess(job).find((each) => each.circuit.id === circuit);
  return one?.status === 'sized' ? { assessed: one, tests: proveTests(one) } : null;
}

/** What a meter in the hand shows of a test on a day; null where the circuit alone does not say. */
function shown(
  { faults }: YearsAsked,
  { assessed }: Meter,
  test: ProveTest,
  at: number,
  chance: Chance,
): BodyOf<'reading'>['read'] | null {
  const { splice } = faults;
  const added = splice && at > splice.fromDay ? ((at - splice.fromDay) / MONTH) * splice.ohmPerMonth : 0;
  const netlist = mapParts(assessed.netlist, (part) =>
    part.kind === 'joint' && part.id === splice?.joint ? { ...part, ohm: part.ohm + added } : part,
  );
  const read = readOn(groundOf(assessed, {}), test, netlist);
  if (read === null)
    return 'state' in test.expect
      ? { said: test.expect.state }
      : { value: test.expect.nominal, unit: test.expect.unit };
  if (typeof read === 'string') return { said: read };
  const unit = 'state' in test.expect ? '' : test.expect.unit;
  const noise =
    unit === 'A'
      ? read * 0.01 * chance.ofAMeter()
      : unit === 'V'
        ? 0.005 * chance.ofAMeter()
        : 0.02 * read * chance.ofAMeter();
  return { value: Math.round((read + noise) * 100) / 100, unit };
}

function readingOf(
  asked: YearsAsked,
  meter: Meter,
  test: ProveTest,
  at: number,
  chance: Chance,
  proof: string | null,
): BodyOf<'reading'> | null {
  const read = shown(asked, meter, test, at, chance);
  if (!read) return null;
  return {
    proof,
    test: test.id,
    words: test.text,
    read,
    expect: 'state' in test.expect ? { state: test.expect.state } : test.expect,
    verdict: judged(test, read).verdict,
    instrument: test.instrument,
  };
}

function roundOf(asked: YearsAsked, meter: Meter, chance: Chance, at: number, ms: number): LogEntry[] {
  return meter.tests
    .filter(({ id }) => ROUND.includes(id))
    .flatMap((test, index) => {
      const body = readingOf(asked, meter, test, at, chance, null);
      return body
        ? [named({ kind: 'reading', circuit: asked.circuit, body, madeAtMs: ms + index * 60_000, by: asked.by })]
        : [];
    });
}

/** The proof at the beginning, as a round of all that is needed. */
function proved(asked: YearsAsked, meter: Meter, chance: Chance): LogEntry[] {
  const { circuit, by, job, fromMs } = asked;
  const common = { circuit, by };
  const first = named({
    ...common,
    kind: 'proofBegun',
    body: { phase: 'commission', jobHash: hashOf(job), testsHash: hashOf(meter.tests.map(({ id }) => id)) },
    madeAtMs: fromMs + 9 * 3_600_000,
  });
  const readings = meter.tests
    .filter(({ needed }) => needed)
    .flatMap((test, index) => {
      const body = readingOf(asked, meter, test, 0, chance, first.id);
      return body ? [named({ ...common, kind: 'reading', body, madeAtMs: first.madeAtMs + (index + 1) * 90_000 })] : [];
    });
  const madeAtMs = first.madeAtMs + (readings.length + 2) * 90_000;
  return [first, ...readings, signed(asked, meter, [first, ...readings], madeAtMs)];
}

/** The signature under it, as the application makes it; in place of each reading’s hash stands its id, until it is signed. */
function signed(
  { job, circuit, by }: YearsAsked,
  { tests }: Meter,
  before: readonly LogEntry[],
  madeAtMs: number,
): LogEntry {
  const entries = before.map((one) => asEntry(one, job.boat.id));
  const now = proofNow(entries, circuit, 'commission', (id) => id);
  const body = signedBody({
    phase: 'commission',
    job,
    now,
    list: proofList(now, tests, []),
    accepted: [],
    name: by,
    role: '',
    note: '',
    hashOf: (id) => id,
  });
  return named({ kind: 'proof', circuit, body, madeAtMs, by });
}

/** A log’s entry as one of the records. */
export function asEntry({ id, kind, circuit, body, madeAtMs, by }: LogEntry, boat: string): KnownEntry {
  return {
    id,
    yard: '',
    boat,
    circuit,
    kind,
    body,
    madeAt: new Date(madeAtMs).toISOString(),
    by,
    device: '',
  } as KnownEntry;
}
