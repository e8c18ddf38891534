import { assess, type AssessedPump } from '../assess';
import type { Circuit, Job } from '../job';
import { groundOf } from '../prove/proveTests';
import type { HuntModel, PredictedTest } from './huntModel';
import { huntMinutes, START, travelMinutes, type Access, type HuntTest } from './huntTest';
import type { Hypothesis } from './hypothesis';
import { repairOf } from './making';
import { classesOf } from './outcomes';

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
  /** The finding by which the assessment tells it; null where figures alone do. */
  readonly finding: string | null;
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

/** A circuit as it is laid out. */
type Laid = AssessedPump;

const pumpIn = (job: Job, circuitId: string): Laid | null => {
  const own = assess(job).find(({ circuit }) => circuit.id === circuitId);
  return own?.status === 'sized' ? own : null;
};

const cm = (metres: number) => `${Math.round(metres * 100)} cm`;
const has = ({ findings }: Laid, code: string) => findings.some(({ id }) => id.split('@')[0] === code);

/** Of an open flow: less is a dribble, less is much too little (E). Volts that a pump wants. */
const DRIBBLE = 0.05;
const WEAK = 0.4;
const FULL_V = 11.5;

/** Something that is measured or watched, and what it shows; every figure from the assessment of the boat as she is. */
const observations: readonly (Pick<HuntTest, 'id' | 'place' | 'minutes' | 'text' | 'instrument'> & {
  readonly shows: (laid: Laid) => string;
})[] = [
  {
    id: 'watch-a-stop',
    place: 'bilge',
    minutes: huntMinutes.bucket,
    instrument: 'eyes and ears',
    text: 'Lever auto: pour a bucket in, and watch the water through a stop and ten minutes after it.',
    shows: (laid) => {
      if (has(laid, 'float-never-stops')) return 'it does not stop: it sucks air and runs on';
      if (has(laid, 'outlet-under-water')) return 'it stops; water runs in from the hose without end';
      return has(laid, 'float-own-water')
        ? 'it stops, the hose empties back, and it starts again'
        : 'it stops, and stays so';
    },
  },
  {
    id: 'heights',
    place: 'bilge',
    minutes: huntMinutes.bilgeVolts,
    instrument: 'hands',
    text: 'Measure over the pump’s base: where the float switches on and off, and where the pump begins to suck air.',
    shows: ({ facts }) => {
      const { float, poses = [] } = facts.water ?? {};
      const prime = poses[0]?.primeLossM ?? 0;
      return float
        ? `on ${cm(float.zM + float.onM)}, off ${cm(float.zM + float.offM)}, air at ${cm(prime)}`
        : 'no float';
    },
  },
  {
    id: 'outlet-outside',
    place: 'panel',
    minutes: huntMinutes.look,
    instrument: 'eyes and ears',
    text: 'Look at the outlet from outside: how high over the water is it?',
    shows: ({ facts }) => {
      const over = facts.water?.poses[0]?.outletOverM ?? null;
      return over === null
        ? 'not to be seen'
        : over > 0
          ? `${cm(over)} over the water`
          : `${cm(-over)} under the water`;
    },
  },
  {
    id: 'hose-measured',
    place: 'bilge',
    minutes: huntMinutes.hose,
    instrument: 'hands',
    text: 'Measure the hose: its bore, its length, and how high it climbs.',
    shows: ({ circuit, facts }) => {
      const hose = circuit.water?.hose;
      const last = hose?.route[hose.route.length - 1];
      return hose && last
        ? `${Math.round(hose.boreM * 1000)} mm, ${last.alongM.toFixed(1)} m long, climbs ${(facts.water?.poses[0]?.liftM ?? 0).toFixed(1)} m`
        : 'no hose';
    },
  },
  {
    id: 'stream',
    place: 'panel',
    minutes: huntMinutes.sense,
    instrument: 'eyes and ears',
    text: 'Lever manual: catch the stream in a bucket and time it.',
    shows: ({ facts }) => {
      const flow = facts.water?.poses[0]?.operating[1]?.flowLPerH ?? 0;
      const open = facts.asMeasured.openFlowLPerH ?? Infinity;
      return flow < DRIBBLE * open
        ? 'a dribble'
        : flow < WEAK * open
          ? 'much less than its label says'
          : 'a full stream';
    },
  },
  {
    id: 'pump-volts',
    place: 'bilge',
    minutes: huntMinutes.bilgeVolts,
    instrument: 'voltmeter',
    text: 'Lever manual: volts across the pump while it runs.',
    shows: ({ facts }) => (facts.asMeasured.pumpV >= FULL_V ? 'about 12 V' : `${facts.asMeasured.pumpV.toFixed(1)} V`),
  },
  {
    id: 'cable-print',
    place: 'panel',
    minutes: huntMinutes.tug,
    instrument: 'eyes and ears',
    text: 'Read the print on the cables behind the panel.',
    shows: ({ facts }) => {
      const sizes = facts.conductors
        .filter(({ planned: { id } }) => ['feed', 'manual', 'auto', 'negative'].includes(id))
        .map(({ size }) => size);
      return [...new Set(sizes)].join(', ');
    },
  },
  {
    id: 'fuse-print',
    place: 'source',
    minutes: huntMinutes.fuseLook,
    instrument: 'eyes and ears',
    text: 'Read the rating on the fuse, and the amperes on the pump’s label.',
    shows: ({ circuit, facts }) =>
      `${facts.protection?.ratingA ?? '?'} A; the label says ${circuit.pump?.currentA ?? '?'} A`,
  },
  {
    id: 'lever-off',
    place: 'panel',
    minutes: huntMinutes.look + huntMinutes.bucket,
    instrument: 'eyes and ears',
    text: 'Lever off: pour water in until the float is up, look and listen.',
    shows: (laid) => (has(laid, 'runs-when-off') ? 'it runs' : 'it stands'),
  },
];

