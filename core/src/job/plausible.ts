import { formatQuantity, LITRES_PER_GALLON, METRES_PER_FOOT, plainNumber, type UnitSystem } from '../units';
import { legKeys, legOf } from './legs';
import type { Circuit } from './schema';

/** A figure that is possible but looks mistaken for another unit or place. */
export interface Doubt {
  /** Path inside the circuit. */
  readonly path: readonly string[];
  readonly message: string;
}

/** Open flow for each ampere that bilge pumps give, L/h: small ones least, large ones most. */
const FLOW_PER_AMP = { least: 300, most: 1500 };
/** A leg longer than this many hulls is rare. */
const HULLS = 2.5;

/** Words on figures that look like gallons for litres, feet for metres, or amperes off by ten. */
export function doubtsOf(circuit: Circuit, hullLengthM: number | undefined, units: UnitSystem = 'metric'): Doubt[] {
  return [...pumpDoubts(circuit, units), ...legDoubts(circuit, hullLengthM, units)];
}

function pumpDoubts({ pump }: Circuit, units: UnitSystem): Doubt[] {
  const flow = (lPerH: number) => formatQuantity(lPerH, 'flow', units);
  const head = (metres: number) => formatQuantity(metres, 'head', units, 1);
  const { currentA, openFlowLPerH, shutOffHeadM } = pump;
  const doubts: Doubt[] = [];
  if (currentA !== undefined && openFlowLPerH !== undefined) {
    const perAmp = openFlowLPerH / currentA;
    const fits = (ratio: number) => ratio >= FLOW_PER_AMP.least && ratio <= FLOW_PER_AMP.most;
    if (perAmp < FLOW_PER_AMP.least && fits(perAmp * LITRES_PER_GALLON)) {
      doubts.push({
        path: ['pump', 'openFlowLPerH'],
        message: `${flow(openFlowLPerH)} is little for ${plainNumber(currentA, 1)} A. Does the label say gallons? Then it is ${flow(openFlowLPerH * LITRES_PER_GALLON)}.`,
      });
    } else if (fits(perAmp / 10) && perAmp > FLOW_PER_AMP.most) {
      doubts.push({
        path: ['pump', 'currentA'],
        message: `${plainNumber(currentA, 2)} A is little for ${flow(openFlowLPerH)}. Is it ${plainNumber(currentA * 10, 1)} A?`,
      });
    } else if (fits(perAmp * 10) && perAmp < FLOW_PER_AMP.least) {
      doubts.push({
        path: ['pump', 'currentA'],
        message: `${plainNumber(currentA, 1)} A is much for ${flow(openFlowLPerH)}. Is it ${plainNumber(currentA / 10, 2)} A?`,
      });
    }
  } else if (currentA !== undefined && (currentA < 0.8 || currentA > 30)) {
    const likely = currentA < 0.8 ? currentA * 10 : currentA / 10;
    doubts.push({
      path: ['pump', 'currentA'],
      message: `Most bilge pumps draw 2 to 16 A. Is it ${plainNumber(likely, 2)} A?`,
    });
  }
  if (shutOffHeadM !== undefined && shutOffHeadM > 9) {
    doubts.push({
      path: ['pump', 'shutOffHeadM'],
      message: `Few bilge pumps lift ${head(shutOffHeadM)}. Does the label say feet? Then it is ${head(shutOffHeadM * METRES_PER_FOOT)}.`,
    });
  }
  return doubts;
}

function legDoubts(circuit: Circuit, hullLengthM: number | undefined, units: UnitSystem): Doubt[] {
  const length = (metres: number, digits: number) => formatQuantity(metres, 'length', units, digits);
  const mostM = hullLengthM === undefined ? 30 : hullLengthM * HULLS;
  return legKeys.flatMap((leg): Doubt[] => {
    const { lengthM } = legOf(circuit, leg);
    return lengthM === undefined || lengthM <= mostM
      ? []
      : [
          {
            path: ['legs', leg, 'lengthM'],
            message: `${length(lengthM, 1)} is long for ${hullLengthM === undefined ? 'a leg' : `a hull of ${length(hullLengthM, 1)}`}. Was it measured in feet? Then it is ${length(lengthM * METRES_PER_FOOT, 2)}.`,
          },
        ];
  });
}
