import type { Circuit } from '../job';
import { disconnect, jointSchools, type JointSchool } from '../reference';
import type { JointWork } from './joints';

/** What a way of joining costs when a part must come out again. */
export interface ServiceOf {
  readonly school: JointSchool;
  /** Ω a joint. */
  readonly ohm: number;
  /** Minutes at its joints to take the part out and put another in; null where the circuit has none. */
  readonly pumpMinutes: number | null;
  readonly floatMinutes: number | null;
}

/** The leads by which a part hangs on its joints. */
const leads = { pump: ['pump-lead-'], float: ['float-lead-', 'sensor-lead-'] } as const;

/** The joints that a part’s leads end in. */
function jointsAt(joints: readonly JointWork[], part: keyof typeof leads): readonly JointWork[] {
  return joints.filter(({ band, conductors }) =>
    conductors.some(({ id }) => band === 'bilge' && leads[part].some((begins) => id.startsWith(begins))),
  );
}

/**
 * The ways of joining side by side by what they cost later: minutes at the joints of pump and float at each repair. A joint
 * that no barrel takes is a block in any of them; a disconnect is pulled and pushed. Source: our rule.
 */
export function serviceBySchool(joints: readonly JointWork[], { build }: Circuit): ServiceOf[] {
  const minutesOf = (part: keyof typeof leads, school: JointSchool): number | null => {
    const own = jointsAt(joints, part);
    if (own.length === 0) return null;
    if (build?.disconnects?.[part]) return disconnect.minutes;
    return own.reduce((sum, { because, how }) => {
      const always = how === 'block' && because !== null;
      return sum + jointSchools[always ? 'block' : school].minutes;
    }, 0);
  };
  return (Object.keys(jointSchools) as JointSchool[]).map((school) => ({
    school,
    ohm: jointSchools[school].ohm,
    pumpMinutes: minutesOf('pump', school),
    floatMinutes: minutesOf('float', school),
  }));
}
