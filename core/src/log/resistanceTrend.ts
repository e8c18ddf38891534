import { isOf, type KnownEntry } from '../records';
import { lineThrough } from './lineThrough';
import type { Found, Trend, FoundAlarm } from './alarm';

/** What was read at one visit, by test, and the entries it came from. */
interface Visit {
  readonly atMs: number;
  readonly values: ReadonlyMap<
    string,
    { readonly value: number; readonly nominal: number | null; readonly entry: string }
  >;
}

const DAY_MS = 86_400_000;

/** Readings of a circuit by the day on which they were taken. */
function visitsOf(entries: readonly KnownEntry[], circuit: string): Visit[] {
  const replaced = new Set(entries.filter(isOf('reading')).flatMap(({ body }) => body.replaces ?? []));
  const days = new Map<number, Map<string, { value: number; nominal: number | null; entry: string }>>();
  for (const { id, circuit: of, madeAt, body } of entries.filter(isOf('reading'))) {
    if (of !== circuit || replaced.has(id) || !('value' in body.read)) continue;
    const day = Math.floor(Date.parse(madeAt) / DAY_MS) * DAY_MS;
    const values = days.get(day) ?? new Map<string, { value: number; nominal: number | null; entry: string }>();
    const nominal = body.expect && 'nominal' in body.expect ? body.expect.nominal : null;
    values.set(body.test, { value: body.read.value, nominal, entry: id });
    days.set(day, values);
  }
  return [...days].map(([atMs, values]) => ({ atMs, values })).sort((a, b) => a.atMs - b.atMs);
}

/** A part of the pump's way whose resistance two readings give: volts lost over it, and the amperes in it. */
interface Stretch {
  readonly key: string;
  readonly name: string;
  readonly volts: (visit: Visit) => { readonly value: number; readonly entry: string } | null;
  readonly amps: 'amps-manual-down' | 'amps-auto-up';
  readonly causes: FoundAlarm['causes'];
}

const read = (test: string) => (visit: Visit) => visit.values.get(test) ?? null;
const between = (from: string, to: string) => (visit: Visit) => {
  const [a, b] = [visit.values.get(from), visit.values.get(to)];
  return a && b ? { value: a.value - b.value, entry: b.entry } : null;
};

/** Where resistance is told: all of it by the pump's volts, and its parts from the panel. */
const stretches: readonly Stretch[] = [
  {
    key: 'whole',
    name: 'the whole way',
    volts: between('battery-running', 'pump-volts-manual-down'),
    amps: 'amps-manual-down',
    causes: [
      { words: 'a joint in the bilge corrodes', faults: ['splice-negative', 'splice-pump', 'splice-float'] },
      { words: 'a clamp, the fuse holder or the lever', faults: ['battery', 'holder', 'panel'] },
    ],
  },
  {
    key: 'feed',
    name: 'the feed, battery to lever',
    volts: between('battery-running', 'volts-manual-manual-down'),
    amps: 'amps-manual-down',
    causes: [
      { words: 'the fuse holder or a clamp at the battery', faults: ['holder', 'battery'] },
      { words: 'the lever’s contact', faults: ['panel'] },
    ],
  },
  {
    key: 'manual',
    name: 'the manual conductor and the pump’s joint',
    volts: read('sense-manual'),
    amps: 'amps-manual-down',
    causes: [
      { words: 'the pump’s joint corrodes', faults: ['splice-pump'] },
      { words: 'the manual conductor, or its post', faults: ['panel', 'broken'], part: 0.4 },
    ],
  },
  {
    key: 'auto',
    name: 'the auto conductor, the float and their joints',
    volts: read('sense-auto'),
    amps: 'amps-auto-up',
    causes: [
      { words: 'a joint of the float corrodes', faults: ['splice-float'] },
      { words: 'the float’s contact wears', faults: ['float-dead'], part: 0.5 },
      { words: 'the auto conductor, or its post', faults: ['panel', 'broken'], part: 0.4 },
    ],
  },
  {
    key: 'negative',
    name: 'the negative',
    volts: read('negative-drop-manual-down'),
    amps: 'amps-manual-down',
    causes: [
      { words: 'the negative joint corrodes', faults: ['splice-negative'] },
      { words: 'the bus or its stud', faults: ['battery'], part: 0.25 },
    ],
  },
];

