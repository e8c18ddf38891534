import type { AssessedAlarm, AssessedPump } from '../assess';
import { z } from 'zod';
import { decisionTree, type Tree } from './decisionTree';
import { Hunt, type HuntOrder } from './hunt';
import type { HuntReading } from './huntReading';
import type { HuntAsked, HuntModel, PredictedTest } from './huntModel';

/** A reading as a file or a command gives it. */
const huntReadingSchema = z.union([
  z.strictObject({
    test: z.string().min(1).max(200),
    value: z.number({ error: 'A figure in the test’s unit.' }),
    batteryV: z.number().min(6).max(16).optional(),
  }),
  z.strictObject({
    test: z.string().min(1).max(200),
    outcome: z.string().min(1).max(300),
    batteryV: z.number().min(6).max(16).optional(),
  }),
]);
export const huntReadingsSchema = z.array(huntReadingSchema).max(200, { error: 'At most 200 readings.' });
export type GivenReading = z.infer<typeof huntReadingSchema>;

/** A reading that names no test of this hunt, or says what no test can. */
export class NoSuchReading extends Error {
  constructor(
    message: string,
    /** Its place among the readings. */
    readonly at: number,
  ) {
    super(message);
  }
}

const REPAIR = 'repair:';

/**
 * A reading as the hunt takes it. `repair:CODE` with the outcome `fixed` or `no better` is a repair that was made, the
 * outcome `cannot` a test that cannot be done.
 * @throws NoSuchReading
 */
function readingOf(hunt: Hunt, given: GivenReading, at: number): HuntReading {
  if (given.test.startsWith(REPAIR) && 'outcome' in given)
    return { kind: 'repaired', repair: given.test.slice(REPAIR.length), fixed: given.outcome === 'fixed' };
  const predicted = hunt.test(given.test);
  if (!predicted) throw new NoSuchReading(`There is no test “${given.test}” that tells anything in this hunt.`, at);
  const { id } = predicted.test;
  if ('value' in given) {
    const { kind } = predicted.test.reads;
    if (kind === 'volts' || kind === 'amps' || kind === 'ohms') return { kind: 'read', test: id, value: given.value };
    throw new NoSuchReading(`“${id}” reads words, not a figure: ${wordsOf(predicted)}.`, at);
  }
  if (given.outcome === 'cannot') return { kind: 'cannot', test: id };
  const found = predicted.classes.find(({ words }) => words === given.outcome);
  if (!found) throw new NoSuchReading(`“${id}” does not read “${given.outcome}”: ${wordsOf(predicted)}.`, at);
  const { said, low, high } = found;
  return { kind: 'read', test: id, value: said ?? ((low ?? 0) + (high ?? 0)) / 2 };
}

const wordsOf = ({ classes }: PredictedTest) => classes.map(({ words }) => `“${words}”`).join(', ');

/** The answer of the headless command. */
export interface Diagnosis {
  readonly suspects: readonly {
    readonly fault: string;
    readonly at: readonly string[];
    readonly degree: number | null;
    readonly share: number;
    readonly words: string;
    readonly repair: string;
    readonly because: string;
  }[];
  readonly other: number;
  readonly next: readonly {
    readonly test: string;
    readonly place: string;
    readonly minutes: number;
    readonly text: string;
    readonly expectedMinutes: number;
    /** Read once already, against all else: it is read once more. */
    readonly again: boolean;
    readonly outcomes: readonly {
      readonly reads: string;
      readonly share: number;
      readonly leaves: readonly { readonly repair: string; readonly share: number }[];
    }[];
  }[];
  readonly settled?: { readonly repair: string; readonly share: number };
  readonly exhausted: boolean;
  readonly unlisted: boolean;
  readonly expectedMinutes: number;
  readonly textbookMinutes: number;
}

/**
 * Says what is likely wrong after some readings, and what to test next.
 * @throws RangeError for a symptom that this circuit cannot have; NoSuchReading for a reading that is none
 */
export function diagnose(
  assessed: AssessedPump | AssessedAlarm,
  asked: HuntAsked,
  given: readonly GivenReading[] = [],
  order: HuntOrder = 'best',
): Diagnosis {
  const battery = given.map(({ batteryV }) => batteryV).filter((volts) => volts !== undefined);
  const restingV = battery[battery.length - 1];
  const hunt = new Hunt(assessed, restingV === undefined ? asked : { ...asked, restingV });
  const readings = given.map((one, at) => readingOf(hunt, one, at));
  const state = hunt.after(readings, order);
  return {
    suspects: state.suspects.map(({ hypothesis, share, because }) => ({
      fault: hypothesis.faults.map(({ code }) => code).join('+') || (hypothesis.water ?? hypothesis.id),
      at: hypothesis.at,
      degree: hypothesis.faults[hypothesis.faults.length - 1]?.degree ?? null,
      share,
      words: hypothesis.words,
      repair: hypothesis.repair.code,
      because: because === null ? '' : becauseOf(hunt, readings[because]),
    })),
    other: state.other,
    next: state.next.map(({ predicted: { test }, minutes, expected, leaves, again }) => ({
      test: test.id,
      place: test.place,
      minutes,
      text: test.text,
      expectedMinutes: expected,
      again,
      outcomes: leaves.map(({ reads, share, repairs }) => ({
        reads,
        share,
        leaves: repairs.map((one) => ({ repair: one.words, share: one.share })),
      })),
    })),
    ...(state.settled ? { settled: { repair: state.settled.repair.words, share: state.settled.share } } : {}),
    exhausted: state.exhausted,
    unlisted: state.unlisted,
    expectedMinutes: state.expectedMinutes,
    textbookMinutes: state.textbookMinutes,
  };
}

/** What a reading says for a hypothesis, in a sentence. */
export function becauseOf(hunt: Hunt, reading: HuntReading | undefined): string {
  if (reading?.kind !== 'read') return '';
  const predicted = hunt.test(reading.test);
  if (!predicted) return '';
  const { test } = predicted;
  const unit = { volts: 'V', amps: 'A', ohms: 'Ω', seen: '', outlet: '', shown: '' }[test.reads.kind];
  const read = typeof reading.value === 'number' ? `${Number(reading.value.toPrecision(3))} ${unit}` : reading.value;
  return `${test.text} Read: ${read}.`;
}

/** The hunt with sharp outcomes, for whoever wants to reckon it himself. */
export interface SharpModel {
  readonly start: string;
  readonly travelMinutes: Readonly<Record<string, Readonly<Record<string, number>>>>;
  readonly hypotheses: readonly { readonly id: string; readonly share: number; readonly repair: string }[];
  readonly tests: readonly {
    readonly id: string;
    readonly place: string;
    readonly minutes: number;
    readonly outcomes: Readonly<Record<string, string>>;
  }[];
}

/** A hunt’s model as plain data. */
export function sharpModel({ hypotheses, tests, problem }: HuntModel): SharpModel {
  return {
    start: problem.start,
    travelMinutes: problem.travel,
    hypotheses: problem.hypotheses,
    tests: tests.map(({ test: { id, place, minutes }, classes, answers }) => ({
      id,
      place,
      minutes,
      outcomes: Object.fromEntries(
        hypotheses.map(({ id: hypothesis }, at) => [hypothesis, classes[answers[at] ?? 0]?.words ?? '']),
      ),
    })),
  };
}

/** The whole tree of a hunt, and the minutes it takes on average. */
export function huntTree(model: HuntModel): { readonly tree: Tree; readonly minutes: number } {
  return decisionTree(model);
}
