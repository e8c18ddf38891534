import { defaults } from '../../reference';
import type { PartKind } from './part';

/** An indicator light: a LED with its resistor, or a filament pilot lamp. */
export interface LampPart {
  readonly kind: 'lamp';
  readonly id: string;
  readonly lamp: 'led' | 'filament';
}

export const lamp: PartKind<LampPart> = {
  terminals: () => ['plus', 'minus'],
  elements: (part, node) => {
    const [plus, minus] = [node('plus'), node('minus')];
    return part.lamp === 'led'
      ? [{ kind: 'led', plus, minus, dropV: defaults.ledDropV, ohm: defaults.ledOhm }]
      : [{ kind: 'resistor', a: plus, b: minus, ohm: defaults.pilotLampOhm }];
  },
};