/** A meter in the hand: so many volts, and so large a share of the amperes, one standard deviation. */
const METER_V = 0.01;
const CLAMP_SHARE = 0.02;
/** Less added says nothing, Ω. */
const LEAST_OHM = 0.04;
/** So many times that is told at once. */
const FAR = 4;
const LEAST_PUMP_V = 10.5;
const MOST_DROP_V = 1.2;

interface OhmPoint {
  readonly atMs: number;
  readonly ohm: number;
  readonly sigma: number;
  readonly amps: number;
  readonly entry: string;
}

function pointsOf(visits: readonly Visit[], { volts, amps }: Stretch): OhmPoint[] {
  return visits.flatMap((visit) => {
    const lost = volts(visit);
    // Either way of running draws nearly the same; the clamp is not always carried twice.
    const current = (visit.values.get(amps) ?? visit.values.get('amps-manual-down') ?? visit.values.get('amps-auto-up'))
      ?.value;
    if (!lost || current === undefined || current < 0.2) return [];
    const ohm = lost.value / current;
    return [
      {
        atMs: visit.atMs,
        ohm,
        sigma: Math.hypot(METER_V / current, CLAMP_SHARE * ohm),
        amps: current,
        entry: lost.entry,
      },
    ];
  });
}

/** What was added to the resistance of each stretch since it was proved, and when that will matter. */
export function resistanceTrend(entries: readonly KnownEntry[], circuit: string, provedMs: number | null): Found {
  const visits = visitsOf(entries, circuit);
  const told = stretches.map((stretch) => ofStretch(stretch, visits, provedMs));
  const parts = told.slice(1).flatMap(({ alarms }) => alarms);
  // Where a part is told, the whole says nothing more.
  const alarms = parts.length > 0 ? parts : (told[0]?.alarms ?? []);
  const amps = ampsTrend(visits, provedMs);
  return { trends: [...told.flatMap(({ trends }) => trends), ...amps.trends], alarms: [...alarms, ...amps.alarms] };
}

function ofStretch(stretch: Stretch, visits: readonly Visit[], provedMs: number | null): Found {
  const all = pointsOf(visits, stretch);
  const proved = provedMs === null ? null : Math.floor(provedMs / DAY_MS) * DAY_MS;
  const [first] = proved === null ? all : all.filter(({ atMs }) => atMs >= proved);
  if (!first || all.length < 2) return { trends: [], alarms: [] };
  const since = all.filter(({ atMs }) => atMs >= first.atMs);
  const added = since.map((point) => ({
    ...point,
    added: point.ohm - first.ohm,
    both: Math.hypot(point.sigma, first.sigma),
  }));
  const alarm = addedAlarm(stretch, added);
  const trend: Trend = {
    key: `ohm-${stretch.key}`,
    name: `Added in ${stretch.name}`,
    unit: 'Ω',
    points: added.map(({ atMs, added: value, entry }) => ({ atMs, value, entry })),
    lines: [{ value: LEAST_OHM, words: 'tells something' }],
    provedMs,
    words: alarm?.words ?? `Nothing beyond what a meter tells since ${first.ohm.toFixed(2)}\u00a0Ω.`,
  };
  return { trends: [trend], alarms: alarm ? [alarm] : [] };
}

type Added = OhmPoint & { readonly added: number; readonly both: number };

function addedAlarm(stretch: Stretch, points: readonly Added[]): FoundAlarm | null {
  const tells = ({ added, both }: Added) => added > Math.max(LEAST_OHM, 2 * both);
  // Twice in a row, or once by far: a clamp held askew is not a joint.
  const at = points.findIndex(
    (point, index) =>
      tells(point) &&
      ((index > 0 && tells(points[index - 1] ?? point)) || point.added > FAR * Math.max(LEAST_OHM, point.both)),
  );
  const found = points[at];
  const last = points[points.length - 1];
  if (!found || !last || !tells(last)) return null;
  const matters = mattersAt(points);
  const when =
    matters === null
      ? ''
      : matters <= last.atMs
        ? ' It matters now: the pump no longer gets what it needs.'
        : ` Going on so, it matters in about ${inWords(matters - last.atMs)}.`;
  return {
    code: `added-${stretch.key}`,
    severity: matters !== null && matters <= last.atMs ? 'stop' : 'caution',
    words: `${last.added.toFixed(2)}\u00a0Ω more in ${stretch.name} than when it was proved: ${(last.added * last.amps).toFixed(1)}\u00a0V lost there.${when}`,
    causes: stretch.causes,
    next:
      stretch.key === 'feed'
        ? 'Volts over fuse, holder and clamps while it runs, at the source.'
        : 'The sense test at the panel, then volts over each joint of that stretch.',
    atMs: found.atMs,
    entry: found.entry,
  };
}

