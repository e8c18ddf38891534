import {
  buildRules,
  fittedSensors,
  levelSensors,
  protectionFamilies,
  supportEveryM,
  type FittedSensor,
  type ProtectionKind,
} from '../reference';
import type { Circuit, Job } from '../job';
import { hasPump, type Plan, type PlannedPart } from '../schemes';
import { formatAmps } from '../units';
import { barrelsNeeded, type JointWork } from './joints';
import type { OutletHole } from './outlet';
import type { OrderLine } from './order';

/** Something to have at hand before work begins. */
export interface PartNeeded {
  readonly id: string;
  readonly item: string;
  readonly quantity: number;
  readonly unit: 'piece' | 'm' | 'set';
  readonly why: string;
  /** Whether it is used up: bought in numbers, without a place of its own. */
  readonly consumable: boolean;
  /** Whether it is on board or in the van already, so that nobody has to get it. */
  readonly aboard: boolean;
}

/** What the list of parts is made of. */
export interface PartsGround {
  readonly job: Job;
  readonly circuit: Circuit;
  readonly plan: Plan;
  readonly ratingA: number | null;
  readonly joints: readonly JointWork[];
  readonly order: readonly OrderLine[];
  readonly labels: number;
  readonly bands: number;
  /** The way of each leg, m. */
  readonly legs: readonly { readonly lengthM: number; readonly bulkheads: number; readonly singles: number }[];
  readonly hole: OutletHole | null;
  /** The outlet over the water outside at rest, m; null where that is not known. */
  readonly outletOverM: number | null;
}

const part = (
  id: string,
  item: string,
  quantity: number,
  why: string,
  unit: PartNeeded['unit'] = 'piece',
  consumable = false,
): PartNeeded => ({ id, item, quantity, unit, why, consumable, aboard: false });

const used = (id: string, item: string, quantity: number, why: string, unit: PartNeeded['unit'] = 'piece') =>
  part(id, item, quantity, why, unit, true);

/** Within this of the water outside, a hose end counts as near the waterline, m. Our rule. */
const NEAR_WATER_M = 0.3;

/** Everything a circuit takes, each with why so much of it. */
export function partsOf(ground: PartsGround): PartNeeded[] {
  return [...fitted(ground), ...protection(ground), ...hoseParts(ground), ...cableParts(ground), ...jointParts(ground)]
    .filter(({ quantity }) => quantity > 0)
    .map((one) => ({ ...one, aboard: ground.circuit.build?.aboard?.[one.id] === true }));
}

function nameOfPart({ part: { kind }, name }: PlannedPart, { circuit }: PartsGround): string | null {
  switch (kind) {
    case 'pump':
      return 'Bilge pump';
    case 'float-switch':
    case 'probe-sensor': {
      const own = circuit.water?.float?.kind;
      const kindOf: FittedSensor = own ?? (kind === 'probe-sensor' ? 'probe' : (fittedSensors[0] ?? 'hinged'));
      return `${levelSensors[kindOf].name} ${levelSensors[kindOf].electronic ? 'sensor' : 'float switch'}`;
    }
    case 'through-float':
      return 'Enclosed float with five leads';
    case 'three-way-switch':
      return circuit.manual === 'momentary'
        ? 'Switch manual (springs back) / off / auto'
        : 'Switch manual / off / auto';
    case 'on-off-switch':
      return circuit.manual === 'momentary' ? 'Switch that springs back' : 'On/off switch';
    case 'lamp':
    case 'alarm':
    case 'relay':
    case 'diode':
      return name;
    default:
      return null;
  }
}

function fitted(ground: PartsGround): PartNeeded[] {
  return ground.plan.parts.flatMap((planned) => {
    const item = nameOfPart(planned, ground);
    if (item === null) return [];
    const own = part(planned.part.id, item, 1, `${planned.name} of the plan.`);
    return planned.part.kind === 'relay'
      ? [own, part('relay-base', 'Relay base', 1, 'The relay plugs in, and out.')]
      : [own];
  });
}

