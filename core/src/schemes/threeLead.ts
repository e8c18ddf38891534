import { autoConductor, manualConductor, negativeBack, pumpAt } from './bilgeSide';
import { at, piece } from './pieces';
import type { PlanPiece, SurveyedCircuit } from './plan';
import type { TerminalRef } from '../circuit';
import { plannedJoint } from './standardParts';

/** A pump with three leads and what brings them to the panel and the bus. */
export function threeLeadPump(
  circuit: SurveyedCircuit,
  from: { readonly manual: TerminalRef; readonly auto: TerminalRef },
  sensing: 'float' | 'timer',
): PlanPiece[] {
  return [
    piece(
      [
        plannedJoint('joint-auto', ['cable', 'pump'], 'J1', 'auto'),
        plannedJoint('joint-pump', ['cable', 'pump'], 'J2', 'manual'),
      ],
      [
        manualConductor(circuit, from.manual, at('joint-pump', 'cable')),
        autoConductor(circuit, from.auto, at('joint-auto', 'cable')),
      ],
    ),
    pumpAt(circuit, {
      plus: at('joint-pump', 'pump'),
      minus: at('joint-negative', 'pump'),
      auto: { from: at('joint-auto', 'pump'), sensing },
    }),
    negativeBack(circuit, ['pump'], 'J3'),
  ];
}
