import type { AssessedAlarm, AssessedPump } from '../assess';
import { groundOf } from '../prove/proveTests';
import type { Ground } from '../prove/ground';
import { hypothesesOf } from './hypotheses';
import type { Hypothesis } from './hypothesis';
import {
  huntInstruments,
  START,
  travelMinutes,
  type Access,
  type Carried,
  type HuntTest,
  type Reading,
} from './huntTest';
import { huntTests } from './huntTests';
import { classesOf, type OutcomeClass } from './outcomes';
import { Predictions, UNSTEADY } from './predictions';
import type { Problem } from './problem';
import type { SharesKnown } from '../reference';
import { symptomKinds, Symptoms, type Symptom, type SymptomCode } from './symptoms';

/** What a hunt begins with. */
export interface HuntAsked extends SharesKnown {
  readonly symptom: SymptomCode;
  readonly access?: Access;
  /** Instruments at hand; left out: all. */
  readonly carried?: readonly Carried[];
  /** Hypotheses that are left out, by their ids: what a hunt does about a fault that it does not know. */
  readonly without?: readonly string[];
  /** The battery as it was read at rest, V. */
  readonly restingV?: number;
}

/** A test with what it reads under each hypothesis. */
export interface PredictedTest {
  readonly test: HuntTest;
  readonly readings: readonly Reading[];
  readonly classes: readonly OutcomeClass[];
  /** The class of each hypothesis. */
  readonly answers: readonly number[];
  /** How many different words it may read, one that nobody thought of among them. */
  readonly said: number;
}

/** Everything a hunt goes by: what may be wrong, what can be asked, and what that would read. */
export interface HuntModel {
  readonly ground: Ground;
  readonly hypotheses: readonly Hypothesis[];
  readonly tests: readonly PredictedTest[];
  /** For each thing by which it is tried whether the symptom is there, the ids of the tests that do so. */
  readonly trials: readonly ReadonlySet<string>[];
  readonly problem: Problem;
}

/** Symptoms that can be stated of a circuit. */
export function symptomsOf(assessed: AssessedPump | AssessedAlarm): Symptom[] {
  return new Symptoms(groundOf(assessed, {})).possible(hypothesesOf(assessed));
}

/**
 * What a hunt goes by, with every test that tells anything of what shows the symptom.
 * @throws RangeError for a symptom that this circuit cannot have
 */
export function huntModel(assessed: AssessedPump | AssessedAlarm, asked: HuntAsked): HuntModel {
  const { symptom, access = 'easy', carried = huntInstruments, without = [], restingV } = asked;
  const ground = groundOf(assessed, {});
  const symptoms = new Symptoms(ground);
  const known = hypothesesOf(assessed, asked);
  const all = known.filter(({ id }) => !without.includes(id));
  // The symptom is the first reading; that it was a mistake stays in the list.
  const shown = all.filter((one) => symptoms.shows(one, symptom));
  if (shown.length === 0) throw new RangeError(`No fault of this circuit shows “${symptom}”.`);
  const faults = shown.filter(({ id }) => id !== 'sound');
  const sound = all.filter(({ id }) => id === 'sound');
  // Nothing is wrong in so many calls, whatever the symptom.
  const mistaken = faults.length === 0 ? 1 : sound.reduce((total, { share }) => total + share, 0);
  const sum = faults.reduce((total, { share }) => total + share, 0);
  const hypotheses = [
    ...faults.map((one) => ({ ...one, share: ((1 - mistaken) * one.share) / sum })),
    ...sound.map((one) => ({ ...one, share: mistaken })),
  ];
  const candidates = huntTests(ground, symptomKinds[symptom].water).filter(({ instrument }) =>
    isAtHand(instrument, carried),
  );
  const predictions = new Predictions(ground, candidates, restingV ?? null);
  // Hypothesis by hypothesis: what was solved of one serves all its tests.
  const read = hypotheses.map((one) => candidates.map((test) => predictions.reading(one, test)));
  const tests = candidates.flatMap((test, at): PredictedTest[] => {
    const readings = read.map((row) => row[at] ?? UNSTEADY);
    const { classes, of } = classesOf(test, readings);
    return classes.length < 2
      ? []
      : [{ test, readings, classes, answers: of, said: classes.filter(({ said }) => said !== null).length + 1 }];
  });
  return {
    ground,
    hypotheses,
    tests,
    trials: symptoms
      .triedBy(symptom)
      .map((tries) => new Set(tests.flatMap(({ test }) => (tries(test) ? [test.id] : []))))
      .filter(({ size }) => size > 0),
    problem: {
      start: START,
      travel: travelMinutes(access),
      hypotheses: hypotheses.map(({ id, share, repair }) => ({ id, share, repair: repair.code })),
      tests: tests.map(({ test: { id, place, minutes }, answers }) => ({ id, place, minutes, answers })),
    },
  };
}

function isAtHand(instrument: HuntTest['instrument'], carried: readonly Carried[]): boolean {
  return instrument === 'voltmeter' || instrument === 'ohmmeter' || instrument === 'clamp'
    ? carried.includes(instrument)
    : true;
}
