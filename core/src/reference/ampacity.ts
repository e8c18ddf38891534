/**
 * Continuous amperes of one conductor in free air, circuits under 50 V.
 * Source: AWG 33 CFR 183.425 table 5 and the like table of ABYC E-11; metric
 * ISO 13297; both as commonly published. Check the edition in force.
 */
export interface AmpacityTable {
  /** Insulation temperature ratings, °C, one a column. */
  readonly insulationC: readonly number[];
  /** Factor inside an engine space, one a column; null = not allowed there. */
  readonly engineSpaceFactor: readonly (number | null)[];
  /** Amperes by size, one a column. */
  readonly amps: Readonly<Record<string, readonly number[]>>;
  readonly source: string;
}

export const awgAmpacity: AmpacityTable = {
  insulationC: [60, 75, 80, 90, 105, 125, 200],
  engineSpaceFactor: [0.58, 0.75, 0.78, 0.82, 0.85, 0.89, 1.0],
  amps: {
    '18 AWG': [10, 10, 15, 20, 20, 25, 25],
    '16 AWG': [15, 15, 20, 25, 25, 30, 35],
    '14 AWG': [20, 20, 25, 30, 35, 40, 45],
    '12 AWG': [25, 25, 35, 40, 45, 50, 55],
    '10 AWG': [40, 40, 50, 55, 60, 70, 70],
    '8 AWG': [55, 65, 70, 70, 80, 90, 100],
    '6 AWG': [80, 95, 100, 100, 120, 125, 135],
    '4 AWG': [105, 125, 130, 135, 160, 170, 180],
    '2 AWG': [140, 170, 175, 180, 210, 225, 240],
    '1 AWG': [165, 195, 210, 210, 245, 265, 280],
    '1/0 AWG': [195, 230, 245, 245, 285, 305, 325],
    '2/0 AWG': [225, 265, 285, 285, 330, 355, 370],
  },
  source: '33 CFR 183.425 table 5; ABYC E-11 alike',
};

export const metricAmpacity: AmpacityTable = {
  insulationC: [60, 70, 90, 105, 125, 200],
  engineSpaceFactor: [null, 0.75, 0.82, 0.86, 0.89, 1.0],
  amps: {
    '0.75 mm²': [6, 10, 12, 16, 20, 25],
    '1 mm²': [8, 14, 18, 20, 25, 35],
    '1.5 mm²': [12, 18, 21, 25, 30, 40],
    '2.5 mm²': [17, 25, 30, 35, 40, 45],
    '4 mm²': [22, 35, 40, 45, 50, 55],
    '6 mm²': [29, 45, 50, 60, 70, 75],
    '10 mm²': [40, 65, 70, 90, 100, 120],
    '16 mm²': [54, 90, 100, 130, 150, 170],
    '25 mm²': [71, 120, 140, 170, 185, 200],
    '35 mm²': [87, 160, 185, 210, 225, 240],
    '50 mm²': [105, 210, 230, 270, 300, 325],
    '70 mm²': [135, 265, 285, 330, 360, 375],
  },
  source: 'ISO 13297',
};

/**
 * Bundling factors by number of current-carrying conductors. The rule behind
 * them addresses circuits of 50 V and more; many apply it to tight 12 V bundles
 * as good practice, so it is off unless chosen.
 */
export const bundlingFactors = [
  { upTo: 2, factor: 1 },
  { upTo: 3, factor: 0.7 },
  { upTo: 6, factor: 0.6 },
  { upTo: 24, factor: 0.5 },
  { upTo: Infinity, factor: 0.4 },
] as const;
