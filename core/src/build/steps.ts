import { legKinds, type Circuit, type LegKey } from '../job';
import { EPOXY_H, sealants, supportEveryM, type CautionKey } from '../reference';
import { hasPump, type Band, type Plan } from '../schemes';
import { formatAmps } from '../units';
import type { JointWork } from './joints';
import type { OutletHole } from './outlet';

/** Where a step is done. */
export type StepPlace = 'bench' | 'hull' | Band;

/** A photograph worth taking with a step. */
export type StepPicture = string;

/** One thing to do, in an order that works. */
export interface BuildStep {
  readonly id: string;
  readonly place: StepPlace;
  readonly text: string;
  readonly minutes: number;
  /** A clock after it: what needs it waits so long, h at 20 °C. */
  readonly waitHours: number;
  /** What the clock is. */
  readonly waitFor: string | null;
  readonly needs: readonly string[];
  readonly cautions: readonly CautionKey[];
  /** Parts and conductors that it is about. */
  readonly at: readonly string[];
  readonly picture: StepPicture | null;
}

/** What the steps are made of. */
export interface StepGround {
  readonly circuit: Circuit;
  readonly plan: Plan;
  /** From dry to wet. */
  readonly joints: readonly JointWork[];
  /** Metres of each leg that is pulled, by leg. */
  readonly legs: readonly { readonly leg: LegKey; readonly lengthM: number; readonly conductors: readonly string[] }[];
  readonly hole: OutletHole | null;
  readonly ratingA: number | null;
  readonly petrol: boolean;
}

/** Pulling and fixing a metre of cable takes so long, min. Our rule. */
const PULL_MIN_PER_M = 6;
const PULL_LEAST_MIN = 15;

/**
 * How much longer a sealant takes at another temperature: as long again for each 10 °C below 20, not faster above.
 * Source: our rule, as on most tubes.
 * @param temperatureC °C
 */
export function cureFactor(temperatureC: number): number {
  return 2 ** Math.max(0, (20 - temperatureC) / 10);
}

const step = (
  id: string,
  place: StepPlace,
  minutes: number,
  text: string,
  needs: readonly string[],
  more: Partial<Pick<BuildStep, 'waitHours' | 'waitFor' | 'cautions' | 'at' | 'picture'>> = {},
): BuildStep => ({
  id,
  place,
  text,
  minutes,
  needs,
  waitHours: 0,
  waitFor: null,
  cautions: [],
  at: [],
  picture: null,
  ...more,
});

/** The steps of building a circuit, each with what it needs; whatever a scheme wires, from its plan alone. */
export function stepsOf(ground: StepGround): BuildStep[] {
  const { plan, circuit } = ground;
  const pumped = hasPump(plan);
  const outlet = pumped && (circuit.water?.hose?.skinFitting ?? true);
  const steps = [
    benchTest(plan),
    step('dry-fit', 'bilge', 20, dryFit(plan), ['bench-test'], {
      picture: 'The bilge and the panel’s place before work.',
    }),
    ...(outlet ? outletSteps(ground) : []),
    ...pullSteps(ground),
    ...baseSteps(plan),
    ...jointSteps(ground),
    ...panelSteps(ground),
  ];
  return [...steps, ...lastSteps(ground, steps, outlet)];
}

const named = (plan: Plan, kinds: readonly string[]) =>
  plan.parts.filter(({ part }) => kinds.includes(part.kind)).map(({ part, name }) => ({ id: part.id, name }));

const SENSORS = ['float-switch', 'through-float', 'probe-sensor'];

function benchTest(plan: Plan): BuildStep {
  const wet = named(plan, ['pump', ...SENSORS]);
  const what = wet.map(({ name }) => name.toLowerCase()).join(' and ');
  const water = hasPump(plan)
    ? ' Pump water from one bucket to another on manual and on auto: a motor that hums is not a pump that pumps.'
    : ' Lift the float: the alarm sounds.';
  return step(
    'bench-test',
    'bench',
    30,
    `Look over ${what}: housing, arm, impeller.${water} New parts are faulty often enough, and a bilge is the worst place to find out.`,
    [],
    {
      cautions: hasPump(plan) ? ['autoStart', 'batteryBurns'] : [],
      at: wet.map(({ id }) => id),
      picture: 'The pump’s data plate.',
    },
  );
}

