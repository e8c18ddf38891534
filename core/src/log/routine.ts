import { isOf, type EntryOf, type KnownEntry } from '../records';

/** Something that is done again and again. */
export interface Routine {
  readonly name: string;
  /** What is done, as it is asked. */
  readonly words: string;
  /** Days between two, afloat and ashore; null: not by the calendar. */
  readonly days: { readonly afloat: number | null; readonly ashore: number | null };
  /** Whether it is done at each circuit with a pump, or once for the boat. */
  readonly of: 'circuit' | 'boat';
  /** Which other entries are as good as it. */
  readonly metBy: (entry: KnownEntry) => boolean;
}

const never = () => false;

/** The routine of bilge pumps: our rules, each interval editable for a boat. */
export const routines = {
  trip: {
    name: 'Before a trip',
    words: 'Manual for ten seconds, water at the outlet',
    days: { afloat: null, ashore: null },
    of: 'circuit',
    metBy: never,
  },
  counter: {
    name: 'Counter',
    words: 'Read the counter: starts and time since the last reading',
    days: { afloat: 7, ashore: null },
    of: 'circuit',
    metBy: ({ kind }) => kind === 'runCount',
  },
  bucket: {
    name: 'Bucket, floats, alarm',
    words: 'A bucket of water on auto, every float lifted, the alarm heard',
    days: { afloat: 30, ashore: 91 },
    of: 'circuit',
    metBy: never,
  },
  strainer: {
    name: 'Strainer and terminals',
    words: 'Strainer cleaned, bilge free of crumbs, terminals dry and bright',
    days: { afloat: 91, ashore: 182 },
    of: 'boat',
    metBy: ({ kind }) => kind === 'cleaning',
  },
  yearly: {
    name: 'Once a year',
    words: 'The readings in the boat again, alarm battery, clips, valve',
    days: { afloat: 365, ashore: 365 },
    of: 'circuit',
    metBy: (entry) => entry.kind === 'proof' && entry.body.phase === 'commission',
  },
  'float-age': {
    name: 'Float',
    words: 'Float replaced',
    days: { afloat: 5 * 365, ashore: 5 * 365 },
    of: 'circuit',
    metBy: never,
  },
  'hose-age': {
    name: 'Hose and alarm',
    words: 'Hose and alarm replaced',
    days: { afloat: 10 * 365, ashore: 10 * 365 },
    of: 'boat',
    metBy: never,
  },
} as const satisfies Readonly<Record<string, Routine>>;

export type RoutineKey = keyof typeof routines;
export const routineKeys = Object.keys(routines) as RoutineKey[];

/** What is turned off, or on again, at the end and at the beginning of a season. */
export const layUpSteps = ['Battery isolator', 'Bilge pump fuses', 'Charger', 'Seacocks', 'Alarm'] as const;

/** Something that is due, or will be. */
export interface Due {
  readonly routine: RoutineKey;
  /** Null for what is of the whole boat. */
  readonly circuit: string | null;
  /** When it was done last, ms since 1970; null: not since the circuit was proved. */
  readonly lastMs: number | null;
  readonly dueMs: number;
}

const DAY_MS = 86_400_000;

/** Days between two of a routine, as somebody set them for this boat, or as they usually are; null: not by the calendar. */
export function intervalOf(routine: RoutineKey, entries: readonly KnownEntry[], ashore: boolean): number | null {
  const set = entries.filter(isOf('interval')).filter(({ body }) => body.routine === routine);
  const last = set[set.length - 1];
  if (last) return last.body.days;
  return routines[routine].days[ashore ? 'ashore' : 'afloat'];
}

/** Whether the boat is laid up or kept ashore. */
export function isAshore(kept: 'afloat' | 'ashore' | undefined, entries: readonly KnownEntry[]): boolean {
  const turns = entries.filter(({ kind }) => kind === 'layUp' || kind === 'launch');
  const last = turns[turns.length - 1];
  return last ? last.kind === 'layUp' : kept === 'ashore';
}

export interface DueAsked {
  readonly entries: readonly KnownEntry[];
  /** Circuits with a pump. */
  readonly circuits: readonly string[];
  readonly kept: 'afloat' | 'ashore' | undefined;
}

/**
 * What is due on a boat, the earliest first. The calendar begins when a circuit is proved, or when anything was logged of it:
 * a boat of which nothing is known is due for nothing but that.
 */
export function dueOf({ entries, circuits, kept }: DueAsked): Due[] {
  const ashore = isAshore(kept, entries);
  return routineKeys
    .flatMap((routine) => {
      const days = intervalOf(routine, entries, ashore);
      if (days === null) return [];
      const own: Routine = routines[routine];
      const wheres: readonly (string | null)[] = own.of === 'boat' ? [null] : circuits;
      return wheres.flatMap((circuit) => {
        const about = circuit === null ? entries : entries.filter((entry) => entry.circuit === circuit);
        const [first] = about;
        if (!first) return [];
        const done = about.filter((entry) => isDone(entry, routine) || own.metBy(entry));
        const last = done[done.length - 1];
        const lastMs = last ? Date.parse(last.madeAt) : null;
        return [{ routine, circuit, lastMs, dueMs: (lastMs ?? Date.parse(first.madeAt)) + days * DAY_MS }];
      });
    })
    .sort((a, b) => a.dueMs - b.dueMs);
}

function isDone(entry: KnownEntry, routine: RoutineKey): entry is EntryOf<'check'> {
  return entry.kind === 'check' && entry.body.routine === routine;
}
