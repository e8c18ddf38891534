/** A unit that a meter or a watch shows, and how it becomes the test’s own. */
export interface MeterUnit {
  readonly key: string;
  /** The value in the test’s unit. @param litres of a known volume that was timed */
  readonly toOwn: (value: number, litres: number) => number;
}

const by = (key: string, factor: number): MeterUnit => ({ key, toOwn: (value) => value * factor });

const units: Readonly<Record<string, readonly MeterUnit[]>> = {
  V: [by('V', 1), by('mV', 0.001)],
  A: [by('A', 1), by('mA', 0.001)],
  Ω: [by('Ω', 1), by('mΩ', 0.001), by('kΩ', 1000)],
  s: [by('s', 1)],
  'L/h': [
    { key: 's', toOwn: (seconds, litres) => (litres * 3600) / seconds },
    by('L/h', 1),
    by('L/min', 60),
    by('gal/h', 3.785411784),
  ],
};

/** The units in which a test may be read; the first is taken unless another is chosen. */
export function meterUnits(unit: string): readonly MeterUnit[] {
  return units[unit] ?? [by(unit, 1)];
}

/** A figure as typed, with a comma or a point; null where it is none. */
export function typedFigure(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  if (!/^-?(\d+\.?\d*|\.\d+)$/.test(plain)) return null;
  return Number(plain);
}

/** Whether a meter’s display says that there is no way through. */
export const saysOpen = (text: string): boolean =>
  /^(ol|0l|o\.l|open|inf|∞|1\.?)$/i.test(text.trim()) && !/^1$/.test(text.trim());

/** A figure as a meter shows it. */
export function figure(value: number, unit: string): string {
  const digits =
    unit === 'V' ? 2 : unit === 'A' ? (Math.abs(value) < 0.1 ? 4 : 2) : unit === 'Ω' ? 2 : unit === 's' ? 1 : 0;
  return `${value.toFixed(digits)} ${unit}`;
}
