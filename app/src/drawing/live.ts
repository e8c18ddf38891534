import type { Doing, TerminalRef } from '@harbor-latch/core/circuit/index';

/** What a solved circuit adds to its drawing: currents in its conductors, and what its parts do. */
export interface Live {
  /** Amperes of a conductor, from its `from` to its `to` end. */
  readonly amps: ReadonlyMap<string, number>;
  /** Words beside a conductor or part in place of the drawing's own. */
  readonly words: ReadonlyMap<string, readonly string[]>;
  /** What a part is doing. */
  readonly doing: ReadonlyMap<string, Doing>;
  /** Parts and conductors in which a fault was planted. */
  readonly faulty: ReadonlySet<string>;
  /** Parts and conductors in which a fault is looked for, with how likely it is there, 0 to 1. */
  readonly suspected?: ReadonlyMap<string, number>;
  /** Terminals that can be touched; none while parts and conductors are. */
  readonly touch: TerminalTouch | null;
}

/** Touching terminals instead of parts. */
export interface TerminalTouch {
  readonly onTerminal: (terminal: TerminalRef) => void;
  /** What a screen reader hears of a terminal. */
  readonly label: (terminal: TerminalRef) => string;
  readonly red: TerminalRef | null;
  readonly black: TerminalRef | null;
}

/** Currents smaller than this are not shown to flow, A. */
export const FLOWS_FROM_A = 0.0005;

/** How wide a current's arrows are drawn: by its decade, since a lamp's is a thousandth of a pump's. */
export function arrowSize(amps: number): number {
  const size = Math.abs(amps);
  if (size < 0.1) return 4;
  return size < 2 ? 5.5 : 7.5;
}
