import type { Element } from './element';
import { motorAt } from './motor';

/** Elements whose current does not go with their volts. */
export type CurvedElement = Extract<Element, { kind: 'motor' | 'diode' }>;

export function isCurved(element: Element): element is CurvedElement {
  return element.kind === 'motor' || element.kind === 'diode';
}

/** Amperes from the plus to the minus end at a voltage, and their slope, S. */
export function curveAt(element: CurvedElement, volts: number): { readonly amps: number; readonly slopeS: number } {
  if (element.kind === 'motor') return motorAt(element.motor, volts, element.condition);
  return volts > element.dropV
    ? { amps: (volts - element.dropV) / element.ohm, slopeS: 1 / element.ohm }
    : { amps: 0, slopeS: 0 };
}

/**
 * The conductance an element never exceeds, S: a standing motor is its winding, a
 * diode that conducts is its resistance.
 */
export function restingConductance(element: CurvedElement): number {
  if (element.kind === 'diode') return 1 / element.ohm;
  return element.condition === 'open' ? 0 : 1 / element.motor.windingOhm;
}

/**
 * Amperes through an element from its first to its second end, by the volts
 * across it. Links and ideal sources do not tell by their volts: 0.
 */
export function elementA(element: Element, acrossV: number): number {
  switch (element.kind) {
    case 'link':
      return 0;
    case 'resistor':
      return acrossV / element.ohm;
    case 'sink':
      return element.amps;
    case 'source':
      return element.ohm > 0 ? (acrossV - element.emfV) / element.ohm : 0;
    case 'motor':
    case 'diode':
      return curveAt(element, acrossV).amps;
    default:
      return element satisfies never;
  }
}
