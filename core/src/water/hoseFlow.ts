import { headLossM, type Hose, type Water } from './hose';
import { headAt, type PumpCurve } from './pumpCurve';
import { pumpPointAt } from './pumpPoint';
import { rootOf } from './root';
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

/**
 * What a pump moves up its hose, for runs that ask it very often. What the hose loses
 * is kept by flow, and for each speed the flow by the root of the head to spare, along
 * which it is nearly straight; near shut-off it is the exact root instead, and exactly
 * 0 where the pump does not reach the lift.
 */
export class HoseFlow {
  private readonly loss: RootGrid;

  /** @param fineness how many times finer than usual everything is kept */
  constructor(
    private readonly system: PumpAndHose,
    private readonly fineness: number,
  ) {
    const { curve, hose, water } = system;
    const most = pumpPointAt(curve, hose, MOST_SPEED, 0, water).flow;
    this.loss = new RootGrid(most, Math.ceil(POINTS * fineness), (flow) => headLossM(hose, flow, water));
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

  /** Where curve, lift and the kept losses agree. */
  private solved(speedRatio: number, shutOffM: number, spareM: number): number {
    const { curve } = this.system;
    const liftM = shutOffM - spareM;
    const missing = (flow: number) =>
      liftM + this.loss.at(flow) - speedRatio * speedRatio * headAt(curve, flow / speedRatio);
    return spareM <= 0 ? 0 : rootOf(missing, 0, Math.min(speedRatio * curve.openFlow, this.loss.most));
  }
}
