import type { TerminalRef } from '../circuit';
import type { Positions } from '../prove/ground';

/** What a test is done with. */
export type HuntInstrument = 'voltmeter' | 'ohmmeter' | 'clamp' | 'eyes and ears' | 'hands' | 'a spare fuse';
/** What somebody may or may not have with him. */
export const huntInstruments = ['voltmeter', 'ohmmeter', 'clamp'] as const;
export type Carried = (typeof huntInstruments)[number];

export type HuntPlace = 'source' | 'panel' | 'bilge';

/** Something that can be asked of a circuit that is not as it should be. */
export interface HuntTest {
  readonly id: string;
  readonly place: HuntPlace;
  /** Its own time, min; getting there is apart. */
  readonly minutes: number;
  readonly text: string;
  readonly instrument: HuntInstrument;
  readonly set: Positions;
  /** Whether the float is moved by hand, else by the water. */
  readonly byHand: boolean;
  readonly between?: readonly [TerminalRef, TerminalRef];
  readonly reads: Reads;
}

/** What is read. */
export type Reads =
  /** `loaded` where the sound pump runs. */
  | { readonly kind: 'volts'; readonly loaded: boolean }
  | { readonly kind: 'amps' }
  | { readonly kind: 'ohms' }
  /** What runs, lights and sounds, in words. */
  | { readonly kind: 'seen' }
  | { readonly kind: 'outlet' }
  /** What a look, a tug or a hand finds: `sound` where nothing shows. */
  | { readonly kind: 'shown'; readonly sound: string };

/** A figure in the test’s unit, or words. */
export type Reading = number | string;

/** Own minutes of each kind of test (E), and the way: what a practised hand takes. */
export const huntMinutes = {
  look: 0.5,
  outlet: 0.5,
  volts: 1,
  sense: 2,
  amps: 1.5,
  ohms: 3,
  fuseLook: 1,
  fuseSwap: 2,
  isolatorLook: 0.5,
  tug: 1,
  wiringLook: 2,
  leadsLook: 1,
  liftFloat: 1,
  bilgeVolts: 4,
  strainer: 5,
  hose: 2,
  cable: 6,
  /** Water poured in or bailed out, where it stands otherwise than it should for a test. */
  bucket: 8,
} as const;

export type Access = 'easy' | 'hard';

/** Minutes from place to place. A bilge is opened once and closed on the way out. */
export function travelMinutes(access: Access): Readonly<Record<HuntPlace, Readonly<Record<HuntPlace, number>>>> {
  const [into, out] = access === 'easy' ? [4, 4] : [25, 10];
  return {
    source: { source: 0, panel: 2, bilge: into },
    panel: { source: 2, panel: 0, bilge: into },
    bilge: { source: out, panel: out, bilge: 0 },
  };
}

/** Where everyone begins. */
export const START: HuntPlace = 'panel';
