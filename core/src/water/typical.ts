import type { Circuit, CircuitWater, HoseSurvey, IngressSurvey, Pose, Pump, WellSurvey } from '../job';

const round = (metres: number, to = 0.01) => Math.round(metres / to) * to;
const tidy = (metres: number) => Number(round(metres).toFixed(2));

/** Where a hull's length is not known it is taken as this, m. */
const USUAL_LENGTH_M = 8;

/** A well such as a hull of this length mostly has; every figure is a guess and marked as one. */
export function typicalWell(id: string, hullLengthM = USUAL_LENGTH_M): WellSurvey {
  const small = hullLengthM <= 7;
  return {
    id,
    name: 'Bilge',
    aftM: -tidy(Math.min(1.2, 0.06 * hullLengthM)),
    foreM: tidy(Math.min(1.6, 0.09 * hullLengthM)),
    section: { kind: 'v', deadriseDeg: small ? 16 : 12, widthM: tidy(Math.min(1, 0.08 * hullLengthM)) },
    limits: [
      {
        id: 'floor',
        name: small ? 'Sole' : 'Floorboards',
        kind: 'floor',
        zM: tidy(Math.min(0.35, 0.03 * hullLengthM)),
      },
    ],
    guessed: true,
  };
}

/** Attitudes to look at first: a short hull trims and heels more than a long one. */
export function typicalPoses(hullLengthM = USUAL_LENGTH_M): Pose[] {
  const trimDeg = hullLengthM <= 7 ? -4 : hullLengthM <= 12 ? -2 : -1;
  const heelDeg = hullLengthM <= 7 ? 8 : 5;
  return [
    { id: 'at-rest', name: 'At rest', trimDeg: 0, heelDeg: 0, guessed: true },
    { id: 'under-way', name: 'Under way, bow up', trimDeg, heelDeg: 0, guessed: true },
    { id: 'heeled-port', name: 'Heeled to port', trimDeg: 0, heelDeg: -heelDeg, guessed: true },
    { id: 'heeled-starboard', name: 'Heeled to starboard', trimDeg: 0, heelDeg, guessed: true },
  ];
}

/** Water to reckon with: a night’s rain on what drains into the well, and a drip. */
export function typicalIngress(hullLengthM = USUAL_LENGTH_M): IngressSurvey[] {
  const openM2 = Math.round(0.9 * hullLengthM);
  return [
    { id: 'wet-night', name: 'A wet night', sources: [{ kind: 'rain', areaM2: openM2, rateMmPerH: 4 }], guessed: true },
    { id: 'drip', name: 'A steady drip', sources: [{ kind: 'drip', perMinute: 40 }], guessed: true },
  ];
}

/** Shares of the hull's length that a cable runs, one way: the battery stands near the panel, the pump far from it. */
const legShare = { sourceToPanel: 0.25, panelToBilge: 0.5, bilgeToNegative: 0.75 } as const;

/** Legs such as a hull of this length mostly has; the way back is as long as the ways out. */
export function typicalLegs(hullLengthM = USUAL_LENGTH_M): Circuit['legs'] {
  const leg = (key: keyof typeof legShare) => ({
    lengthM: Number((Math.round(legShare[key] * hullLengthM * 10) / 10).toFixed(1)),
    guessed: true,
  });
  return {
    sourceToPanel: leg('sourceToPanel'),
    panelToBilge: leg('panelToBilge'),
    bilgeToNegative: leg('bilgeToNegative'),
  };
}

/** Common bores, m, up to the open flow each serves, L/h. */
const boreByFlow: readonly (readonly [mostLPerH: number, boreM: number])[] = [
  [2500, 0.019],
  [4500, 0.025],
  [6500, 0.029],
  [9000, 0.038],
  [Infinity, 0.051],
];

/** A hose that rises from the pump, goes to the side and out above the waterline. */
export function typicalHose({ openFlowLPerH = 3000 }: Pump, hullLengthM = USUAL_LENGTH_M): HoseSurvey {
  const riseM = tidy(Math.min(1.6, 0.5 + 0.05 * hullLengthM));
  const acrossM = tidy(Math.min(2, 0.14 * hullLengthM));
  return {
    boreM: boreByFlow.find(([mostLPerH]) => openFlowLPerH <= mostLPerH)?.[1] ?? 0.025,
    route: [
      { alongM: 0, heightM: 0.05 },
      { alongM: tidy(riseM + 0.1), heightM: riseM },
      { alongM: tidy(riseM + 0.1 + acrossM), heightM: tidy(riseM - 0.05), yM: acrossM },
    ],
    bends90: 2,
    guessed: true,
  };
}

/** A circuit's pump and float in a well, beside each other, with a typical hose. */
export function typicalCircuitWater(wellId: string, pump: Pump | null, hullLengthM?: number): CircuitWater {
  return { wellId, ...(pump ? { hose: typicalHose(pump, hullLengthM) } : {}) };
}
