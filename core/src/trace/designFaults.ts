import type { Circuit, Job } from '../job';

/** What somebody comes with where every part is sound and the layout is not. */
export const designSymptoms = {
  'runs-often':
    'Every part was tested and is sound. Still the pump runs far too often, and the battery does not last the week',
  'stays-wet':
    'Every part was tested and is sound. Still water stands over the floorboards before it is gone, if it goes',
} as const;
export type DesignSymptom = keyof typeof designSymptoms;

/** Something that is laid out wrong, on a boat whose parts are all sound. */
interface DesignFault {
  readonly words: string;
  readonly repair: string;
  readonly symptom: DesignSymptom;
  /** The finding by which the assessment tells it. */
  readonly finding: string;
  readonly spoil: (circuit: Circuit) => Circuit;
}

type Water = NonNullable<Circuit['water']>;
type Hose = NonNullable<Water['hose']>;
const withWater = (circuit: Circuit, change: (water: Water) => Partial<Water>): Circuit =>
  circuit.water ? { ...circuit, water: { ...circuit.water, ...change(circuit.water) } } : circuit;
const withHose = (circuit: Circuit, hose: Partial<Hose> & Pick<Hose, 'route'>): Circuit =>
  withWater(circuit, (water) => (water.hose ? { hose: { ...water.hose, ...hose } } : {}));

/** Every design fault; a new one is an entry here. */
export const designFaults = {
  'own-water': {
    words: 'Its own water comes back from a long wide hose and starts it again',
    repair: 'A shorter, narrower hose, or the float set further apart: never a check valve alone',
    symptom: 'runs-often',
    finding: 'float-own-water',
    spoil: (circuit) =>
      withWater(
        withHose(circuit, {
          boreM: 0.038,
          route: [
            { alongM: 0, heightM: 0.05 },
            { alongM: 1, heightM: 0.9 },
            { alongM: 9, heightM: 0.95 },
          ],
        }),
        () => ({ float: { onM: 0.05, offM: 0.03 } }),
      ),
  },
  'float-too-deep': {
    words: 'The float switches off below where the pump sucks air: it never stops',
    repair: 'Raise the float until it switches off above the level at which the pump sucks air',
    symptom: 'runs-often',
    finding: 'float-never-stops',
    spoil: (circuit) => withWater(circuit, () => ({ float: { onM: 0.05, offM: 0.003 } })),
  },
  siphon: {
    words: 'The outlet lies under water: the sea runs back in through the hose after every stop',
    repair: 'An outlet well over the water in every pose, or a vented loop above it',
    symptom: 'runs-often',
    finding: 'outlet-under-water',
    spoil: (circuit) =>
      withHose(circuit, {
        route: [
          { alongM: 0, heightM: 0.05 },
          { alongM: 1, heightM: 0.3 },
          { alongM: 2.2, heightM: 0.1 },
        ],
      }),
  },
  'back-feed': {
    words: 'The auto conductor sits on the feed: the float runs it with the lever at off',
    repair: 'Put the auto conductor on its own post',
    symptom: 'runs-often',
    finding: 'runs-when-off',
    spoil: (circuit) => ({ ...circuit, rewired: { moved: { auto: { from: 'switch.common' } } } }),
  },
  'float-too-high': {
    words: 'The float sits so high that the floorboards are wet before it starts',
    repair: 'Lower the float into its window',
    symptom: 'stays-wet',
    finding: 'float-too-high',
    spoil: (circuit) => withWater(circuit, () => ({ float: { zM: 0.22 } })),
  },
  'lift-too-high': {
    words: 'The hose climbs to nearly all that the pump can lift, through a narrow bore',
    repair: 'A shorter way, a wider hose, or a pump for that lift',
    symptom: 'stays-wet',
    finding: 'capacity-by-length',
    spoil: (circuit) =>
      withHose(circuit, {
        boreM: 0.016,
        bends90: 8,
        route: [
          { alongM: 0, heightM: 0.05 },
          { alongM: 3, heightM: 2.9 },
          { alongM: 9, heightM: 2.8 },
        ],
      }),
  },
  'cable-too-thin': {
    words: 'The cable is too thin for its length: the pump gets too few volts',
    repair: 'Cable of the size that the length asks for',
    symptom: 'stays-wet',
    finding: 'pump-volts-low',
    spoil: (circuit) => ({
      ...circuit,
      legs: { ...circuit.legs, panelToBilge: { lengthM: 9 }, bilgeToNegative: { lengthM: 12 } },
      choices: {
        ...circuit.choices,
        conductors: { feed: '18 AWG', manual: '18 AWG', auto: '18 AWG', negative: '18 AWG' },
      },
    }),
  },
  'fuse-too-small': {
    words: 'The fuse is rated under what the pump draws: it opens in the middle of a long run',
    repair: 'A fuse of the proposed rating, and no larger',
    symptom: 'stays-wet',
    finding: 'rating-below-running',
    spoil: (circuit) => ({ ...circuit, choices: { ...circuit.choices, protection: { ratingA: 3 } } }),
  },
} as const satisfies Readonly<Record<string, DesignFault>>;

export type DesignFaultKey = keyof typeof designFaults;
export const designFaultKeys = Object.keys(designFaults) as readonly DesignFaultKey[];

/** The sea outside stands so high over the pump's base, m: a boat of this kind, afloat. */
const OUTSIDE_M = 0.2;

/** The boat laid out as she should be: afloat, with her first pump's float where its maker puts it. */
export function soundLayout(job: Job): Job {
  return {
    ...job,
    poses: (job.poses ?? []).map((pose) => ({ ...pose, outsideM: OUTSIDE_M })),
  };
}

/** The boat with a design fault in a circuit. */
export function spoiled(job: Job, circuitId: string, key: DesignFaultKey): Job {
  const fault: DesignFault = designFaults[key];
  return {
    ...job,
    circuits: job.circuits.map((circuit) => (circuit.id === circuitId ? fault.spoil(circuit) : circuit)),
  };
}
