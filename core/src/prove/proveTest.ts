import type { FloatPosition, SwitchPosition, TerminalRef } from '../circuit';
import type { Expected } from './windows';

/** What is asked of a circuit, once it is in the boat. */
export interface ProveTest {
  /** The same for the same test of the same circuit, whatever its values. */
  readonly id: string;
  readonly phase: 'commission';
  readonly place: 'source' | 'panel' | 'bilge';
  /** `dead`: the fuse is out, and nothing may be live; these come first. */
  readonly power: 'dead' | 'live';
  readonly text: string;
  readonly set: {
    readonly switches: Readonly<Record<string, SwitchPosition>>;
    readonly floats: Readonly<Record<string, FloatPosition>>;
    /** Fuses that are out. */
    readonly fusesOut: readonly string[];
  };
  readonly instrument: 'voltmeter' | 'ohmmeter' | 'clamp' | 'eyes and ears';
  readonly between?: readonly [TerminalRef, TerminalRef];
  /** The conductor or part it is read at. */
  readonly at?: string;
  readonly expect: Expected | { readonly state: string };
  /** What of a sound circuit widens the window beyond the meter's own. */
  readonly widenedBy: readonly string[];
  /** What a reading on either side suggests; empty where a state says it all. */
  readonly missHigh: string;
  readonly missLow: string;
}

/** The battery as it was read; left out, as it was surveyed. */
export interface ReadBattery {
  readonly restingV?: number;
  readonly runningV?: number;
}
