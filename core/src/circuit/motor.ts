import { defaults } from '../reference';

/** A pump's motor between its terminals. */
export interface Motor {
  /** Label current, A, at `labelV`. */
  readonly labelA: number;
  readonly labelV: number;
  /** Winding resistance, Ω. */
  readonly windingOhm: number;
}

/** What is wrong with, or happening to, the motor. */
export type MotorCondition = 'sound' | 'locked' | 'dry' | 'open';

export interface MotorPoint {
  readonly amps: number;
  /** Speed over label speed; negative when reversed. */
  readonly speedRatio: number;
  /** dI/dV, S: what Newton's method needs. */
  readonly slopeS: number;
}

/** Running dry. */
const DRY_SHARE = 0.2;

/** Share of label current that goes with the square of the speed. */
export function loadedShare(condition: MotorCondition): number {
  return condition === 'dry' ? DRY_SHARE : 1 - defaults.motorNoLoadShare;
}

/** Winding resistance where it was not measured: label volts ÷ (5 × label amperes), Ω. */
export function defaultWindingOhm(labelA: number, labelV: number): number {
  return labelV / (defaults.lockedOverLabel * labelA);
}

/** R·I0/V0: the share of the label voltage lost in the winding at label current. A bilge pump lies within 0.02–0.6. */
export function windingRatio(motor: Motor): number {
  return (motor.windingOhm * motor.labelA) / motor.labelV;
}

/** Volts at which the motor begins to turn. */
export function startingV(motor: Motor): number {
  return defaults.motorNoLoadShare * motor.labelA * motor.windingOhm;
}

/**
 * The motor at a terminal voltage (any sign), in closed form.
 * I(s) = I0·(c + k·s²) and V = I(s)·R + (V0 − I0·R)·s, with s the speed ratio,
 * c = 0.15 and k = 0.85 loaded or 0.20 dry; below V = c·I0·R it stands, I = V/R.
 */
export function motorAt(motor: Motor, volts: number, condition: MotorCondition = 'sound'): MotorPoint {
  if (condition === 'open') return { amps: 0, speedRatio: 0, slopeS: 0 };
  const { labelA, labelV, windingOhm } = motor;
  const magnitude = Math.abs(volts);
  const direction = volts < 0 ? -1 : 1;
  if (condition === 'locked' || magnitude <= startingV(motor)) {
    return { amps: volts / windingOhm, speedRatio: 0, slopeS: 1 / windingOhm };
  }
  const c = defaults.motorNoLoadShare;
  const k = loadedShare(condition);
  const square = windingOhm * labelA * k;
  const linear = labelV - labelA * windingOhm;
  const constant = startingV(motor) - magnitude;
  // The stable form of the quadratic's positive root: `square` may be small beside `linear`.
  const speed = (-2 * constant) / (linear + Math.sqrt(linear * linear - 4 * square * constant));
  return {
    amps: direction * labelA * (c + k * speed * speed),
    speedRatio: direction * speed,
    slopeS: (2 * labelA * k * speed) / (2 * square * speed + linear),
  };
}