const IN_WORDS: HuntTest['reads'] = { kind: 'shown', sound: '' };

/** Design faults of a symptom that this circuit can have: those that the assessment finds once they are there. */
export function designFaultsOf(job: Job, circuitId: string, symptom: DesignSymptom): DesignFaultKey[] {
  const base = pumpIn(job, circuitId);
  return designFaultKeys.filter((key) => {
    const { finding, symptom: own }: DesignFault = designFaults[key];
    if (own !== symptom || !base || finding === null || has(base, finding)) return false;
    const laid = pumpIn(spoiled(job, circuitId, key), circuitId);
    return laid !== null && has(laid, finding);
  });
}

/**
 * The hunt for a design fault: every part is sound, so only what the layout shows can be asked. Each is as likely as any.
 * @returns null where the circuit can have fewer than two
 */
export function designModel(job: Job, circuitId: string, symptom: DesignSymptom, access: Access): HuntModel | null {
  const base = pumpIn(job, circuitId);
  const keys = designFaultsOf(job, circuitId, symptom);
  if (!base || keys.length < 2) return null;
  const laid = keys.flatMap((key) => pumpIn(spoiled(job, circuitId, key), circuitId) ?? []);
  const hypotheses = keys.map((key): Hypothesis => ({
    id: key,
    words: designFaults[key].words,
    faults: [],
    water: null,
    group: 'wired-wrong',
    repair: repairOf(`design:${key}`, designFaults[key].repair),
    share: 1 / keys.length,
    at: [],
    shows: {},
  }));
  const tests = observations.flatMap(({ shows, ...own }): PredictedTest[] => {
    const test: HuntTest = {
      ...own,
      set: { switches: {}, floats: {}, fusesOut: [] },
      byHand: false,
      reads: IN_WORDS,
    };
    const readings = laid.map(shows);
    const { classes, of } = classesOf(test, readings);
    return classes.length < 2 ? [] : [{ test, readings, classes, answers: of, said: classes.length + 1 }];
  });
  return {
    ground: groundOf(base, {}),
    hypotheses,
    tests,
    trials: [],
    problem: {
      start: START,
      travel: travelMinutes(access),
      hypotheses: hypotheses.map(({ id, share, repair }) => ({ id, share, repair: repair.code })),
      tests: tests.map(({ test: { id, place, minutes }, answers }) => ({ id, place, minutes, answers })),
    },
  };
}
