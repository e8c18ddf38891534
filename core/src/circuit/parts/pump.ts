import type { Motor, MotorCondition } from '../motor';
import type { PartKind } from './part';

/** A pump's motor; `sinkA` stands in for it where a fixed current is asked for, `shorted` for a dead short at its leads. */
export interface PumpPart {
  readonly kind: 'pump';
  readonly id: string;
  readonly motor: Motor;
  readonly condition: MotorCondition | 'shorted';
  readonly sinkA?: number;
}

export const pump: PartKind<PumpPart> = {
  terminals: () => ['plus', 'minus'],
  elements: (part, node) => {
    const plus = node('plus');
    const minus = node('minus');
    if (part.sinkA !== undefined) return [{ kind: 'sink', plus, minus, amps: part.sinkA }];
    if (part.condition === 'shorted') return [{ kind: 'link', a: plus, b: minus }];
    return [{ kind: 'motor', plus, minus, motor: part.motor, condition: part.condition }];
  },
};
