import type { Element } from './element';
import { motorAt } from './motor';
import type { PlacedElement } from './nodes';

/** Elements whose current does not go with their volts. */
export type CurvedElement = Extract<Element, { kind: 'motor' | 'diode' }>;
export type PlacedCurved = PlacedElement & { readonly element: CurvedElement };

export function isCurved(placed: PlacedElement): placed is PlacedCurved {
  return placed.element.kind === 'motor' || placed.element.kind === 'diode';
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
 * Amperes through an element from its first to its second end. Links and ideal
 * sources do not tell by their volts: 0.
 */
export function elementA({ element, a, b }: PlacedElement, volts: Float64Array): number {
  const across = (volts[a] ?? 0) - (volts[b] ?? 0);
  switch (element.kind) {
    case 'link':
      return 0;
    case 'resistor':
      return across / element.ohm;
    case 'sink':
      return element.amps;
    case 'source':
      return element.ohm > 0 ? (across - element.emfV) / element.ohm : 0;
    case 'motor':
    case 'diode':
      return curveAt(element, across).amps;
    default:
      return element satisfies never;
  }
}
