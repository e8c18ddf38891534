import type { OurRule } from './ourRules';

/** Figures of our own for building: each a default that can be changed for a circuit, with why it is what it is. */
export const buildRules = {
  routeFactor: {
    value: 1.05,
    unit: '× the route',
    name: 'Cable follows the route with',
    reason: 'It lies round frames and over clips; a tape goes straight.',
  },
  panelEndM: {
    value: 0.3,
    unit: 'm',
    name: 'Slack at the panel',
    reason: 'The panel comes forward far enough to be worked on from the front.',
  },
  benchM: {
    value: 0.45,
    unit: 'm',
    name: 'Slack at the bilge, at least',
    reason: 'Pump and float must lift out to a bench or the deck to be worked on.',
  },
  dripLoopM: {
    value: 0.1,
    unit: 'm',
    name: 'Drip loop',
    reason: 'Water that runs along the cable drops off before the joint.',
  },
  jointM: { value: 0.05, unit: 'm', name: 'For each joint', reason: 'What stripping and twisting take.' },
  remakeM: {
    value: 0.1,
    unit: 'm',
    name: 'For one remake of each joint in the bilge',
    reason: 'A joint that corroded is cut off and made again without a new cable.',
  },
  cutStepM: { value: 0.1, unit: 'm', name: 'Cut lengths are rounded up to', reason: 'A tape on a wet deck.' },
  orderShare: {
    value: 0.1,
    unit: 'of the sum',
    name: 'Ordered beyond the sum',
    reason: 'One wrong cut in ten is not a second order.',
  },
  shortestOffcutM: {
    value: 1.5,
    unit: 'm',
    name: 'A rest is of use from',
    reason: 'Shorter than this it makes no leg of any boat.',
  },
  spareBends: {
    value: 2,
    unit: 'bends',
    name: 'A spare core is proposed beyond',
    reason: 'A pull round three bends is not made twice gladly.',
  },
  typicalLeadAreaMm2: {
    value: 1.309,
    unit: 'mm²',
    name: 'Leads of a pump or float that nobody measured',
    reason: '16 AWG, as most come; read it off the lead.',
  },
  sleeveLengthM: {
    value: 0.07,
    unit: 'm',
    name: 'Adhesive sleeve for each joint',
    reason: 'The barrel and 20 mm of sound insulation at each end.',
  },
  sleeveFactor: {
    value: 1.8,
    unit: '× what goes in',
    name: 'A sleeve before shrinking measures at least',
    reason: 'It slides on over the made joint, and three-to-one sleeve still closes on the cable.',
  },
  tugShare: {
    value: 0.5,
    unit: 'of the pull test',
    name: 'A joint in place is tugged with',
    reason: 'The full pull goes to a sample made of scrap; a joint in place is not strained to its limit.',
  },
  sparesShare: {
    value: 0.2,
    unit: 'of the barrels',
    name: 'Barrels beyond those needed',
    reason: 'A crimp that failed its tug is cut off; at least two of each go along.',
  },
  sparesLeast: {
    value: 2,
    unit: 'of each',
    name: 'Spare barrels and fuses at least',
    reason: 'Shops are shut on Sundays.',
  },
  hoseShare: { value: 0.05, unit: 'of the hose', name: 'Hose beyond its length', reason: 'Ends are trimmed square.' },
  clipShare: { value: 0.1, unit: 'of the clips', name: 'Clips beyond those needed', reason: 'Some break.' },
  holeLeastM: {
    value: 0.001,
    unit: 'm',
    name: 'Hole of a skin fitting over its thread, at least',
    reason: 'The thread must pass with sealant round it.',
  },
  holeMostM: {
    value: 0.0015,
    unit: 'm',
    name: 'Hole of a skin fitting over its thread, at most',
    reason: 'More lets it sit off centre.',
  },
  flangeM: {
    value: 0.006,
    unit: 'm',
    name: 'Hull under the flange all round, at least',
    reason: 'Sealant needs a face to seal on.',
  },
  panelEdgeM: {
    value: 0.025,
    unit: 'm',
    name: 'Cut-out from an edge, at least',
    reason: 'Less splits, and screws find no hold.',
  },
  stepDownWithinM: {
    value: 0.178,
    unit: 'm',
    name: 'A step-down within',
    reason: 'Seven inches of the thin lead: what a lead under the least size may be long.',
  },
} as const satisfies Record<string, OurRule>;

export type BuildRuleKey = keyof typeof buildRules;

/** Ways of joining conductors in a bilge. */
export const jointSchools = {
  crimp: {
    name: 'Adhesive-lined crimp',
    ohm: 0.001,
    minutes: 12,
    reason: 'Flexes and survives damp; the common rules accept no solder as the only hold.',
  },
  'crimp-solder': {
    name: 'Crimp, then solder, then sleeve',
    ohm: 0.0007,
    minutes: 15,
    reason: 'The crimp holds, the solder keeps its resistance for years.',
  },
  solder: {
    name: 'Solder with adhesive sleeve',
    ohm: 0.0005,
    minutes: 15,
    reason: 'The lowest resistance; the wire breaks where the solder ends unless it is held there.',
  },
  block: {
    name: 'Terminal block or stud',
    ohm: 0.0015,
    minutes: 5,
    reason: 'Undone with a screwdriver, where there is a dry place for it.',
  },
} as const satisfies Record<string, { name: string; ohm: number; minutes: number; reason: string }>;

export type JointSchool = keyof typeof jointSchools;

/** A waterproof disconnect near the pump or the float. */
export const disconnect = { ohm: 0.005, minutes: 1 } as const;

/** Stripped for a barrel, m; by its colour. Our rule: half a barrel and a hair. */
export const stripM: Readonly<Record<string, number>> = { red: 0.008, blue: 0.008, yellow: 0.01, 'red (large)': 0.012 };

/** Force of a pull test for one minute, N, by size. Source: as commonly published for small craft (ABYC E-11, table of tensile tests). */
export const pullN: Readonly<Record<string, number>> = {
  '18 AWG': 44,
  '16 AWG': 67,
  '14 AWG': 133,
  '12 AWG': 156,
  '10 AWG': 178,
  '8 AWG': 200,
  '6 AWG': 222,
  '4 AWG': 311,
  '2 AWG': 400,
  '1 AWG': 445,
  '1/0 AWG': 556,
  '2/0 AWG': 667,
  '0.75 mm²': 40,
  '1 mm²': 60,
  '1.5 mm²': 130,
  '2.5 mm²': 150,
  '4 mm²': 170,
  '6 mm²': 200,
  '10 mm²': 220,
};

/** Cable and hose are held at least every so many metres. Source: ABYC E-11 (18 in). */
export const supportEveryM = 0.457;

/** The most terminals on one stud. Source: ABYC E-11. */
export const terminalsPerStud = 4;

/** How long sealants take, hours at 20 °C; twice as long at 10 °C. Our rule: read the tube. */
export const sealants = {
  polyurethane: { name: 'Polyurethane', skinH: 24, fullH: 168, belowWater: true },
  polysulphide: { name: 'Polysulphide', skinH: 72, fullH: 240, belowWater: true },
  hybrid: { name: 'Hybrid polymer', skinH: 24, fullH: 48, belowWater: true },
  silicone: { name: 'Silicone', skinH: 24, fullH: 24, belowWater: false },
} as const satisfies Record<string, { name: string; skinH: number; fullH: number; belowWater: boolean }>;

export type Sealant = keyof typeof sealants;

/** An epoxy plug cures so long at 20 °C, hours. */
export const EPOXY_H = 24;
