import { roles, type TerminalRef } from '../circuit';
import { at, link, piece } from './pieces';
import type { PlanPiece, SurveyedCircuit } from './plan';
import { givenFuse } from './standardParts';

/** Where the always-live panel leaves for the switch and for the auto leg, and the fuses of each where it has any. */
export interface Legs {
  readonly toSwitch: TerminalRef;
  /** The terminal that the auto conductor starts from. */
  readonly autoFrom: TerminalRef;
  readonly autoTo: TerminalRef | null;
  readonly piece: PlanPiece;
}

/** A panel that is always live towards the float; a variant found on boats fuses its two legs apart. */
export function legFuses(circuit: SurveyedCircuit): Legs {
  const fuses = circuit.panel?.legFuses;
  if (!fuses) {
    return { toSwitch: at('switch', 'in'), autoFrom: at('joint-live', 'auto'), autoTo: null, piece: piece([]) };
  }
  const fuseOf = (id: string, name: string, ratingA: number, role: 'manual' | 'auto') =>
    ({ part: givenFuse(id, { kind: fuses.kind, ratingA }), name, band: 'panel', role }) as const;
  return {
    toSwitch: at(roles.manualFuse, 'source'),
    autoFrom: at(roles.autoFuse, 'load'),
    autoTo: at(roles.autoFuse, 'source'),
    piece: piece(
      [
        fuseOf(roles.manualFuse, 'Manual fuse', fuses.manualA, 'manual'),
        fuseOf(roles.autoFuse, 'Auto fuse', fuses.autoA, 'auto'),
      ],
      [],
      [link('manual-fuse-out', at(roles.manualFuse, 'load'), at(roles.switch, 'in'))],
    ),
  };
}
