import { resistivityOhmM20C } from './copper';

export type CableFamily = 'awg' | 'metric';

/** A conductor size: its name, nominal area and resistance. */
export interface ConductorSize {
  readonly size: string;
  readonly areaMm2: number;
  /** Ω/km at 20 °C. */
  readonly ohmPerKm20C: number;
}

const awg = (size: string, areaMm2: number): ConductorSize => ({
  size,
  areaMm2,
  ohmPerKm20C: (resistivityOhmM20C / (areaMm2 * 1e-6)) * 1000,
});

const metric = (areaMm2: number, ohmPerKm20C: number): ConductorSize => ({
  size: `${areaMm2} mm²`,
  areaMm2,
  ohmPerKm20C,
});

/**
 * Stranded tinned copper. AWG area from d = 0.127 mm × 92^((36−n)/39), resistance
 * from the area; a metric nominal area is a resistance class (IEC 60228 class 5,
 * tinned), so its resistance is the table's.
 */
export const conductorSizes: Readonly<Record<CableFamily, readonly ConductorSize[]>> = {
  awg: [
    awg('18 AWG', 0.823),
    awg('16 AWG', 1.309),
    awg('14 AWG', 2.081),
    awg('12 AWG', 3.309),
    awg('10 AWG', 5.261),
    awg('8 AWG', 8.366),
    awg('6 AWG', 13.3),
    awg('4 AWG', 21.15),
    awg('2 AWG', 33.63),
    awg('1 AWG', 42.41),
    awg('1/0 AWG', 53.48),
    awg('2/0 AWG', 67.43),
  ],
  metric: [
    metric(0.75, 26.7),
    metric(1, 20.0),
    metric(1.5, 13.7),
    metric(2.5, 8.21),
    metric(4, 5.09),
    metric(6, 3.39),
    metric(10, 1.95),
    metric(16, 1.24),
    metric(25, 0.795),
    metric(35, 0.565),
    metric(50, 0.393),
    metric(70, 0.277),
  ],
};

/** Smallest conductor outside a sheath or enclosure. Source: ABYC E-11; ISO 13297. */
export const minimumSize: Readonly<Record<CableFamily, string>> = { awg: '16 AWG', metric: '1 mm²' };

type NamedSize = ConductorSize & { readonly family: CableFamily };

const sizesByName = new Map<string, NamedSize>(
  (['awg', 'metric'] as const).flatMap((family) =>
    conductorSizes[family].map((row) => [row.size, { ...row, family }] as const),
  ),
);

/** Looks a size up by name in either family. */
export function findSize(name: string): NamedSize | undefined {
  return sizesByName.get(name);
}