function dryFit(plan: Plan): string {
  const wet = named(plan, ['pump', ...SENSORS]).map(({ name }) => name.toLowerCase());
  return `Put ${wet.join(' and ')} where they will stand, dry: they sit flat, the float swings free over its whole arc, cable and hose reach. Mark the places.`;
}

function outletSteps({ hole, petrol }: StepGround): BuildStep[] {
  const sealant = sealants[hole?.sealant ?? 'polyurethane'];
  const size = hole ? ` of ${(hole.holeM * 1000).toFixed(1)} mm` : ', 1 to 1.5 mm over its measured thread';
  const cored = hole?.words.some(({ message }) => message.startsWith('Cored')) ?? false;
  const drill = step(
    'outlet-hole',
    'hull',
    40,
    `Know what is behind. Drill a pilot from inside, look from outside, then the hole${size}. It lies over the water at every heel.`,
    ['dry-fit'],
    { cautions: petrol ? ['fuelVapour'] : [], picture: 'The outlet’s place with the waterline.' },
  );
  const core = step('outlet-core', 'hull', 45, 'Ream the core back, fill with epoxy.', ['outlet-hole'], {
    waitHours: EPOXY_H,
    waitFor: 'The epoxy plug cures',
  });
  const again = step('outlet-redrill', 'hull', 20, `Drill the hole again${size}, through the epoxy.`, ['outlet-core']);
  return [
    drill,
    ...(cored ? [core, again] : []),
    step(
      'skin-fitting',
      'hull',
      30,
      `Bed the skin fitting in ${sealant.name.toLowerCase()}, tighten until it squeezes out all round, wipe, leave it.`,
      [cored ? 'outlet-redrill' : 'outlet-hole'],
      { waitHours: sealant.skinH, waitFor: `${sealant.name} takes a load` },
    ),
    step('sealant-through', 'hull', 0, 'The sealant cures right through.', ['skin-fitting'], {
      waitHours: sealant.fullH - sealant.skinH,
      waitFor: `${sealant.name} cures through`,
    }),
    step(
      'hose',
      'hull',
      30,
      'Lead the hose up without a dip to its highest point and on to the outlet. Two clamps an end below or near the waterline, else one.',
      ['skin-fitting'],
      { picture: 'The hose’s highest point.' },
    ),
  ];
}

function pullSteps({ legs, circuit }: StepGround): BuildStep[] {
  return legs.map(({ leg, lengthM, conductors }) => {
    const { name } = legKinds[leg];
    const { sealedSpace } = circuit.build?.pulls?.[leg] ?? {};
    return step(
      `pull-${leg.toLowerCase()}`,
      leg === 'sourceToPanel' ? 'panel' : 'bilge',
      Math.round(Math.max(PULL_LEAST_MIN, lengthM * PULL_MIN_PER_M)),
      `Lead ${conductors.length === 1 ? 'the conductor' : `the ${conductors.length} conductors`} from ${name}: high, above standing water, held every ${(supportEveryM * 1000).toFixed(0)} mm, sleeved at edges, a drip loop before each joint.${sealedSpace ? ' Draw a line through first, and leave it in.' : ''}`,
      ['dry-fit'],
      { at: conductors },
    );
  });
}

function baseSteps(plan: Plan): BuildStep[] {
  const wet = named(plan, ['pump', ...SENSORS]);
  return [
    step(
      'bases',
      'bilge',
      30,
      `Set ${wet.map(({ name }) => name.toLowerCase()).join(' and ')} at the marks: screws into epoxy plugs, never through the hull.`,
      ['dry-fit'],
      {
        waitHours: EPOXY_H,
        waitFor: 'The epoxy plugs cure',
        at: wet.map(({ id }) => id),
        picture: 'The float with a ruler beside it.',
      },
    ),
  ];
}

function jointSteps({ joints, legs, petrol }: StepGround): BuildStep[] {
  const wetFirst = joints.filter(({ band }) => band === 'bilge').reverse();
  return wetFirst.map((joint, index) => {
    const pulls = legs
      .filter(({ conductors }) => joint.conductors.some(({ id }) => conductors.includes(id)))
      .map(({ leg }) => `pull-${leg.toLowerCase()}`);
    const before = wetFirst[index - 1];
    return step(
      `join-${joint.id}`,
      'bilge',
      joint.minutes,
      jointText(joint),
      [...(before ? [`join-${before.id}`] : ['bases']), ...pulls],
      {
        cautions: [...(petrol ? (['fuelVapour'] as const) : []), 'autoStart'],
        at: [joint.id, ...joint.conductors.map(({ id }) => id)],
        picture: `${joint.name} before and after the sleeve.`,
      },
    );
  });
}

