import type { FloatPosition, SwitchPosition, TerminalRef } from '../circuit';
import type { Expected } from './windows';

/** Where a proof is made: before anything is in the boat, and in her. */
export type ProvePhase = 'bench' | 'commission';

export type Instrument =
  'voltmeter' | 'ohmmeter' | 'clamp' | 'milliammeter' | 'bucket and watch' | 'watch' | 'eyes and ears';

/** One thing that is seen or heard: what it is of, what it should be, and what it may be instead. */
export interface SeenPart {
  /** Empty where the test itself says what it is of. */
  readonly name: string;
  readonly expected: string;
  readonly answers: readonly string[];
}

/** What is seen, heard, or said by a meter in words. */
export interface Seen {
  /** All of it in words. */
  readonly state: string;
  readonly of: readonly SeenPart[];
}

/** What is asked of a circuit, on the bench or once it is in the boat. */
export interface ProveTest {
  /** The same for the same test of the same circuit, whatever its values. */
  readonly id: string;
  readonly phase: ProvePhase;
  readonly place: 'bench' | 'source' | 'panel' | 'bilge';
  /** `dead`: the fuse is out, and nothing may be live; these come first. */
  readonly power: 'dead' | 'live';
  /** Whether a proof lacks something without it; the others say more where one misses. */
  readonly needed: boolean;
  readonly text: string;
  readonly set: {
    readonly switches: Readonly<Record<string, SwitchPosition>>;
    readonly floats: Readonly<Record<string, FloatPosition>>;
    /** Fuses that are out. */
    readonly fusesOut: readonly string[];
  };
  readonly instrument: Instrument;
  readonly between?: readonly [TerminalRef, TerminalRef];
  /** The conductor or part it is read at. */
  readonly at?: string;
  /** Of a known volume timed: how much. */
  readonly litres?: number;
  /** How the well fills, where water is poured until something starts. */
  readonly filling?: Filling;
  /** So long a wait belongs to it, s. */
  readonly waitS?: number;
  readonly expect: Expected | Seen;
  /** What of a sound circuit widens the window beyond the meter's own. */
  readonly widenedBy: readonly string[];
  /** What a reading on either side suggests; empty where a state says it all. */
  readonly missHigh: string;
  readonly missLow: string;
}

/** How a well fills from dry. */
export interface Filling {
  /** So much lifts the float to where it starts, L. */
  readonly startsL: number;
  /** Level at the pump over its base, m, after 0, 1, 2 … litres. */
  readonly levelsM: readonly number[];
}

/** The battery as it was read; left out, as it was surveyed. */
export interface ReadBattery {
  readonly restingV?: number | undefined;
  readonly runningV?: number | undefined;
}

/** What is seen of one thing alone. */
export function seen(expected: string, answers: readonly string[], name = ''): Seen {
  return seenOf([{ name, expected, answers: [...new Set([expected, ...answers])] }]);
}

/** What is seen of several things at once. */
export function seenOf(of: readonly SeenPart[]): Seen {
  return { state: inWords(of.map(({ name, expected }) => [name, expected] as const)), of };
}

/** What was seen of several things, in the words in which it is expected. */
export function inWords(pairs: readonly (readonly [name: string, said: string])[]): string {
  return pairs.map(([name, said]) => (name === '' ? said : `${name} ${said}`)).join(', ');
}

type Fields = Omit<ProveTest, 'power' | 'needed' | 'set' | 'widenedBy' | 'missHigh' | 'missLow' | 'instrument'> &
  Partial<ProveTest>;

/** A test with what most of them have in common filled in. */
export function testOf(fields: Fields): ProveTest {
  return {
    power: 'live',
    needed: true,
    set: { switches: {}, floats: {}, fusesOut: [] },
    instrument: 'eyes and ears',
    widenedBy: [],
    missHigh: '',
    missLow: '',
    ...fields,
  };
}