function protection({ plan, ratingA }: PartsGround): PartNeeded[] {
  const fuses = plan.parts.flatMap(({ part: own, name }) =>
    own.kind === 'fuse'
      ? [{ id: own.id, name, ratingA: own.id === 'fuse' ? ratingA : own.ratingA, family: own.family }]
      : [],
  );
  const spares = new Map<string, { ratingA: number; family: ProtectionKind; names: string[] }>();
  for (const { ratingA: rating, family, name } of fuses) {
    if (rating === null || family === 'thermalBreaker') continue;
    const before = spares.get(`${family} ${rating}`);
    spares.set(`${family} ${rating}`, { ratingA: rating, family, names: [...(before?.names ?? []), name] });
  }
  return [
    ...fuses.map(({ id, name, family }) =>
      part(
        `holder-${id}`,
        family === 'thermalBreaker'
          ? `Breaker: ${name.toLowerCase()}`
          : `Holder for ${protectionFamilies[family].name}: ${name.toLowerCase()}`,
        1,
        `${name} of the plan.`,
      ),
    ),
    ...[...spares.values()].map(({ ratingA: rating, family, names }) =>
      used(
        `fuse-${family}-${rating}`,
        capital(`${protectionFamilies[family].name} ${formatAmps(rating)}`),
        names.length + buildRules.sparesLeast.value,
        `${names.join(', ')}, and ${buildRules.sparesLeast.value} spare.`,
      ),
    ),
  ];
}

function hoseParts({ circuit, plan, hole, outletOverM }: PartsGround): PartNeeded[] {
  if (!hasPump(plan)) return [];
  const hose = circuit.water?.hose;
  const fitting = hose?.skinFitting ?? true;
  const near = outletOverM === null || outletOverM < NEAR_WATER_M;
  const clamps = 2 + (near ? 2 : 1);
  const along = hose?.route[hose.route.length - 1]?.alongM ?? 0;
  return [
    ...(hose
      ? [
          used(
            'hose',
            `Hose ${(hose.boreM * 1000).toFixed(0)} mm, ${hose.wall ?? 'smooth'}`,
            up(along * (1 + buildRules.hoseShare.value), 0.1),
            `${along.toFixed(1)} m as routed and 5 %.`,
            'm',
          ),
        ]
      : []),
    used(
      'clamps',
      'Hose clamps, stainless',
      clamps,
      near
        ? 'Two an end: the pump stands in water, the outlet is near it.'
        : 'Two at the pump, one at the outlet well above the water.',
    ),
    ...(fitting ? [part('skin-fitting', 'Skin fitting', 1, 'The outlet through the hull.')] : []),
    ...(fitting ? [used('sealant', `Sealant, ${hole?.sealant ?? 'polyurethane'}`, 1, 'For the skin fitting.')] : []),
    ...(hose?.ventedLoop ? [part('vented-loop', 'Vented loop', 1, 'It breaks the siphon.')] : []),
    ...(hose?.checkValve
      ? [part('check-valve', 'Check valve', 1, 'As planned: it jams with debris, look at it with each cleaning.')]
      : []),
    used('epoxy', 'Epoxy for plugs', 1, 'Screws of pump and float go into plugs, never through the hull.', 'set'),
  ];
}

function cableParts({ order, legs, labels, bands }: PartsGround): PartNeeded[] {
  const routed = legs.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const bulkheads = legs.reduce((sum, leg) => sum + leg.bulkheads, 0);
  const loose = legs.reduce((sum, { lengthM, singles }) => sum + (singles > 1 ? lengthM : 0), 0);
  return [
    ...order.map(({ size, colour, metres, pieces }) =>
      used(
        `cable-${size}-${colour}`,
        `Cable ${size}, ${colour}`,
        metres,
        `${pieces === 1 ? 'One piece' : `${pieces} pieces`} and 10 %.`,
        'm',
      ),
    ),
    used(
      'clips',
      'Clips or ties',
      Math.ceil((routed / supportEveryM) * (1 + buildRules.clipShare.value) - 1e-9),
      `${routed.toFixed(1)} m, one each ${(supportEveryM * 1000).toFixed(0)} mm, and 10 %.`,
    ),
    used('grommets', 'Grommets', bulkheads, 'One a bulkhead.'),
    used('split-tube', 'Split tube', up(loose, 0.5), 'Over single conductors that run together.', 'm'),
    used('labels', 'Labels', labels, 'Both ends, both sides of each bulkhead, and the source.'),
    used('tape', 'Tape for colour bands', bands, 'A roll of each colour that stands in for another.'),
  ];
}