function jointText({ name, conductors, how, barrel, stripM, sealant, tugN, school }: JointWork): string {
  const who = conductors.map((one) => one.name.toLowerCase()).join(', ');
  const strip = stripM === null ? '' : ` Strip ${(stripM * 1000).toFixed(0)} mm.`;
  const into =
    how === 'block'
      ? 'on a terminal block or stud in a dry place'
      : barrel
        ? `in ${how === 'step-down' ? 'a step-down' : 'a'} ${barrel.colour} barrel`
        : 'soldered, then sleeved';
  const then = school === 'crimp-solder' ? ' Crimp, solder, sleeve.' : '';
  const crotch = sealant ? ' Liquid sealant in the crotch where two go in together.' : '';
  const tug = tugN === null ? '' : ` Tug it with ${tugN.toFixed(0)} N.`;
  return `${name}: ${who} ${into}.${strip}${then}${crotch}${tug}`;
}

function panelSteps({ circuit, legs, plan }: StepGround): BuildStep[] {
  const pulled = legs.map(({ leg }) => `pull-${leg.toLowerCase()}`);
  const panel = named(plan, ['three-way-switch', 'on-off-switch', 'lamp', 'alarm', 'relay']);
  const cutOut = circuit.build?.cutOut?.widthM !== undefined;
  return [
    ...(cutOut
      ? [
          step(
            'cut-out',
            'panel',
            45,
            'Look behind. Tape the template on, drill the corners, saw from one to the next.',
            [],
          ),
        ]
      : []),
    step(
      'panel',
      'panel',
      45,
      'Wire the panel from its list, post by post; each end has its label before it goes on. Fasten it.',
      [...pulled, ...(cutOut ? ['cut-out'] : [])],
      { at: panel.map(({ id }) => id), picture: 'The panel from behind.' },
    ),
  ];
}

function lastSteps({ plan, ratingA }: StepGround, before: readonly BuildStep[], outlet: boolean): BuildStep[] {
  const ids = before.map(({ id }) => id);
  const made = ids.filter((id) => id.startsWith('join-'));
  const pulls = ids.filter((id) => id.startsWith('pull-'));
  if (!hasPump(plan)) {
    return [
      step(
        'dead-tests',
        'panel',
        10,
        'Before its battery goes in: ohms through the loop, float down open, float up near zero.',
        [...made, 'panel'],
      ),
      step('commission', 'panel', 15, 'Battery in. Lift the float: it sounds; mute: the light stays.', ['dead-tests'], {
        picture: 'The alarm with its battery’s date.',
      }),
    ];
  }
  const rating = ratingA === null ? 'the fuse' : `the fuse of ${formatAmps(ratingA)}`;
  return [
    step('bus', 'source', 15, 'Negative to the bus: ring, label, drip loop.', pulls, {
      cautions: ['batteryBurns'],
      at: ['bus'],
    }),
    step(
      'holder',
      'source',
      20,
      'Fix the fuse holder at the battery with no fuse in it. Short stub, sheathed, away from edges.',
      ['panel', 'bus'],
      { cautions: ['batteryBurns', 'proveDead'], at: ['fuse', 'stub'], picture: 'The holder and its label.' },
    ),
    step(
      'dead-tests',
      'panel',
      15,
      'Fuse out: the dead tests of the list. Ohms through the pump, through the float down and up, nothing to the hull.',
      [...made, 'panel', 'holder'],
      { cautions: ['proveDead'] },
    ),
    step('fuse-in', 'source', 5, `Hands clear of the pump. Put in ${rating}.`, ['dead-tests'], {
      cautions: ['autoStart'],
      at: ['fuse'],
      picture: 'Fuse and label.',
    }),
    step(
      'commission',
      'bilge',
      30,
      'Commission: manual, auto by the float, auto by real water, it stops again; volts and amps while it runs.',
      ['fuse-in', ...(outlet ? ['hose'] : [])],
      { cautions: ['autoStart'], at: ['pump', 'float'] },
    ),
    step(
      'launch',
      'hull',
      10,
      'Afloat: look at the outlet and every joint while it pumps.',
      ['commission', ...(outlet ? ['sealant-through'] : []), 'bases'],
      {},
    ),
  ];
}
