import type { Build } from '../job';
import { buildRules, sealants, type Sealant } from '../reference';

/** What is wrong with a hole, or worth doing at it. */
export interface HoleWord {
  readonly refused: boolean;
  readonly message: string;
}

/** The hole for a skin fitting. */
export interface OutletHole {
  readonly threadM: number;
  /** From and to, m across. */
  readonly leastM: number;
  readonly mostM: number;
  /** As decided, else in the middle. */
  readonly holeM: number;
  readonly sealant: Sealant;
  readonly words: readonly HoleWord[];
}

const mm = (metres: number) => `${Number((metres * 1000).toFixed(2))}\u00a0mm`;
const SLACK = 1e-9;

/** The hole for the outlet's skin fitting; null while its thread was not measured. Source: our rule. */
export function outletHole(outlet: NonNullable<Build['outlet']>): OutletHole | null {
  const { threadM, flangeM, cored } = outlet;
  if (threadM === undefined || threadM <= 0) return null;
  const [leastM, mostM] = [threadM + buildRules.holeLeastM.value, threadM + buildRules.holeMostM.value];
  const holeM = outlet.holeM ?? (leastM + mostM) / 2;
  const sealant = outlet.sealant ?? 'polyurethane';
  const refused = (message: string): HoleWord => ({ refused: true, message });
  const note = (message: string): HoleWord => ({ refused: false, message });
  const words = [
    ...(holeM < leastM - SLACK
      ? [
          refused(
            `A hole of ${mm(holeM)} is too small for a thread of ${mm(threadM)}: drill ${mm(leastM)} to ${mm(mostM)}.`,
          ),
        ]
      : []),
    ...(holeM > mostM + SLACK
      ? [
          refused(
            `A hole of ${mm(holeM)} is too large for a thread of ${mm(threadM)}: at most ${mm(mostM)}, or it sits off centre.`,
          ),
        ]
      : []),
    ...flangeWords(flangeM, holeM).map(refused),
    ...(sealants[sealant].belowWater
      ? []
      : [
          refused(
            `${sealants[sealant].name} is not for a fitting that may lie under water: take polyurethane or polysulphide.`,
          ),
        ]),
    ...(cored
      ? [
          note(
            'Cored hull: ream the core back round the hole, fill it with epoxy, and drill again when that has cured.',
          ),
        ]
      : []),
  ];
  return { threadM, leastM, mostM, holeM, sealant, words };
}

function flangeWords(flangeM: number | undefined, holeM: number): string[] {
  if (flangeM === undefined) return [];
  const rim = (flangeM - holeM) / 2;
  const least = buildRules.flangeM.value;
  if (rim >= least - SLACK) return [];
  return rim <= 0
    ? [`A flange of ${mm(flangeM)} does not cover a hole of ${mm(holeM)}.`]
    : [`A flange of ${mm(flangeM)} leaves ${mm(rim)} of hull under it all round: at least ${mm(least)}.`];
}

/** The hole for the panel. */
export interface PanelCutOut {
  readonly widthM: number;
  readonly heightM: number;
  readonly cornerM: number;
  readonly words: readonly HoleWord[];
}

/** The hole for the panel; null while it was not measured. Source: our rule. */
export function panelCutOut(cutOut: NonNullable<Build['cutOut']>): PanelCutOut | null {
  const { widthM, heightM, cornerM = 0.003, depthM, roomM, edgeM } = cutOut;
  if (!widthM || !heightM) return null;
  const words: HoleWord[] = [
    ...(edgeM !== undefined && edgeM < buildRules.panelEdgeM.value - SLACK
      ? [
          {
            refused: true,
            message: `${mm(edgeM)} to the edge is too little: at least ${mm(buildRules.panelEdgeM.value)}, or it splits.`,
          },
        ]
      : []),
    ...(depthM !== undefined && roomM !== undefined && depthM > roomM + SLACK
      ? [{ refused: true, message: `It is ${mm(depthM)} deep with its terminals and there is ${mm(roomM)} behind.` }]
      : []),
    ...(cornerM * 2 > Math.min(widthM, heightM)
      ? [{ refused: true, message: 'Corners of this radius are larger than the hole.' }]
      : []),
    {
      refused: false,
      message: 'Look behind first: cables, hoses, frames. Drill the corners, then saw from one to the next.',
    },
  ];
  return { widthM, heightM, cornerM, words };
}
