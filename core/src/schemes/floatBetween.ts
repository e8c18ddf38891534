import type { TerminalRef } from '../circuit';
import { autoConductor, manualConductor, negativeBack, pumpAt } from './bilgeSide';
import { levelSensor, negativeWays, sensorWay } from './levelSensor';
import { at, piece } from './pieces';
import type { PlanPiece, SurveyedCircuit } from './plan';
import { plannedJoint } from './standardParts';

/** What differs between the schemes whose sensor stands between auto and the pump. */
export interface FloatBetween {
  readonly usual: 'float' | 'probe';
  readonly manualFrom: TerminalRef;
  readonly autoFrom: TerminalRef;
  readonly manualName?: string;
  readonly sensorName?: string;
}

/**
 * The wet end of the base circuit: auto → sensor → pump positive, where manual meets
 * it in one joint; the pump's negative, and the sensor's where it needs one, back.
 */
export function floatBetween(
  circuit: SurveyedCircuit,
  { usual, manualFrom, autoFrom, manualName, sensorName }: FloatBetween,
): PlanPiece[] {
  const way = sensorWay(circuit, usual);
  const sensor = levelSensor(
    circuit,
    usual,
    { from: 'joint-float', to: 'joint-pump', negative: 'joint-negative' },
    sensorName,
  );
  return [
    piece(
      [
        plannedJoint('joint-float', ['cable', way], 'J1', 'auto'),
        ...sensor.parts,
        plannedJoint('joint-pump', ['cable', way, 'pump'], 'J2', 'supply'),
      ],
      [
        manualConductor(circuit, manualFrom, at('joint-pump', 'cable'), manualName),
        autoConductor(circuit, autoFrom, at('joint-float', 'cable')),
      ],
      sensor.existing,
    ),
    pumpAt(circuit, { plus: at('joint-pump', 'pump'), minus: at('joint-negative', 'pump') }),
    negativeBack(circuit, ['pump', ...negativeWays(circuit, usual)], 'J3'),
  ];
}
