import { generateKeyPairSync, sign } from 'node:crypto';
import type { Job } from '@harbor-latch/core';
import { entryHash, MOST_ENTRIES, THE_YARD, type Entry, type SignedEntry } from '@harbor-latch/core/records/index';
import { boatYears, named, type LogEntry, type Unnamed, type YearsAsked } from './boatYears';

const DAY_MS = 86_400_000;
const DAYS = 2 * 365;

type Kept = Pick<
  YearsAsked,
  'inflowLPerDay' | 'rainLPerMm' | 'cycle' | 'faults' | 'readEveryDays' | 'days' | 'countDays'
> & {
  readonly boat: string;
  readonly circuit: string;
};

/** How each circuit of the demo went on for two years: one with a joint that corrodes, one whose well takes more water, one whose float hangs in summer, one in order. */
const kept: readonly Kept[] = [
  {
    boat: 'Alder Wren',
    circuit: 'Main bilge pump',
    inflowLPerDay: 60,
    rainLPerMm: 0,
    cycle: { litres: 24, seconds: 42 },
    readEveryDays: 60,
    days: DAYS,
    countDays: 7,
    faults: { splice: { joint: 'joint-float', fromDay: 400, ohmPerMonth: 0.012 } },
  },
  {
    boat: 'Low Samphire',
    circuit: 'Engine well, primary',
    inflowLPerDay: 424,
    rainLPerMm: 0,
    cycle: { litres: 18, seconds: 40 },
    readEveryDays: 120,
    days: DAYS,
    countDays: 7,
    faults: { inflow: { fromDay: DAYS - 110, growthPerMonth: 0.2 } },
  },
  {
    boat: 'Low Samphire',
    circuit: 'Engine well, backup',
    inflowLPerDay: 30,
    rainLPerMm: 0,
    cycle: { litres: 30, seconds: 35 },
    readEveryDays: 120,
    days: DAYS,
    countDays: 7,
    faults: {},
  },
  {
    boat: 'Pinnock',
    circuit: 'Bilge pump',
    inflowLPerDay: 40,
    rainLPerMm: 9,
    cycle: { litres: 10, seconds: 62 },
    readEveryDays: 90,
    // An open boat, whose owner looks every day.
    days: 365,
    countDays: 1,
    faults: { sticks: { fromMonth: 5, toMonth: 7, everyDays: 17 } },
  },
];

const people = ['Orla', 'Tam'] as const;

/** What was done by hand besides: a trip check now and then, the bucket, the strainer. */
function byHand(circuit: string, fromMs: number, days: number, at: number): LogEntry[] {
  const entries: Unnamed[] = [];
  for (let day = 20 + at * 3; day < days; day += 45) {
    const [by] = day % 2 === 0 ? people : [people[1]];
    const madeAtMs = fromMs + day * DAY_MS + 8 * 3_600_000;
    const trip = { routine: 'trip', words: 'Manual for ten seconds, water at the outlet', good: true };
    entries.push({ kind: 'check', circuit, body: trip, madeAtMs, by: by ?? '' });
    if (day % 2 === 0)
      entries.push({
        kind: 'check',
        circuit,
        body: {
          routine: 'bucket',
          words: 'A bucket of water on auto, every float lifted, the alarm heard',
          good: true,
        },
        madeAtMs: madeAtMs + 1_800_000,
        by: by ?? '',
      });
    if (day % 90 < 45)
      entries.push({
        kind: 'cleaning',
        circuit: null,
        body: { what: 'Strainer and bilge' },
        madeAtMs: madeAtMs + 3_600_000,
        by: by ?? '',
      });
  }
  const yearly = {
    routine: 'yearly',
    words: 'The readings in the boat again, alarm battery, clips, valve',
    good: true,
  };
  if (days > 365)
    entries.push({ kind: 'check', circuit, body: yearly, madeAtMs: fromMs + 370 * DAY_MS, by: people[1] });
  return entries.map(named);
}

