import { source } from '../element';
import type { PartKind } from './part';

/** A battery: EMF behind an internal resistance, which may be 0 where volts are given at the posts. */
export interface BatteryPart {
  readonly kind: 'battery';
  readonly id: string;
  readonly emfV: number;
  readonly internalOhm: number;
}

const SPEAKS_FROM_A = 5e-4;

export const battery: PartKind<BatteryPart> = {
  exit: 'plus',
  terminals: () => ['plus', 'minus'],
  elements: (part, node) => [source(node('plus'), node('minus'), part.emfV, part.internalOhm)],
  doing: (_part, { amps }) => (amps > SPEAKS_FROM_A ? 'delivering' : amps < -SPEAKS_FROM_A ? 'charging' : 'resting'),
};
