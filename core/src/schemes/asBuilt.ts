import type { Part } from '../circuit';
import type { Build, CableColour, Circuit } from '../job';
import { disconnect, jointSchools, type JointSchool } from '../reference';
import type { Band, ConductorColour, Plan, PlannedConductor } from './plan';

/** How a joint is made: as decided for it, else for all of its circuit. */
export function schoolOf(build: Build | undefined, joint: string): JointSchool {
  return build?.joints?.[joint]?.school ?? build?.school ?? 'crimp';
}

/** A colour as the drawings and lists tell it. */
export function colourOf({ base, stripe }: CableColour): ConductorColour {
  return stripe === undefined ? { base } : { base, stripe };
}

/** Parts whose leads go through a disconnect, where one is fitted. */
const DISCONNECTED = { pump: 'pump', float: 'float' } as const;

/** Joints between which and a part with a disconnect a lead runs. */
function throughDisconnect(plan: Plan, { disconnects = {} }: Build): ReadonlySet<string> {
  const fitted = (['pump', 'float'] as const).filter((what) => disconnects[what]).map((what) => DISCONNECTED[what]);
  const leads = [...plan.conductors.filter(({ duty }) => duty === 'lead'), ...plan.existing];
  return new Set(
    leads.flatMap(({ from, to }) => {
      if (fitted.some((part) => part === from.part)) return [to.part];
      return fitted.some((part) => part === to.part) ? [from.part] : [];
    }),
  );
}

/**
 * A plan as it was built: other colours, lengths as pulled, joints in the bilge by their school and the contacts of
 * disconnects, which count with the joint next to them. A joint's resistance that was measured stays.
 */
export function asBuilt(plan: Plan, { build, figures }: Pick<Circuit, 'build' | 'figures'>): Plan {
  if (!build) return plan;
  const parted = throughDisconnect(plan, build);
  const ohmOf = (part: Part, band: Band): Part => {
    if (part.kind !== 'joint' || band !== 'bilge') return part;
    const joined = figures?.jointOhm ?? jointSchools[schoolOf(build, part.id)].ohm;
    return { ...part, ohm: joined + (parted.has(part.id) ? disconnect.ohm : 0) };
  };
  return {
    ...plan,
    parts: plan.parts.map((planned) => ({ ...planned, part: ohmOf(planned.part, planned.band) })),
    conductors: plan.conductors.map((conductor) => built(conductor, build)),
  };
}

function built(conductor: PlannedConductor, { colours, pulledM }: Build): PlannedConductor {
  const colour = colours?.[conductor.id];
  const pulled = pulledM?.[conductor.id];
  return {
    ...conductor,
    ...(colour === undefined ? {} : { colour: colourOf(colour), plannedColour: conductor.colour }),
    ...(pulled === undefined ? {} : pulledRuns(conductor, pulled)),
  };
}

/** The same surroundings in the same shares over another length. */
function pulledRuns({ runs, lengthM }: PlannedConductor, pulledM: number): Pick<PlannedConductor, 'runs' | 'lengthM'> {
  const share = lengthM > 0 ? pulledM / lengthM : 1;
  return { lengthM: pulledM, runs: runs.map((run) => ({ ...run, lengthM: run.lengthM * share })) };
}
