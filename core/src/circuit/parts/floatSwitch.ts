import { resistance } from '../element';
import type { PartKind } from './part';

/** A mechanical float: a contact that closes when the water lifts it. */
export interface FloatSwitchPart {
  readonly kind: 'float-switch';
  readonly id: string;
  readonly contactOhm: number;
}

export const floatSwitch: PartKind<FloatSwitchPart> = {
  terminals: () => ['a', 'b'],
  elements: (part, node, setting) =>
    setting.floats[part.id] === 'up' ? [resistance(node('a'), node('b'), part.contactOhm)] : [],
};