/** A boat that came in this morning: by hand the pump runs, by itself it does not; two things were looked at already. */
function cameIn(circuit: string, untilMs: number, by: string): LogEntry[] {
  const at = (minutes: number) => ({ circuit, madeAtMs: untilMs - (60 - minutes) * 60_000, by });
  const begun = named({
    ...at(0),
    kind: 'traceBegun',
    body: {
      symptom: 'auto-dead',
      words: 'By hand it runs, by itself it does not',
      access: 'easy',
      instruments: ['voltmeter', 'ohmmeter', 'clamp'],
    },
  });
  const read = (minutes: number, test: string, words: string, what: { said: string } | { value: number; unit: 'V' }) =>
    named({ ...at(minutes), kind: 'traceReading', body: { hunt: begun.id, test, words, read: what } });
  return [
    begun,
    read(2, 'look-auto-up', 'Fuse in, lever auto, float up: look and listen.', { said: 'Pump standing' }),
    read(5, 'volts-switch.auto-auto-up', 'Fuse in, lever auto, float up: volts at the auto post.', {
      value: 12.6,
      unit: 'V',
    }),
  ];
}

/** The demo’s records of two years until a day, signed by two devices of the demo. */
export function demoRecords(jobs: readonly Job[], until: Date): readonly SignedEntry[] {
  const devices = new Map(people.map((name) => [name as string, newDevice()]));
  const fallback = newDevice();
  const hashes = new Map<string, string>();
  return kept
    .flatMap((one, at) => {
      const job = jobs.find(({ boat }) => boat.name === one.boat);
      const circuit = job?.circuits.find(({ name }) => name === one.circuit);
      if (!job || !circuit) return [];
      const by = people[at % 2] ?? people[0];
      const fromMs = until.getTime() - (one.days + 1) * DAY_MS;
      const years = boatYears({ ...one, job, circuit: circuit.id, seed: 11 + at, fromMs, by });
      const hunted = one.boat === 'Pinnock' ? cameIn(circuit.id, until.getTime(), by) : [];
      return [...years, ...byHand(circuit.id, fromMs, one.days, at), ...hunted].map((entry) => ({ entry, job }));
    })
    .sort((a, b) => a.entry.madeAtMs - b.entry.madeAtMs)
    .map(({ entry, job }) => {
      const own = (devices.get(entry.by) ?? fallback)(withHashes(entry, hashes), job.boat.id);
      hashes.set(entry.id, entryHash(own.entry));
      return own;
    });
}

/** A signed proof with the hashes of its readings, which were signed before it. */
function withHashes(entry: LogEntry, hashes: ReadonlyMap<string, string>): LogEntry {
  if (entry.kind !== 'proof') return entry;
  const tests = entry.body.tests.map((test) => ({
    ...test,
    reading: test.reading === null ? null : (hashes.get(test.reading) ?? null),
  }));
  return { ...entry, body: { ...entry.body, tests } };
}

/** A device of the demo: it signs what it is given. */
function newDevice(): (one: LogEntry, boat: string) => SignedEntry {
  const { privateKey, publicKey } = generateKeyPairSync('ed25519');
  const device = Buffer.from(publicKey.export({ format: 'jwk' }).x ?? '', 'base64url').toString('hex');
  return (one, boat) => {
    const entry: Entry = {
      id: one.id,
      yard: THE_YARD,
      boat,
      circuit: one.circuit,
      kind: one.kind,
      body: JSON.parse(JSON.stringify(one.body)) as Entry['body'],
      madeAt: new Date(one.madeAtMs).toISOString(),
      by: one.by,
      device,
    };
    const hash = Buffer.from(entryHash(entry), 'hex');
    return { entry, signature: sign(null, hash, privateKey).toString('hex') };
  };
}

/** Sends entries as devices do. @throws where the server refuses any */
export async function sendRecords(address: string, entries: readonly SignedEntry[]): Promise<void> {
  for (let at = 0; at < entries.length; at += MOST_ENTRIES) {
    const answer = await fetch(`${address}/api/records`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ entries: entries.slice(at, at + MOST_ENTRIES) }),
    });
    if (!answer.ok) throw new Error(`The records were not accepted: ${await answer.text()}`);
    const { results } = (await answer.json()) as { results: { kind: string; message?: string; path?: string }[] };
    const refused = results.find(({ kind }) => kind === 'refused');
    if (refused) throw new Error(`A record was not accepted: ${refused.path} ${refused.message}`);
  }
}
