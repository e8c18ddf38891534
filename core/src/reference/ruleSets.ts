/** Bodies of rules a circuit can be judged by; they agree but for the figures here. */
export const ruleSets = {
  us: {
    name: 'US: 33 CFR, ABYC',
    reason: 'The federal rules for petrol boats built for sale, and the voluntary standard most yards there follow.',
    /** Stub before the fuse, m. */
    placeM: 0.178,
    placeSource: '33 CFR 183.455 (7 in, 40 in when sheathed), 183.460 (72 in from the battery); ABYC E-11 alike',
  },
  iso: {
    name: 'ISO 13297',
    reason: 'The standard behind the European rules for small craft.',
    placeM: 0.2,
    placeSource: 'ISO 13297 (about 200 mm); longer runs as in 33 CFR 183.455 and 183.460',
  },
} as const;

export type RuleSet = keyof typeof ruleSets;
