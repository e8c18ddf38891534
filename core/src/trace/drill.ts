import { randomLcg } from 'd3-random';
import { assess, type AssessedAlarm, type AssessedPump } from '../assess';
import type { Job } from '../job';
import { exampleBoat, exampleBoatKeys, exampleBoats, type ExampleBoatKey } from '../schemes';
import { decisionTree, type Tree } from './decisionTree';
import { designSymptoms, soundLayout, type DesignSymptom } from './designFaults';
import { designModel } from './designModel';
import { huntModel, symptomsOf, type HuntModel } from './huntModel';
import type { Access } from './huntTest';
import type { Story } from '../reference';

/**
 * How hard a drill is: a day boat that is easily reached; other boats and hard access; every craft, two faults at once and
 * wires of one colour; boats whose parts are sound and whose layout is not.
 */
export const drillLevels = [1, 2, 3, 4] as const;
export type DrillLevel = (typeof drillLevels)[number];

/** A hidden fault on a made-up boat. */
export interface Drill {
  readonly job: Job;
  readonly circuit: string;
  readonly story: string;
  readonly symptom: { readonly code: string; readonly text: string };
  readonly access: Access;
}

/** What a drill hides, and what the best hunt for it takes. */
export interface DrillSolution {
  readonly fault: string;
  readonly words: string;
  readonly repair: string;
  /** Minutes expected of the best hunt, before anything is known. */
  readonly optimum: number;
  /** The tests of the best hunt for this fault, in order. */
  readonly path: readonly string[];
}

interface Told {
  readonly words: string;
  readonly story: Story;
}

const stories: readonly Told[] = [
  { words: 'She lies in salt water, and nobody has looked into her bilge for years.', story: { salt: true } },
  { words: 'Somebody worked in the boat last week, and left shavings behind.', story: { workedIn: true } },
  { words: 'The panel was rewired last month.', story: { rewired: true } },
  { words: 'She has just come out of the winter shed.', story: { laidUp: true } },
  { words: 'The float is as old as the boat.', story: { oldFloat: true } },
];

const craftOf: Readonly<Record<DrillLevel, readonly ExampleBoatKey[]>> = {
  1: ['day'],
  2: ['open', 'day', 'yacht'],
  3: exampleBoatKeys,
  4: ['open', 'day', 'yacht'],
};

/** A boat of a kind of craft, the same for the same number. */
export function boatOf(key: ExampleBoatKey, seed: number): Job {
  const boatId = `00000000-0000-4000-8000-${(seed >>> 0).toString(16).padStart(12, '0')}`;
  const ids = { boatId, batteryId: 'house', wellId: 'well', circuitIds: ['first', 'second'] };
  return exampleBoat(key, ids, exampleBoats[key].name, undefined, undefined);
}

/** A drill with all that it hides. */
interface Drawn extends Drill {
  readonly assessed: AssessedPump | AssessedAlarm;
  readonly model: HuntModel;
  readonly truth: number;
}

/** Draws one of several, and numbers from 0 to 1. */
export interface Chance {
  readonly number: () => number;
  readonly one: <T>(all: readonly T[]) => T;
}

export function chanceOf(seed: number, level: DrillLevel): Chance {
  const number = randomLcg(((seed * 2_654_435_761 + level) % 2 ** 32) / 2 ** 32);
  // The first numbers of such a generator are alike for seeds that are neighbours.
  for (let warm = 0; warm < 8; warm += 1) number();
  return {
    number,
    one: <T>(all: readonly T[]): T => {
      const found = all[Math.min(all.length - 1, Math.floor(number() * all.length))];
      if (found === undefined) throw new RangeError('Nothing to draw from.');
      return found;
    },
  };
}

/** So many drills of the third level hide two faults, where two come together. */
const TWO_FAULTS = 0.5;

/** The boat rewired by somebody who had one drum: every cable looks alike. */
function oneColour(job: Job): Job {
  const plain = { base: 'white', banded: true } as const;
  return {
    ...job,
    circuits: job.circuits.map((circuit) => ({
      ...circuit,
      build: {
        ...circuit.build,
        colours: Object.fromEntries(
          ['stub', 'feed', 'manual', 'auto', 'negative'].map((conductor) => [conductor, plain] as const),
        ),
      },
    })),
  };
}

/** A hypothesis by its share among those that are meant. */
function drawnFrom(model: HuntModel, chance: Chance, isMeant: (at: number) => boolean): number {
  const meant = model.hypotheses.flatMap((_one, at) => (isMeant(at) ? [at] : []));
  const all = meant.reduce((sum, at) => sum + (model.hypotheses[at]?.share ?? 0), 0);
  let left = chance.number() * all;
  for (const at of meant) {
    left -= model.hypotheses[at]?.share ?? 0;
    if (left <= 0) return at;
  }
  return meant[meant.length - 1] ?? 0;
}

/**
 * A drill by its number: the same for everybody who has it.
 * @param seed a whole number from 0
 * @throws RangeError for any other
 */
