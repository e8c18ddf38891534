import type { ConductorFacts } from '../findings';
import type { Circuit } from '../job';
import {
  barrels,
  buildRules,
  findSize,
  jointSchools,
  minimumSize,
  pullN,
  stripM,
  type Barrel,
  type JointSchool,
} from '../reference';
import { schoolOf, type Plan } from '../schemes';
import { barrelFor, fitBarrel, type JointSide } from './barrelFit';

/** A conductor or lead in a joint. */
export interface JointConductor {
  readonly id: string;
  readonly name: string;
  readonly areaMm2: number;
  readonly size: string;
  /** True for a lead that nobody measured. */
  readonly assumed: boolean;
}

/** A joint to be made. */
export interface JointWork {
  readonly id: string;
  readonly name: string;
  readonly band: 'source' | 'panel' | 'bilge';
  readonly conductors: readonly JointConductor[];
  readonly school: JointSchool;
  /** A block or stud where no barrel takes it, whatever the school. */
  readonly how: 'butt' | 'step-down' | 'block';
  /** Why it is not a plain butt; null where it is. */
  readonly because: string | null;
  readonly barrel: Barrel | null;
  readonly sides: readonly JointSide[];
  /** Copper on the larger side, mm². */
  readonly areaMm2: number;
  readonly stripM: number | null;
  /** Diameter before shrinking, at least, and length, m. */
  readonly sleeve: { readonly diameterM: number; readonly lengthM: number } | null;
  /** Liquid sealant in the crotch, where two conductors leave one side. */
  readonly sealant: boolean;
  /** On a sample made of scrap, for one minute; and as a tug in place, N; null where the tables have no figure. */
  readonly pullN: number | null;
  readonly tugN: number | null;
  /** Over the highest water at which a float of the well switches, m; null where the well's joints are not surveyed. */
  readonly overWaterM: number | null;
  readonly minutes: number;
}

/** Leads of parts by the beginnings of their ids, and what is said of them. */
const LEADS = [
  { begins: 'pump-lead-', name: 'Pump lead' },
  { begins: 'float-lead-', name: 'Float lead' },
  { begins: 'sensor-lead-', name: 'Sensor lead' },
] as const;

/** Diameter over the insulation of a conductor, roughly, m: its copper and 0.8 mm of wall. Our rule. */
const overInsulationM = (areaMm2: number) => (2 * Math.sqrt((areaMm2 * 1.25) / Math.PI) + 1.6) / 1000;

/** Every joint of a circuit, from dry to wet, with what it takes. */
export function jointsOf(
  circuit: Circuit,
  plan: Plan,
  conductors: readonly ConductorFacts[],
  overWaterM: number | null,
): JointWork[] {
  const family = circuit.choices?.family ?? 'awg';
  const sizeOfLead = (id: string): { readonly size: string; readonly assumed: boolean } => {
    const given = id.startsWith('pump-lead-') ? circuit.pump.leads?.size : circuit.floatLead;
    if (given !== undefined && LEADS.some(({ begins }) => id.startsWith(begins)))
      return { size: given, assumed: false };
    return { size: LEADS.some(({ begins }) => id.startsWith(begins)) ? '16 AWG' : minimumSize[family], assumed: true };
  };
  const meeting = (joint: string): JointConductor[] => [
    ...conductors.flatMap(({ planned, areaMm2, size }) =>
      planned.from.part === joint || planned.to.part === joint
        ? [{ id: planned.id, name: planned.name, areaMm2, size, assumed: false }]
        : [],
    ),
    ...plan.existing.flatMap(({ id, from, to }) => {
      if (from.part !== joint && to.part !== joint) return [];
      const { size, assumed } = sizeOfLead(id);
      const name = LEADS.find(({ begins }) => id.startsWith(begins))?.name ?? 'Jumper';
      const areaMm2 = findSize(size)?.areaMm2 ?? buildRules.typicalLeadAreaMm2.value;
      return [{ id, name, areaMm2, size, assumed }];
    }),
  ];
  return plan.parts.flatMap(({ part, name, band }) =>
    part.kind === 'joint' ? [workOf(circuit, { id: part.id, name, band }, meeting(part.id), overWaterM)] : [],
  );
}

function workOf(
  { build }: Circuit,
  { id, name, band }: Pick<JointWork, 'id' | 'name' | 'band'>,
  conductors: readonly JointConductor[],
  overWaterM: number | null,
): JointWork {
  const decided = band === 'bilge' ? schoolOf(build, id) : 'block';
  const fit = fitBarrel(conductors);
  const least = conductors.reduce<JointConductor | null>(
    (found, one) => (found === null || one.areaMm2 < found.areaMm2 ? one : found),
    null,
  );
  const pull = least === null ? null : (pullN[least.size] ?? null);
  const common = {
    id,
    name,
    band,
    conductors,
    pullN: pull,
    tugN: pull === null ? null : pull * buildRules.tugShare.value,
  };
  const height = band === 'bilge' ? overWaterM : null;
  if (decided === 'block' || fit.how === 'block') {
    return {
      ...common,
      school: 'block',
      how: 'block',
      because: fit.how === 'block' && decided !== 'block' ? fit.because : null,
      barrel: null,
      sides: [],
      areaMm2: conductors.reduce((sum, { areaMm2 }) => sum + areaMm2, 0),
      stripM: null,
      sleeve: null,
      sealant: false,
      overWaterM: height,
      minutes: jointSchools.block.minutes,
    };
  }
  const { barrel, sides, how } = fit;
  const thickest = Math.max(
    ...sides.map((side) =>
      conductors
        .filter((one) => side.ids.includes(one.id))
        .reduce((sum, { areaMm2 }) => sum + overInsulationM(areaMm2), 0),
    ),
  );
  return {
    ...common,
    school: decided,
    how,
    because:
      how === 'step-down'
        ? `${sides[0].areaMm2.toFixed(2)} and ${sides[1].areaMm2.toFixed(2)} mm² lie too far apart for one barrel: a step-down within 178 mm of the thin lead.`
        : null,
    barrel: decided === 'solder' ? null : barrel,
    sides,
    areaMm2: sides[0].areaMm2,
    stripM: stripM[barrel.colour] ?? null,
    sleeve: { diameterM: thickest * buildRules.sleeveFactor.value, lengthM: buildRules.sleeveLengthM.value },
    sealant: sides.some(({ ids }) => ids.length > 1),
    overWaterM: height,
    minutes: jointSchools[decided].minutes,
  };
}

/** Barrels needed, by colour, with how many. */
export function barrelsNeeded(joints: readonly JointWork[]): { readonly barrel: Barrel; readonly count: number }[] {
  return barrels.flatMap((barrel) => {
    const count = joints.filter((joint) => joint.barrel?.colour === barrel.colour).length;
    return count === 0 ? [] : [{ barrel, count }];
  });
}

/** The barrel of a ring terminal on a conductor; null for more than the largest takes. */
export function ringBarrel(areaMm2: number): Barrel | null {
  return barrelFor(areaMm2) ?? null;
}
