/** What a circuit does at some volts at its battery's posts. */
export interface DrivePoint {
  /** Drawn from the battery, A. */
  readonly amps: number;
  /** Speed of the pump over its label speed. */
  readonly speedRatio: number;
}

/** A circuit as its battery and its pump feel it, at volts at the battery's posts. */
export interface Drive {
  /** Waiting on auto, its pump standing: lights, sensors, leaks. */
  readonly waiting: DriveCurve;
  readonly off: DriveCurve;
  readonly running: DriveCurve;
  readonly manual: DriveCurve;
  /** As running, but with air in the pump. */
  readonly dry: DriveCurve;
}

/** A nanoampere. */
const STILL_A = 1e-9;

export type DriveCurve = (postsV: number) => DrivePoint;

/** From here to there volts at the posts are solved, V; outside, the nearest is taken. */
const FROM_V = 8;
const TO_V = 16;
const STEP_V = 0.5;

/**
 * A circuit's answers over the volts at the posts: solved at every half volt the
 * first time one is asked for, a cubic through the nearest four between.
 */
export function driveCurve(solveAt: (postsV: number) => DrivePoint): DriveCurve {
  const known = new Map<number, DrivePoint>();
  const last = (TO_V - FROM_V) / STEP_V;
  const at = (index: number): DrivePoint => {
    const found = known.get(index) ?? solveAt(FROM_V + index * STEP_V);
    known.set(index, found);
    return found;
  };
  return (postsV) => {
    const place = Math.min(last, Math.max(0, (postsV - FROM_V) / STEP_V));
    const first = Math.max(0, Math.min(Math.floor(place) - 1, last - 3));
    const u = place - first;
    const weights = [
      (-(u - 1) * (u - 2) * (u - 3)) / 6,
      (u * (u - 2) * (u - 3)) / 2,
      (-u * (u - 1) * (u - 3)) / 2,
      (u * (u - 1) * (u - 2)) / 6,
    ];
    let [amps, speedRatio] = [0, 0];
    weights.forEach((weight, index) => {
      const point = at(first + index);
      amps += weight * point.amps;
      speedRatio += weight * point.speedRatio;
    });
    // What is left of rounding, or of the cubic between two points, draws nothing and turns nothing.
    return { amps: amps > STILL_A ? amps : 0, speedRatio: Math.max(0, speedRatio) };
  };
}

/** Draws nothing and turns nothing: a circuit whose fuse has opened, or a battery with nothing left. */
export const dead: DriveCurve = () => ({ amps: 0, speedRatio: 0 });