export function drawn(seed: number, level: DrillLevel): Drawn {
  if (!Number.isInteger(seed) || seed < 0 || seed > 2 ** 31) throw new RangeError('A drill’s number is whole, from 0.');
  const chance = chanceOf(seed, level);
  const craft = boatOf(chance.one(craftOf[level]), seed);
  if (level === 4) return layoutDrawn(soundLayout(craft), chance);
  const job = level === 3 && chance.number() < 0.5 ? oneColour(craft) : craft;
  const assessed = chance.one(
    assess(job).filter((each): each is AssessedPump | AssessedAlarm => each.status !== 'incomplete'),
  );
  const told = chance.one(stories);
  const symptom = chance.one(symptomsOf(assessed));
  const access: Access = level === 1 || chance.number() < 0.5 ? 'easy' : 'hard';
  const model = huntModel(assessed, { symptom: symptom.code, access, story: told.story });
  const isTwo = (at: number) => (model.hypotheses[at]?.faults.length ?? 0) > 1;
  const two = level === 3 && model.hypotheses.some((_one, at) => isTwo(at)) && chance.number() < TWO_FAULTS;
  const truth = drawnFrom(model, chance, (at) => !two || isTwo(at));
  return { job, assessed, circuit: assessed.circuit.id, story: told.words, symptom, access, model, truth };
}

/** A boat whose parts are sound and whose layout is not. */
function layoutDrawn(job: Job, chance: Chance): Drawn {
  const [circuit] = job.circuits;
  const assessed = assess(job).find((each): each is AssessedPump => each.status === 'sized');
  const access: Access = chance.number() < 0.5 ? 'easy' : 'hard';
  const symptoms = Object.keys(designSymptoms) as DesignSymptom[];
  const models = symptoms.flatMap((code) => {
    const model = circuit ? designModel(job, circuit.id, code, access) : null;
    return model ? [{ code, model }] : [];
  });
  const { code, model } = chance.one(models);
  if (!circuit || !assessed) throw new RangeError('Nothing to draw from.');
  return {
    job,
    assessed,
    circuit: circuit.id,
    story: 'She was built to a plan that nobody checked.',
    symptom: { code, text: designSymptoms[code] },
    access,
    model,
    truth: drawnFrom(model, chance, () => true),
  };
}

/** A hidden fault, without what it is. @throws RangeError for a number that is none */
export function drill(seed: number, level: DrillLevel): Drill {
  const { job, circuit, story, symptom, access } = drawn(seed, level);
  return { job, circuit, story, symptom, access };
}

/** What a drill hides. @throws RangeError for a number that is none */
export function drillSolution(seed: number, level: DrillLevel): DrillSolution {
  const { model, truth } = drawn(seed, level);
  const { tree, minutes } = decisionTree(model);
  const hypothesis = model.hypotheses[truth];
  const classes = new Map(model.tests.map((each) => [each.test.id, each]));
  const path: string[] = [];
  for (let node: Tree = tree; 'test' in node;) {
    const asked = classes.get(node.test);
    const next: Tree | undefined = node.branches[asked?.classes[asked.answers[truth] ?? -1]?.words ?? ''];
    path.push(node.test);
    if (!next) break;
    node = next;
  }
  return {
    fault: hypothesis?.id ?? '',
    words: hypothesis?.words ?? '',
    repair: hypothesis?.repair.words ?? '',
    optimum: minutes,
    path,
  };
}

/** Points of a drill: efficiency 50, diagnosis 25, proof 25. */
export interface DrillPlayed {
  /** Minutes it took. */
  readonly minutes: number;
  /** Minutes expected of the best hunt. */
  readonly optimum: number;
  readonly named: 'right' | 'right group' | 'wrong';
  /** Parts that were bought in vain. */
  readonly boughtInVain: number;
  /** The failing test again; real water on auto; written down. */
  readonly proved: { readonly again: boolean; readonly water: boolean; readonly recorded: boolean };
  /** Something was done that hurts: ohms on a live circuit, a larger fuse, a hand at the impeller on auto. */
  readonly unsafe: boolean;
}

/** What a drill is worth, each part at least 0: 50·exp(−max(0, C − C₀)/C₀) for the way, 25 for the name, 25 for the proof; nothing where it was unsafe. */
export function drillScore({ minutes, optimum, named, boughtInVain, proved, unsafe }: DrillPlayed): number {
  if (unsafe) return 0;
  const over = Math.max(0, minutes - optimum);
  const efficiency = optimum > 0 ? 50 * Math.exp(-over / optimum) : minutes === 0 ? 50 : 0;
  const diagnosis = Math.max(0, (named === 'right' ? 25 : named === 'right group' ? 15 : 0) - 10 * boughtInVain);
  const done = [proved.again, proved.water, proved.recorded].filter(Boolean).length;
  const proof = done === 3 ? 25 : done > 0 ? 10 : 0;
  return efficiency + diagnosis + proof;
}
