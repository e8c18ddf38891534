import { headLossM, type Hose, type Water } from './hose';
import { headAt, type PumpCurve } from './pumpCurve';
import { rootOf } from './root';

export interface PumpPoint {
  /** m³/s. */
  readonly flow: number;
  /** What the pump lifts and pushes against, m. */
  readonly headM: number;
}

/**
 * Where pump and hose agree: the pump's curve at its speed (flow with the speed,
 * head with its square) meets lift and friction. The curve falls and the hose's
 * head rises with flow, so there is one such flow.
 * @param speedRatio speed over label speed, 0 or more
 * @param liftM from the water's surface to the hose's highest point, m; below 0 the outlet pulls no more than it is open
 */
export function pumpPointAt(curve: PumpCurve, hose: Hose, speedRatio: number, liftM: number, water: Water): PumpPoint {
  const liftedM = Math.max(0, liftM);
  if (speedRatio <= 0 || speedRatio * speedRatio * curve.shutOffM <= liftedM) return { flow: 0, headM: liftedM };
  const missing = (flow: number) =>
    liftedM + headLossM(hose, flow, water) - speedRatio * speedRatio * headAt(curve, flow / speedRatio);
  const flow = rootOf(missing, 0, speedRatio * curve.openFlow);
  return { flow, headM: liftedM + headLossM(hose, flow, water) };
}
