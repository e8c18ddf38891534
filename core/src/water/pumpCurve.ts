import { rootOf } from './root';

/** Head at flow of a pump at its label speed, both falling: H(0) is the shut-off head, H(openFlow) is 0. Read by `headAt`. */
export interface PumpCurve {
  readonly shutOffM: number;
  /** Flow at no head, m³/s. */
  readonly openFlow: number;
  /** Where it is a maker's curve: its points, falling, and the slope at each, m per m³/s; null for a parabola. */
  readonly through: Cubics | null;
}

/** Monotone cubics through points. */
export interface Cubics {
  /** m³/s, rising. */
  readonly flows: readonly number[];
  readonly headsM: readonly number[];
  readonly slopes: readonly number[];
}

/** Head at a flow, m: below 0 beyond the open flow. @param flow m³/s of 0 or more */
export function headAt({ shutOffM, openFlow, through }: PumpCurve, flow: number): number {
  return through === null ? shutOffM * (1 - (flow / openFlow) ** 2) : onCubics(through, flow);
}

/** H = H0·(1 − (Q/Q0)²). */
export function parabola(shutOffM: number, openFlow: number): PumpCurve {
  return { shutOffM, openFlow, through: null };
}

/** Share of flow and head that a centrifugal pump keeps when it turns the wrong way. */
export const REVERSED_SHARE = 0.4;

/** A pump's curve when it turns the wrong way: Q and H × 0.4. */
export function reversedCurve({ shutOffM, openFlow, through }: PumpCurve): PumpCurve {
  const less = (figures: readonly number[]) => figures.map((figure) => REVERSED_SHARE * figure);
  return {
    shutOffM: REVERSED_SHARE * shutOffM,
    openFlow: REVERSED_SHARE * openFlow,
    // Heads and flows shrink alike, so that the slopes stay.
    through: through && { flows: less(through.flows), headsM: less(through.headsM), slopes: through.slopes },
  };
}

/** A point of a maker's curve, already at label speed. */
export interface CurvePoint {
  readonly flow: number;
  readonly headM: number;
}

/**
 * A curve through points: monotone cubics between them, straight lines beyond.
 * Points that would make the head rise with the flow are left out.
 * @param points at least two, at different flows
 * @throws RangeError for fewer
 * @see F. N. Fritsch, R. E. Carlson, SIAM J. Numer. Anal. 17 (1980)
 */
export function throughPoints(points: readonly CurvePoint[]): PumpCurve {
  const sorted = [...points].sort((one, other) => one.flow - other.flow);
  const falling = sorted.filter(
    ({ flow, headM }, at) =>
      at === 0 || (flow > (sorted[at - 1]?.flow ?? 0) && headM < Math.min(...sorted.slice(0, at).map((p) => p.headM))),
  );
  const flows = falling.map(({ flow }) => flow);
  const heads = falling.map(({ headM }) => headM);
  if (flows.length < 2) throw new RangeError('A curve takes at least two points, the head falling as the flow grows.');
  const through: Cubics = { flows, headsM: heads, slopes: monotoneSlopes(flows, heads) };
  const shutOffM = onCubics(through, 0);
  return { shutOffM, openFlow: openFlowOf((flow) => onCubics(through, flow), flows), through };
}

const at = (list: readonly number[], index: number) => list[index] ?? 0;

/** Head at a flow on cubics through points, with straight lines beyond them, m. */
function onCubics({ flows, headsM, slopes }: Cubics, flow: number): number {
  const last = flows.length - 1;
  if (flow <= at(flows, 0)) return at(headsM, 0) + at(slopes, 0) * (flow - at(flows, 0));
  if (flow >= at(flows, last)) return at(headsM, last) + at(slopes, last) * (flow - at(flows, last));
  let piece = 0;
  while (flow > at(flows, piece + 1)) piece += 1;
  const width = at(flows, piece + 1) - at(flows, piece);
  const u = (flow - at(flows, piece)) / width;
  return (
    at(headsM, piece) * (1 + 2 * u) * (1 - u) ** 2 +
    at(slopes, piece) * width * u * (1 - u) ** 2 +
    at(headsM, piece + 1) * u * u * (3 - 2 * u) +
    at(slopes, piece + 1) * width * u * u * (u - 1)
  );
}

/** Where the head is 0: on the last line, or between the points. */
function openFlowOf(headM: (flow: number) => number, flows: readonly number[]): number {
  const low = flows[0] ?? 0;
  let high = flows[flows.length - 1] ?? 0;
  const width = high - low;
  while (headM(high) > 0) high += width;
  return rootOf((flow) => -headM(flow), low, high);
}

/** Slopes at points that fall throughout, held where a piece would rise between them. */
function monotoneSlopes(x: readonly number[], y: readonly number[]): number[] {
  const count = x.length;
  const chord = Array.from(
    { length: count - 1 },
    (_, k) => ((y[k + 1] ?? 0) - (y[k] ?? 0)) / ((x[k + 1] ?? 0) - (x[k] ?? 0)),
  );
  const slopes = Array.from({ length: count }, (_, k) => {
    if (k === 0) return chord[0] ?? 0;
    if (k === count - 1) return chord[count - 2] ?? 0;
    const [before, after] = [chord[k - 1] ?? 0, chord[k] ?? 0];
    return (before + after) / 2;
  });
  chord.forEach((secant, k) => {
    const [a, b] = [(slopes[k] ?? 0) / secant, (slopes[k + 1] ?? 0) / secant];
    const size = Math.hypot(a, b);
    if (size <= 3) return;
    slopes[k] = (3 * a * secant) / size;
    slopes[k + 1] = (3 * b * secant) / size;
  });
  return slopes;
}
