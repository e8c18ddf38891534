import { link, motorBetween, resistance, sink } from '../element';
import { motorAt, startingV, type Motor, type MotorCondition } from '../motor';
import { works } from './electronics';
import { isUp, type Floating, type PartKind } from './part';

/**
 * A pump. With two leads it is a motor between them; with three, a float or a
 * timer inside joins its auto lead to the motor. `sinkA` stands in for the motor
 * where a fixed current is asked for, `shorted` is a dead short at its leads.
 */
export interface PumpPart extends Floating {
  readonly kind: 'pump';
  readonly motor: Motor;
  readonly condition: MotorCondition | 'shorted';
  readonly sinkA?: number;
  /** What starts it by itself: a float in its housing, or a timer that wakes and feels for water. */
  readonly inside?: {
    readonly sensing: 'float' | 'timer';
    readonly contactOhm: number;
    /** Taken as at work whatever its volts: for sizing. */
    readonly held?: boolean;
  };
}

const RUNS_FROM_A = 0.02;

export const pump: PartKind<PumpPart> = {
  exit: 'minus',
  terminals: ({ inside }) => (inside ? ['plus', 'auto', 'minus'] : ['plus', 'minus']),
  elements: (part, node, state) => {
    const plus = node('plus');
    const minus = node('minus');
    const { inside } = part;
    const starts = inside !== undefined && isUp(part, state) && (inside.sensing === 'float' || state.latched);
    return [
      ...(starts ? [resistance(node('auto'), plus, inside.contactOhm)] : []),
      part.sinkA !== undefined
        ? sink(plus, minus, part.sinkA)
        : part.condition === 'shorted'
          ? link(plus, minus)
          : motorBetween(plus, minus, part.motor, part.condition),
    ];
  },
  doing: (part, { volts }) => {
    const { condition, motor } = part;
    if (condition === 'shorted') return 'shorted';
    const { amps, speedRatio } = motorAt(motor, volts('plus') - volts('minus'), condition);
    if (condition === 'locked') return Math.abs(amps) > RUNS_FROM_A ? 'locked' : 'standing';
    if (speedRatio < 0) return 'runningBackwards';
    if (speedRatio > 0) return condition === 'dry' ? 'runningDry' : 'running';
    const hums = Math.abs(volts('plus') - volts('minus')) > startingV(motor) / 2;
    return hums && Math.abs(amps) > RUNS_FROM_A ? 'humming' : 'standing';
  },
  floats: ({ inside }) => inside !== undefined,
  latches: ({ inside }, volts, { latched }) =>
    inside?.sensing === 'timer' && (inside.held === true || works(volts('auto') - volts('minus'), latched)),
};
