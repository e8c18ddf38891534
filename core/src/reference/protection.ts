export type ProtectionKind = 'blade' | 'thermalBreaker' | 'cubeAtBattery' | 'classT';

/** One point of an opening window: at `multiple` × rating, between fastest and slowest seconds; null = no limit. */
export type OpeningPoint = readonly [multiple: number, fastestS: number, slowestS: number | null];

/** A family of fuses or breakers of like behaviour. */
export interface ProtectionFamily {
  readonly name: string;
  readonly ratingsA: readonly number[];
  /** Absent where no opening curve is published with the family: then it is "not shown", never "good". */
  readonly opening?: readonly OpeningPoint[];
  readonly interruptA: number;
  /** The family to turn to beyond the largest rating. */
  readonly next?: ProtectionKind;
  readonly source: string;
}

/** Generic families; replace by the maker's curve where known. */
export const protectionFamilies: Readonly<Record<ProtectionKind, ProtectionFamily>> = {
  blade: {
    name: 'blade fuse',
    ratingsA: [1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30, 35, 40],
    opening: [
      [1.1, 360000, null],
      [1.35, 0.75, 600],
      [1.6, 0.25, 50],
      [2.0, 0.15, 5],
      [3.5, 0.04, 0.5],
      [6.0, 0.02, 0.1],
    ],
    interruptA: 1000,
    next: 'cubeAtBattery',
    source: 'SAE J1284 / ISO 8820-3 style',
  },
  thermalBreaker: {
    name: 'thermal breaker',
    ratingsA: [3, 5, 8, 10, 15, 20, 25, 30, 40, 50],
    opening: [
      [1.0, 3600, null],
      [1.35, 60, 3600],
      [2.0, 8, 60],
      [3.0, 2.5, 20],
      [4.0, 1.3, 10],
      [6.0, 0.5, 4.5],
      [10.0, 0.15, 1.6],
    ],
    interruptA: 2500,
    next: 'cubeAtBattery',
    source: 'typical marine panel breaker',
  },
  cubeAtBattery: {
    name: 'battery-post cube fuse',
    ratingsA: [30, 40, 50, 60, 75, 80, 90, 100],
    interruptA: 10000,
    next: 'classT',
    source: 'typical of the family',
  },
  classT: {
    name: 'class T fuse',
    ratingsA: [110, 125, 150, 175, 200],
    interruptA: 20000,
    source: 'typical of the family',
  },
};

/** Where the device may sit, as length of conductor from the source of power. */
export const protectionPlace = {
  maxLengthM: 0.178,
  sheathedM: 1.016,
  fromBatteryM: 1.829,
  source:
    '33 CFR 183.455 (7 in, 40 in when sheathed), 183.460 (72 in from the battery); ABYC E-11 alike; ISO 13297 about 200 mm',
} as const;

/** A device may be rated at most this multiple of the corrected ampacity. Source: 33 CFR 183.455; ABYC E-11. */
export const maxMultipleOfAmpacity = 1.5;

/** The smallest standard rating at or above this multiple of the running current is chosen. */
export const ratingOverRunning = 1.25;
