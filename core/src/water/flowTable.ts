import { cubicOver, keptPoints, lazyPoints } from './volumeGrid';

/** Steps of the speed at which flows are kept. */
const STEP = 0.02;

/** A pump's flow by speed and by water in the well, kept where it was asked for, cubic between. */
export class FlowTable {
  private readonly rows = new Map<number, (point: number) => number>();

  /**
   * @param mostM3 most water asked for
   * @param exact flow, m³/s, at a speed ratio and a volume, m³
   */
  constructor(
    private readonly mostM3: number,
    private readonly exact: (speedRatio: number, volumeM3: number) => number,
  ) {}

  /** Flow at one speed as a function of the volume. */
  atSpeed(speedRatio: number): (volumeM3: number) => number {
    if (speedRatio <= 0) return () => 0;
    const first = Math.max(0, Math.floor(speedRatio / STEP) - 1);
    const u = speedRatio / STEP - first;
    const weights = [
      (-(u - 1) * (u - 2) * (u - 3)) / 6,
      (u * (u - 2) * (u - 3)) / 2,
      (-u * (u - 1) * (u - 3)) / 2,
      (u * (u - 1) * (u - 2)) / 6,
    ];
    const rows = weights.map((_, index) => this.row(first + index));
    const valueOf = (point: number) => rows.reduce((sum, row, index) => sum + (weights[index] ?? 0) * row(point), 0);
    const flow = cubicOver(this.mostM3, keptPoints(valueOf));
    return (volumeM3) => Math.max(0, flow(volumeM3));
  }

  private row(index: number): (point: number) => number {
    const known = this.rows.get(index) ?? lazyPoints(this.mostM3, (volumeM3) => this.exact(index * STEP, volumeM3));
    this.rows.set(index, known);
    return known;
  }
}
