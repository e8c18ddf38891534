import type { Motor, MotorCondition } from './motor';

/** The electrical primitives every part is made of, between numbered terminals. */
export type Element =
  | { readonly kind: 'resistor'; readonly a: number; readonly b: number; readonly ohm: number }
  | { readonly kind: 'link'; readonly a: number; readonly b: number }
  | {
      readonly kind: 'source';
      readonly plus: number;
      readonly minus: number;
      readonly emfV: number;
      readonly ohm: number;
    }
  | {
      readonly kind: 'led';
      readonly plus: number;
      readonly minus: number;
      readonly dropV: number;
      readonly ohm: number;
    }
  | { readonly kind: 'sink'; readonly plus: number; readonly minus: number; readonly amps: number }
  | {
      readonly kind: 'motor';
      readonly plus: number;
      readonly minus: number;
      readonly motor: Motor;
      readonly condition: MotorCondition;
    };

/** A resistance that may be taken as ideal: 0 Ω joins its two nodes into one. */
export function resistance(a: number, b: number, ohm: number): Element {
  return ohm === 0 ? { kind: 'link', a, b } : { kind: 'resistor', a, b, ohm };
}
