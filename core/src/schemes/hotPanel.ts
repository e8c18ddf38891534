import type { TerminalRef } from '../circuit';
import { legFuses } from './legFuses';
import { at, link, piece } from './pieces';
import type { PlanPiece, Surveyed } from './plan';
import { onOffPart } from './standardParts';
import { supplySide, type LiveEnds } from './supplySide';

/** Supply and panel of a circuit whose auto leg is always live. */
export interface HotPanel {
  readonly pieces: readonly PlanPiece[];
  /** The terminal that the auto conductor starts from. */
  readonly autoFrom: TerminalRef;
}

/** A panel with a switch for manual and a way past it that is always live, or live unless manual is on. */
export function hotPanel(surveyed: Surveyed, switchName: string): HotPanel {
  const { circuit } = surveyed;
  const { toSwitch, autoFrom, autoTo, piece: fuses } = legFuses(circuit);
  const ends: LiveEnds = { switch: toSwitch, ...(autoTo ? { auto: autoTo } : {}) };
  const supply = supplySide(surveyed, ends, autoTo ? [] : ['auto']);
  const breaksAuto = circuit.panel?.manualBreaksAuto === true;
  const panel = piece(
    [onOffPart(circuit, switchName, 'manual', breaksAuto)],
    [],
    breaksAuto ? [link('auto-through-switch', autoFrom, at('switch', 'auto-in'), { base: 'red' })] : [],
  );
  return { pieces: [supply, fuses, panel], autoFrom: breaksAuto ? at('switch', 'auto-out') : autoFrom };
}
