import { link, resistance } from '../element';
import { floatDoing, isUp, type Floating, type PartKind } from './part';

/**
 * An enclosed float with five leads: supply, two for the positive (pump, manual)
 * and two for the negative (pump, return), so that every joint is one conductor
 * to one conductor.
 */
export interface ThroughFloatPart extends Floating {
  readonly kind: 'through-float';
  readonly contactOhm: number;
}

export const throughFloat: PartKind<ThroughFloatPart> = {
  entry: 'supply',
  terminals: () => ['supply', 'manual', 'pump-plus', 'pump-minus', 'return'],
  elements: (part, node, state) => [
    link(node('manual'), node('pump-plus')),
    link(node('pump-minus'), node('return')),
    ...(isUp(part, state) ? [resistance(node('supply'), node('pump-plus'), part.contactOhm)] : []),
  ],
  doing: (part, state) => floatDoing(part, state),
  floats: () => true,
};