function inWords(ms: number): string {
  const days = ms / DAY_MS;
  return days < 60 ? `${Math.max(1, Math.round(days))} days` : `${Math.round(days / 30)} months`;
}

/**
 * When what is added takes the pump under what it needs at 12.0 V, or the drop over ten per cent: where the least-squares
 * line less two of its standard errors goes through that (so that it is certain by then). Null where it does not rise.
 */
function mattersAt(points: readonly Added[]): number | null {
  const last = points[points.length - 1];
  const [first] = points;
  if (!last || !first) return null;
  const room = Math.min(MOST_DROP_V, 12 - LEAST_PUMP_V) / last.amps - first.ohm;
  if (last.added >= room) return last.atMs;
  const line = lineThrough(points.map(({ atMs, added }) => [(atMs - first.atMs) / DAY_MS, added] as const));
  if (!line || line.slope <= 2 * line.slopeError) return null;
  return first.atMs + ((room - line.intercept) / line.slope) * DAY_MS;
}

const SLACK = 1e-9;
const AMPS = { dry: -0.2, debris: 0.2, jammed: 0.6 } as const;

/** Amperes against what this circuit should draw at the volts it had, and as it did when it was proved. */
function ampsTrend(visits: readonly Visit[], provedMs: number | null): Found {
  const points = visits.flatMap(({ atMs, values }) => {
    const one = values.get('amps-manual-down');
    return one && one.nominal !== null && one.nominal > 0
      ? [{ atMs, value: one.value / one.nominal, entry: one.entry, amps: one.value }]
      : [];
  });
  const first = points.find(({ atMs }) => provedMs === null || atMs >= provedMs - DAY_MS);
  if (!first || points.length < 2) return { trends: [], alarms: [] };
  const shown = points.map(({ atMs, value, entry }) => ({ atMs, value: (value / first.value - 1) * 100, entry }));
  const last = points[points.length - 1] ?? first;
  const off = last.value / first.value - 1;
  const trends: Trend[] = [
    {
      key: 'amps',
      name: 'Amperes at the same volts',
      unit: '% against the proof',
      points: shown,
      lines: [
        { value: AMPS.debris * 100, words: 'too much' },
        { value: AMPS.dry * 100, words: 'too little' },
      ],
      provedMs,
      words: '',
    },
  ];
  if (off > AMPS.dry + SLACK && off < AMPS.debris - SLACK) return { trends, alarms: [] };
  const common = { atMs: last.atMs, entry: last.entry };
  const words = `${last.amps.toFixed(1)}\u00a0A, ${Math.abs(Math.round(off * 100))}\u00a0% ${off < 0 ? 'less' : 'more'} than it drew at the same volts when it was proved.`;
  const alarm: FoundAlarm =
    off < 0
      ? {
          ...common,
          code: 'amps-low',
          severity: 'caution',
          words,
          causes: [
            { words: 'it runs dry or sucks air', faults: ['blocked', 'hose', 'impeller'] },
            { words: 'a joint or brush holds it back', faults: ['splice-negative', 'splice-pump', 'motor'] },
          ],
          next: 'Look at the outlet; then volts at the manual post while it runs.',
        }
      : {
          ...common,
          code: 'amps-high',
          severity: off >= AMPS.jammed ? 'stop' : 'caution',
          words,
          causes: [
            { words: 'debris in the impeller', faults: ['blocked'] },
            { words: 'its bearing', faults: ['seized'] },
            { words: 'a winding shorted in part', faults: ['motor'] },
          ],
          next: 'Fuse out, prove dead, strainer off: turn the impeller by hand.',
        };
  return { trends, alarms: [alarm] };
}
