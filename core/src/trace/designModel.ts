import { assess, type AssessedPump } from '../assess';
import type { Job } from '../job';
import { groundOf } from '../prove/proveTests';
import { designFaultKeys, designFaults, spoiled, type DesignFaultKey, type DesignSymptom } from './designFaults';
import type { HuntModel, PredictedTest } from './huntModel';
import { huntMinutes, START, travelMinutes, type Access, type HuntTest } from './huntTest';
import type { Hypothesis } from './hypothesis';
import { repairOf } from './making';
import { classesOf } from './outcomes';

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
function designFaultsOf(job: Job, circuitId: string, symptom: DesignSymptom): DesignFaultKey[] {
  const base = pumpIn(job, circuitId);
  return designFaultKeys.filter((key) => {
    const { finding, symptom: own } = designFaults[key];
    if (own !== symptom || !base || has(base, finding)) return false;
    const laid = pumpIn(spoiled(job, circuitId, key), circuitId);
    return laid !== null && has(laid, finding);
  });
}

/**
 * The hunt for a design fault: every part is sound, so only what the layout shows can be asked. All are equally likely.
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
