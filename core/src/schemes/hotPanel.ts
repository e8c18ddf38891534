import type { TerminalRef } from '../circuit';
import { legFuses } from './legFuses';
import { piece } from './pieces';
import type { PlanPiece, Surveyed } from './plan';
import { onOffPart } from './standardParts';
import { supplySide, type LiveEnds } from './supplySide';

/** Supply and panel of a circuit whose auto leg is always live. */
export interface HotPanel {
  readonly pieces: readonly PlanPiece[];
  /** The terminal that the auto conductor starts from. */
  readonly autoFrom: TerminalRef;
}

/** A panel with a switch for manual and a way past it that is always live. */
export function hotPanel(surveyed: Surveyed, switchName: string): HotPanel {
  const { circuit } = surveyed;
  const { toSwitch, autoFrom, autoTo, piece: fuses } = legFuses(circuit);
  const ends: LiveEnds = { switch: toSwitch, ...(autoTo ? { auto: autoTo } : {}) };
  const supply = supplySide(surveyed, ends, autoTo ? [] : ['auto']);
  return { pieces: [supply, fuses, piece([onOffPart(circuit, switchName, 'manual')])], autoFrom };
}
