import type { Element } from '../element';

export type SwitchPosition = 'off' | 'auto' | 'manual';
export type FloatPosition = 'up' | 'down';

/** How the user and the water have set the circuit. */
export interface Setting {
  readonly switches: Readonly<Record<string, SwitchPosition>>;
  readonly floats: Readonly<Record<string, FloatPosition>>;
}

/** What a kind of part is: its terminals and, in a setting, its equations. */
export interface PartKind<P> {
  terminals(part: P): readonly string[];
  /** `node` gives the number of one of the part's terminals. Open contacts are left out, not made large. */
  elements(part: P, node: (terminal: string) => number, setting: Setting): readonly Element[];
}
