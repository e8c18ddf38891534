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
      /** Conducts from plus to minus above `dropV`, as `ohm`; a LED is one with its own resistor. */
      readonly kind: 'diode';
      readonly plus: number;
      readonly minus: number;
      readonly dropV: number;
      readonly ohm: number;
    }
  | {
      /** A fixed current, between nodes that are joined otherwise as well. */
      readonly kind: 'sink';
      readonly plus: number;
      readonly minus: number;
      readonly amps: number;
    }
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

/** The terminal at an element's first or plus end. */
export function firstEnd(element: Element): number {
  return 'a' in element ? element.a : element.plus;
}

/** The terminal at an element's second or minus end. */
export function secondEnd(element: Element): number {
  return 'b' in element ? element.b : element.minus;
}

/** Whether an element's current cannot be told from its volts: a joint or a source without resistance. */
export function isIdeal(element: Element): boolean {
  return element.kind === 'link' || (element.kind === 'source' && element.ohm === 0);
}
