import { defaults } from '../../reference';
import { diodeBetween, resistance } from '../element';
import type { PartKind } from './part';

/** An indicator light: a LED with its resistor, or a filament pilot lamp. */
export interface LampPart {
  readonly kind: 'lamp';
  readonly id: string;
  readonly lamp: 'led' | 'filament';
  /** `armed` says that auto is selected, `running` that the pump has voltage. */
  readonly shows: 'armed' | 'running';
  /** Left out: the defaults of its kind. */
  readonly dropV?: number;
  readonly ohm?: number;
}

export const lamp: PartKind<LampPart> = {
  entry: 'plus',
  terminals: () => ['plus', 'minus'],
  elements: (part, node) => {
    const [plus, minus] = [node('plus'), node('minus')];
    return [
      part.lamp === 'led'
        ? diodeBetween(plus, minus, part.dropV ?? defaults.ledDropV, part.ohm ?? defaults.ledOhm)
        : resistance(plus, minus, part.ohm ?? defaults.pilotLampOhm),
    ];
  },
  doing: ({ lamp: kind }, { amps, volts }) =>
    kind === 'led' ? (amps >= defaults.ledLitA ? 'lit' : 'dark') : filamentDoing(volts('plus') - volts('minus')),
};

/** How a 12 V filament looks at a voltage: dim below half its power, dark below a twentieth. */
export function filamentDoing(volts: number): 'lit' | 'dim' | 'dark' {
  const share = (volts / defaults.filamentV) ** 2;
  if (share < defaults.filamentDarkShare) return 'dark';
  return share < defaults.filamentDimShare ? 'dim' : 'lit';
}
