import type { Element } from '../element';
import type { Doing } from './doing';

export type SwitchPosition = 'off' | 'auto' | 'manual';
export type FloatPosition = 'up' | 'down';

/** How the user and the water have set the circuit. */
export interface Setting {
  readonly switches: Readonly<Record<string, SwitchPosition>>;
  readonly floats: Readonly<Record<string, FloatPosition>>;
  /** Relays and electronics likely to be at work: where the solver looks first. It never changes the answer. */
  readonly likely?: readonly string[];
}

/** What a part's equations depend on beside itself: its own position, and no other part's. */
export interface PartState {
  /** Where a hand has put it; undefined where none has. */
  readonly position: SwitchPosition | undefined;
  /** Where the water has put it. */
  readonly float: FloatPosition;
  /** A relay pulled in, or electronics at work. */
  readonly latched: boolean;
}

/** A part in a setting. */
export function stateIn({ switches, floats }: Setting, id: string, latched: boolean): PartState {
  return { position: switches[id], float: floats[id] ?? 'down', latched };
}

/** A part at an operating point. */
export interface PartReading extends PartState {
  /** Volts of one of its terminals against battery negative. */
  volts(terminal: string): number;
  /** The part's own current, A. */
  readonly amps: number;
}

/** What a kind of part is: its terminals, its equations in a state, and what it then does. */
export interface PartKind<P> {
  terminals(part: P): readonly string[];
  /** `node` gives the number of one of the part's terminals. Open contacts are left out, not made large. */
  elements(part: P, node: (terminal: string) => number, state: PartState): readonly Element[];
  /** What the part is doing. */
  doing(part: P, reading: PartReading): Doing;
  /** Terminal by which its own current enters. */
  readonly entry?: string;
  /** Terminal by which its own current leaves, where that is the one to count. */
  readonly exit?: string;
  /** Positions a hand can put it in, the one it rests in first. */
  readonly positions?: readonly SwitchPosition[];
  /** Whether water moves it. */
  floats?(part: P): boolean;
  /** Whether it is pulled in, or at work, at these volts. */
  latches?(part: P, volts: (terminal: string) => number, state: PartState): boolean;
}

/** A part that water moves; a fault may hold it. */
export interface Floating {
  readonly id: string;
  readonly stuck?: FloatPosition;
}

/** Whether a float is up: held there by a fault, or lifted by the water. */
export function isUp({ stuck }: Floating, { float }: Pick<PartState, 'float'>): boolean {
  return (stuck ?? float) === 'up';
}

/** What a float does. */
export function floatDoing(part: Floating, state: Pick<PartState, 'float'>): Doing {
  const up = isUp(part, state);
  return part.stuck === undefined ? (up ? 'up' : 'down') : up ? 'stuckUp' : 'stuckDown';
}
