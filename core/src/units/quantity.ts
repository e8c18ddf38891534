/**
 * Quantities the trade measures, each held in one base unit and shown in the
 * unit system the user works in. Factors are exact definitions (inch = 25.4 mm,
 * US gallon = 3.785411784 L).
 */

/** The international foot, m. */
export const METRES_PER_FOOT = 0.3048;
/** The US gallon, L. */
export const LITRES_PER_GALLON = 3.785411784;

export type UnitSystem = 'metric' | 'us';

export interface Unit {
  /** What the field shows after the number. */
  readonly symbol: string;
  /** Other spellings accepted when typed; compared in lower case. */
  readonly spellings: readonly string[];
  /** base = shown × factor + offset */
  readonly factor: number;
  readonly offset?: number;
  /** Digits after the point when displayed. */
  readonly digits: number;
}

export interface Quantity {
  readonly name: string;
  readonly units: readonly Unit[];
  /** Symbol of the unit shown in each system. */
  readonly shown: Readonly<Record<UnitSystem, string>>;
}

const unit = (symbol: string, spellings: readonly string[], factor: number, digits: number, offset = 0): Unit => ({
  symbol,
  spellings,
  factor,
  digits,
  offset,
});

/** Base units: m, A, V, Ω, L/h, m/s, L, °C, Ah. */
export const quantities = {
  length: {
    name: 'length',
    units: [
      unit('m', ['metre', 'metres', 'meter', 'meters'], 1, 2),
      unit('ft', ['foot', 'feet', "'"], METRES_PER_FOOT, 1),
      unit('mm', ['millimetre', 'millimetres', 'millimeters'], 0.001, 0),
      unit('cm', ['centimetre', 'centimetres'], 0.01, 1),
      unit('in', ['inch', 'inches', '"'], 0.0254, 1),
    ],
    shown: { metric: 'm', us: 'ft' },
  },
  shortLength: {
    name: 'length',
    units: [
      unit('mm', ['millimetre', 'millimetres'], 0.001, 0),
      unit('in', ['inch', 'inches', '"'], 0.0254, 1),
      unit('cm', ['centimetre', 'centimetres'], 0.01, 1),
      unit('m', ['metre', 'metres'], 1, 3),
      unit('ft', ['foot', 'feet', "'"], METRES_PER_FOOT, 2),
    ],
    shown: { metric: 'mm', us: 'in' },
  },
  head: {
    name: 'head',
    units: [
      unit('m', ['metre', 'metres', 'meter', 'meters'], 1, 1),
      unit('ft', ['foot', 'feet', "'"], METRES_PER_FOOT, 1),
    ],
    shown: { metric: 'm', us: 'ft' },
  },
  current: {
    name: 'current',
    units: [unit('A', ['amp', 'amps', 'ampere', 'amperes'], 1, 2), unit('mA', ['milliamp', 'milliamps'], 0.001, 0)],
    shown: { metric: 'A', us: 'A' },
  },
  voltage: {
    name: 'voltage',
    units: [unit('V', ['volt', 'volts'], 1, 2), unit('mV', ['millivolt', 'millivolts'], 0.001, 0)],
    shown: { metric: 'V', us: 'V' },
  },
  resistance: {
    name: 'resistance',
    units: [unit('Ω', ['ohm', 'ohms', 'r'], 1, 3), unit('mΩ', ['mohm', 'mohms', 'milliohm', 'milliohms'], 0.001, 2)],
    shown: { metric: 'Ω', us: 'Ω' },
  },
  flow: {
    name: 'flow',
    units: [
      unit('L/h', ['lph', 'l/hr', 'litres/hour', 'liters/hour'], 1, 0),
      unit('gal/h', ['gph', 'gal/hr', 'us gph', 'gallons/hour'], LITRES_PER_GALLON, 0),
      unit('L/min', ['lpm', 'l/m', 'litres/minute'], 60, 1),
    ],
    shown: { metric: 'L/h', us: 'gal/h' },
  },
  speed: {
    name: 'speed',
    units: [unit('m/s', ['metres per second'], 1, 2), unit('ft/s', ['fps', 'feet per second'], METRES_PER_FOOT, 1)],
    shown: { metric: 'm/s', us: 'ft/s' },
  },
  volume: {
    name: 'volume',
    units: [
      unit('L', ['litre', 'litres', 'liter', 'liters'], 1, 1),
      unit('gal', ['gallon', 'gallons', 'us gal'], LITRES_PER_GALLON, 2),
      unit('mL', ['millilitre', 'millilitres', 'milliliters'], 0.001, 0),
    ],
    shown: { metric: 'L', us: 'gal' },
  },
  angle: {
    name: 'angle',
    units: [unit('°', ['deg', 'degree', 'degrees'], 1, 1)],
    shown: { metric: '°', us: '°' },
  },
  time: {
    name: 'time',
    units: [
      unit('s', ['second', 'seconds', 'sec'], 1, 0),
      unit('min', ['minute', 'minutes'], 60, 1),
      unit('h', ['hour', 'hours'], 3600, 2),
    ],
    shown: { metric: 's', us: 's' },
  },
  days: {
    name: 'days',
    units: [unit('days', ['day', 'd'], 1, 1), unit('weeks', ['week'], 7, 1)],
    shown: { metric: 'days', us: 'days' },
  },
  area: {
    name: 'area',
    units: [
      unit('m²', ['m2', 'sqm', 'square metres'], 1, 3),
      unit('ft²', ['ft2', 'sqft', 'square feet'], 0.09290304, 2),
    ],
    shown: { metric: 'm²', us: 'ft²' },
  },
  rain: {
    name: 'rain',
    units: [unit('mm/h', ['mmh', 'mm per hour'], 1, 1), unit('in/h', ['inh', 'inches per hour'], 25.4, 2)],
    shown: { metric: 'mm/h', us: 'in/h' },
  },
  count: {
    name: 'number',
    units: [unit('×', ['pieces', 'times'], 1, 0)],
    shown: { metric: '×', us: '×' },
  },
  drops: {
    name: 'drops',
    units: [unit('/min', ['a minute', 'per minute'], 1, 0)],
    shown: { metric: '/min', us: '/min' },
  },
  temperature: {
    name: 'temperature',
    units: [unit('°C', ['c'], 1, 0), unit('°F', ['f'], 5 / 9, 0, -160 / 9)],
    shown: { metric: '°C', us: '°F' },
  },
  charge: {
    name: 'capacity',
    units: [unit('Ah', ['amp hours', 'amp-hours'], 1, 0)],
    shown: { metric: 'Ah', us: 'Ah' },
  },
} as const satisfies Record<string, Quantity>;

export type QuantityKey = keyof typeof quantities;

/** The quantity's unit in the given system. */
export function shownUnit(key: QuantityKey, system: UnitSystem): Unit {
  const quantity: Quantity = quantities[key];
  return quantity.units.find((candidate) => candidate.symbol === quantity.shown[system]) ?? firstUnit(quantity);
}

function firstUnit(quantity: Quantity): Unit {
  const [first] = quantity.units;
  if (!first) throw new Error(`The quantity ${quantity.name} has no units.`);
  return first;
}

/** Base-unit value → number in `unit`. */
export function toUnit(base: number, unitOf: Unit): number {
  return (base - (unitOf.offset ?? 0)) / unitOf.factor;
}

/** Number in `unit` → base-unit value. */
export function fromUnit(shown: number, unitOf: Unit): number {
  return shown * unitOf.factor + (unitOf.offset ?? 0);
}