function jointParts({ joints, circuit, plan }: PartsGround): PartNeeded[] {
  const made = joints.filter(({ how }) => how !== 'block');
  const blocks = joints.filter(({ how }) => how === 'block');
  const rings = [...plan.conductors, ...plan.existing.filter(({ id }) => id === 'main-negative')].flatMap(
    ({ from, to }) => [from, to].filter((end) => end.part === 'bus' || end.part === 'battery'),
  ).length;
  const { pump, float } = circuit.build?.disconnects ?? {};
  return [
    ...barrelsNeeded(joints).map(({ barrel, count }) =>
      used(
        `barrel-${barrel.colour}`,
        `Butt barrels ${barrel.colour} (${barrel.sizes}), adhesive-lined`,
        count + Math.max(buildRules.sparesLeast.value, Math.ceil(count * buildRules.sparesShare.value)),
        `${count === 1 ? 'One joint' : `${count} joints`}, and at least two spare.`,
      ),
    ),
    used('sleeve', 'Adhesive sleeve', up(made.length * buildRules.sleeveLengthM.value, 0.1), '70 mm a joint.', 'm'),
    used(
      'crotch',
      'Liquid sealant for crotches',
      made.some(({ sealant }) => sealant) ? 1 : 0,
      'Where two conductors leave one side.',
    ),
    part('blocks', 'Terminal blocks or studs', blocks.length, blocks.map(({ name }) => name).join(', ')),
    used('rings', 'Ring terminals', rings, 'At the bus and the battery, by their studs.'),
    part(
      'disconnect-pump',
      'Waterproof disconnect, at the pump',
      pump ? 1 : 0,
      'The next pump is changed without a joint.',
    ),
    part(
      'disconnect-float',
      'Waterproof disconnect, at the float',
      float ? 1 : 0,
      'The next float is changed without a joint.',
    ),
  ];
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** Rounded up to a step, with a hair of slack. */
function up(value: number, stepOf: number): number {
  return Number((Math.ceil(value / stepOf - 1e-9) * stepOf).toFixed(6));
}

/** Tools by what the lists need. */
export function toolsOf({
  circuit,
  plan,
  joints,
  hole,
}: Pick<PartsGround, 'circuit' | 'plan' | 'joints' | 'hole'>): string[] {
  const schools = new Set(joints.map(({ school }) => school));
  const barrels = barrelsNeeded(joints).map(({ barrel }) => barrel.colour);
  const sealed = Object.values(circuit.build?.pulls ?? {}).some((pull) => pull?.sealedSpace);
  return [
    'Multimeter and test lamp',
    'Tape measure and a cord',
    'Cutter and stripper',
    ...(barrels.length > 0 ? [`Ratchet crimper with ${barrels.join(', ')} jaws, for lined barrels`] : []),
    ...(barrels.length > 0 ? ['Spring balance for the pull test'] : []),
    ...(schools.has('crimp-solder') || schools.has('solder') ? ['Soldering iron, rosin flux'] : []),
    ...(joints.some(({ sleeve }) => sleeve !== null) ? ['Hot air for sleeves'] : []),
    ...(hole ? [`Hole saw ${(hole.holeM * 1000).toFixed(1)} mm, pilot drill`] : []),
    ...(circuit.build?.cutOut?.widthM === undefined ? [] : ['Jigsaw, drill for the corners']),
    ...(sealed ? ['Draw line and fish rod'] : []),
    ...(hasPump(plan) ? ['Two buckets'] : []),
  ];
}
