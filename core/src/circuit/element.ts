import type { Motor, MotorCondition } from './motor';

/** The electrical primitives every part is made of. Nodes are named by terminal. */
export type Element =
  | { readonly kind: 'resistor'; readonly a: string; readonly b: string; readonly ohm: number }
  | { readonly kind: 'link'; readonly a: string; readonly b: string }
  | {
      readonly kind: 'source';
      readonly plus: string;
      readonly minus: string;
      readonly emfV: number;
      readonly ohm: number;
    }
  | { readonly kind: 'sink'; readonly plus: string; readonly minus: string; readonly amps: number }
  | {
      readonly kind: 'motor';
      readonly plus: string;
      readonly minus: string;
      readonly motor: Motor;
      readonly condition: MotorCondition;
    };

/** A resistance that may be taken as ideal: 0 Ω joins its two nodes into one. */
export function resistance(a: string, b: string, ohm: number): Element {
  return ohm === 0 ? { kind: 'link', a, b } : { kind: 'resistor', a, b, ohm };
}
