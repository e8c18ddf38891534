import { headLossM, type Hose, type Water } from './hose';
import type { PumpCurve } from './pumpCurve';

export interface PumpPoint {
  /** m³/s. */
  readonly flow: number;
  /** What the pump lifts and pushes against, m. */
  readonly headM: number;
}

/**
 * Where pump and hose agree: the pump's curve at its speed (flow with the speed,
 * head with its square) meets lift and friction. The curve falls and the hose's
 * head rises with flow, so there is one such flow; it is bracketed and closed in
 * on by false position with halved ends (Illinois).
 * @param speedRatio speed over label speed, 0 or more
 * @param liftM from the water's surface to the hose's highest point, m; below 0 the outlet pulls no more than it is open
 */
export function pumpPointAt(curve: PumpCurve, hose: Hose, speedRatio: number, liftM: number, water: Water): PumpPoint {
  const liftedM = Math.max(0, liftM);
  if (speedRatio <= 0 || speedRatio * speedRatio * curve.shutOffM <= liftedM) return { flow: 0, headM: liftedM };
  const excess = (flow: number) =>
    speedRatio * speedRatio * curve.headM(flow / speedRatio) - liftedM - headLossM(hose, flow, water);
  let [low, high] = [0, speedRatio * curve.openFlow];
  let [atLow, atHigh] = [excess(low), excess(high)];
  let flow = high;
  let kept = 0;
  let last = NaN;
  for (let step = 0; step < 100; step += 1) {
    flow = (low * atHigh - high * atLow) / (atHigh - atLow);
    const miss = excess(flow);
    if (Math.abs(miss) < 1e-12 || high - low < 1e-15 || Math.abs(flow - last) < 1e-15) break;
    last = flow;
    if (miss > 0) {
      [low, atLow] = [flow, miss];
      if (kept > 0) atHigh /= 2;
      kept = 1;
    } else {
      [high, atHigh] = [flow, miss];
      if (kept < 0) atLow /= 2;
      kept = -1;
    }
  }
  return { flow, headM: liftedM + headLossM(hose, flow, water) };
}
