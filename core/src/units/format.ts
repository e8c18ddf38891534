import { shownUnit, toUnit, type QuantityKey, type UnitSystem } from './quantity';

/** A number with at most `digits` decimals and no trailing zeros: 3.60 → "3.6". */
export function plainNumber(value: number, digits: number): string {
  return String(Number(value.toFixed(digits)) + 0);
}

/** So many decimals, and never a minus before nothing but zeros. */
function fixed(value: number, digits: number): string {
  const text = value.toFixed(digits);
  return Number(text) === 0 ? text.replace('-', '') : text;
}

/** A base-unit value as text in the system's unit: "3.5 m", "11.5 ft". A no-break space joins number and unit. */
export function formatQuantity(base: number, key: QuantityKey, system: UnitSystem, digits?: number): string {
  const unit = shownUnit(key, system);
  return `${plainNumber(toUnit(base, unit), digits ?? unit.digits)}\u00a0${unit.symbol}`;
}

/** A volume by its size, L or US gal: 0.84 L, 12.3 L, 142 L; 0.22 gal. */
export function formatVolume(litres: number, system: UnitSystem): string {
  const size = Math.abs(toUnit(litres, shownUnit('volume', system)));
  return formatQuantity(litres, 'volume', system, size >= 99.95 ? 0 : size >= 9.995 ? 1 : 2);
}

/** Amperes to three significant figures at most, in mA below a tenth: 4.6 A, 0.84 A, 142 A, 15.7 mA. @param more figures beyond those */
export function formatAmps(amps: number, more = 0): string {
  if (amps !== 0 && Math.abs(amps) < 0.1) return `${threeFigures(amps * 1000, more)}\u00a0mA`;
  return `${threeFigures(amps, more)}\u00a0A`;
}

/** Two figures, in as many digits as it takes to tell one from the other: 15 A and 15.01 A, not 15 A twice. @param text writes a figure with so many digits more than usual */
export function toldApart(
  one: number,
  other: number,
  text: (value: number, more: number) => string,
): readonly [one: string, other: string] {
  const more = [0, 1, 2].find((digits) => text(one, digits) !== text(other, digits)) ?? 0;
  return [text(one, more), text(other, more)];
}

/** A rating with its article: "a 7.5 A", "an 8 A". */
export function aRating(amps: number): string {
  const text = plainNumber(amps, 1);
  return `${/^(8|1[18](\.|$))/.test(text) ? 'an' : 'a'} ${text} A`;
}

/** Volts with two decimals: 11.72 V. */
export function formatVolts(volts: number): string {
  return `${fixed(volts, 2)}\u00a0V`;
}

/** Percent with one decimal: 2.4 %. */
export function formatPercent(percent: number): string {
  return `${fixed(percent, 1)}\u00a0%`;
}

/** Ohms, in mΩ below one ohm: 13.4 mΩ, 1.25 Ω. */
export function formatOhms(ohms: number): string {
  return Math.abs(ohms) < 1 ? `${threeFigures(ohms * 1000)}\u00a0mΩ` : `${threeFigures(ohms)}\u00a0Ω`;
}

/** Seconds in words a person reads: "0.12 s", "8 s", "4 min", "never opens". */
export function formatOpening(seconds: number | null): string {
  if (seconds === null) return 'never opens';
  if (seconds < 120) return `${threeFigures(seconds)}\u00a0s`;
  return seconds < 7200 ? `${Math.round(seconds / 60)}\u00a0min` : `${threeFigures(seconds / 3600)}\u00a0h`;
}

function threeFigures(value: number, more = 0): string {
  return value === 0 ? '0' : String(Number(value.toPrecision(3 + more)));
}
