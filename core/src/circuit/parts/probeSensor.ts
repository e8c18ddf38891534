import { resistance } from '../element';
import { standingDraw, works } from './electronics';
import { isUp, type Floating, type PartKind } from './part';

/** An electronic sensor: supply, negative and a switched output. It works one way round only. */
export interface ProbeSensorPart extends Floating {
  readonly kind: 'probe-sensor';
  readonly contactOhm: number;
  /** Taken as at work whatever its volts, and drawing nothing: for sizing what it switches. */
  readonly held?: boolean;
  /** Its own draw at 12 V; left out: the default. */
  readonly drawA?: number;
}

export const probeSensor: PartKind<ProbeSensorPart> = {
  entry: 'plus',
  terminals: () => ['plus', 'minus', 'out'],
  elements: (part, node, state) => [
    ...(part.held === true ? [] : [standingDraw(node('plus'), node('minus'), part.drawA)]),
    ...(state.latched && isUp(part, state) ? [resistance(node('plus'), node('out'), part.contactOhm)] : []),
  ],
  doing: (part, state) => {
    if (!state.latched) return 'noSupply';
    const wet = isUp(part, state);
    return part.stuck === undefined ? (wet ? 'wet' : 'dry') : wet ? 'stuckWet' : 'stuckDry';
  },
  floats: () => true,
  latches: ({ held }, volts, { latched }) => held === true || works(volts('plus') - volts('minus'), latched),
};
