import { headLossM, type Hose, type Water } from './hose';
import type { PumpCurve } from './pumpCurve';
import { pumpPointAt } from './pumpPoint';
import { RootGrid } from './rootGrid';

/** A pump, its hose, and the height of the hose's highest point over the well's zero, m. */
export interface PumpAndHose {
  readonly curve: PumpCurve;
  readonly hose: Hose;
  readonly topM: number;
  readonly water: Water;
}

/**
 * With less head to spare than this nothing is looked up, m: there flow goes as a
 * square root, and one that is marginal decides whether a boat is emptied.
 */
const NEAR_SHUT_OFF_M = 0.02;
/** Points over the head to spare and over the flow, at the usual fineness. */
const POINTS = 192;
/** Losses are kept up to what passes with no lift at this speed; no battery turns a pump faster. */
const MOST_SPEED = 1.6;
const MOST_STEPS = 60;
/** How near a flow is found, as a share of the open flow. */
const CLOSE_SHARE = 1e-10;

/**
 * What a pump moves up its hose, for runs that ask it very often. What the hose loses
 * is kept by flow, and for each speed the flow by the root of the head to spare, along
 * which it is nearly straight; near shut-off it is the exact root instead, and exactly
 * 0 where the pump does not reach the lift.
 */
export class HoseFlow {
  private readonly loss: RootGrid;
  /** Head lost over the square of the flow, at the open flow, s²/m⁵. */
  private readonly squareLoss: number;

  /** @param fineness how many times finer than usual everything is kept */
  constructor(
    private readonly system: PumpAndHose,
    private readonly fineness: number,
  ) {
    const { curve, hose, water } = system;
    const most = pumpPointAt(curve, hose, MOST_SPEED, 0, water).flow;
    this.loss = new RootGrid(most, Math.ceil(POINTS * fineness), (flow) => headLossM(hose, flow, water));
    this.squareLoss = headLossM(hose, most, water) / (most * most);
  }

  /**
   * The flow at one speed as a function of the level over the well's zero, m³/s.
   * @param speedRatio more than 0
   * @param levelAt a level that is near enough where much head is left
   * @param exactLevelAt the same where little is
   */
  atSpeed(
    speedRatio: number,
    levelAt: (volumeM3: number) => number,
    exactLevelAt: (volumeM3: number) => number,
  ): (volumeM3: number) => number {
    const { curve, hose, water, topM } = this.system;
    const shutOffM = speedRatio * speedRatio * curve.shutOffM;
    const kept = new RootGrid(shutOffM, Math.ceil(POINTS * this.fineness), (spareM) =>
      this.solved(speedRatio, shutOffM, spareM),
    );
    return (volumeM3) => {
      const spareM = shutOffM - Math.max(0, topM - levelAt(volumeM3));
      if (spareM >= NEAR_SHUT_OFF_M) return kept.at(spareM);
      if (spareM <= -NEAR_SHUT_OFF_M) return 0;
      return pumpPointAt(curve, hose, speedRatio, topM - exactLevelAt(volumeM3), water).flow;
    };
  }

  /** Where curve, lift and the kept losses agree, by Newton's method within a bracket. */
  private solved(speedRatio: number, shutOffM: number, spareM: number): number {
    if (spareM <= 0) return 0;
    const { curve } = this.system;
    const { loss } = this;
    let [low, high] = [0, Math.min(speedRatio * curve.openFlow, loss.most)];
    const close = CLOSE_SHARE * high;
    // Were curve and loss both squares of the flow, it would be this.
    let flow = Math.sqrt(spareM / (curve.shutOffM / (curve.openFlow * curve.openFlow) + this.squareLoss));
    if (!(flow > low && flow < high)) flow = high / 2;
    for (let step = 0; step < MOST_STEPS; step += 1) {
      const left = speedRatio * speedRatio * curve.headM(flow / speedRatio) - (shutOffM - spareM) - loss.at(flow);
      if (left > 0) low = flow;
      else high = flow;
      const wished = flow - left / (speedRatio * curve.slope(flow / speedRatio) - loss.slopeAt(flow));
      const next = wished > low && wished < high ? wished : (low + high) / 2;
      const moved = Math.abs(next - flow);
      flow = next;
      if (moved < close) break;
    }
    return flow;
  }
}
