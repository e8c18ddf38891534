import { resistance } from '../element';
import { floatDoing, isUp, type Floating, type PartKind } from './part';

/** A mechanical float, hinged or enclosed: a contact that closes when the water lifts it. */
export interface FloatSwitchPart extends Floating {
  readonly kind: 'float-switch';
  readonly contactOhm: number;
}

export const floatSwitch: PartKind<FloatSwitchPart> = {
  entry: 'a',
  terminals: () => ['a', 'b'],
  elements: (part, node, state) => (isUp(part, state) ? [resistance(node('a'), node('b'), part.contactOhm)] : []),
  doing: (part, state) => floatDoing(part, state),
  floats: () => true,
};
