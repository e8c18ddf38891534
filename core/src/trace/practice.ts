import { randomLcg, randomNormal } from 'd3-random';
import type { AssessedCircuit } from '../assess';
import type { TerminalRef } from '../circuit';
import type { Job } from '../job';
import { groupShares } from '../reference';
import { drawn, drillScore, drillSolution, type DrillLevel, type DrillPlayed, type DrillSolution } from './drill';
import { START, type Access, type HuntInstrument, type HuntPlace, type Reading } from './huntTest';
import { classesOf } from './outcomes';
import { spreadOf } from './predictions';
import { Search } from './search';

/** A test that a trainee may do. */
export interface PracticeTest {
  readonly id: string;
  readonly place: HuntPlace;
  readonly instrument: HuntInstrument;
  readonly text: string;
  readonly between: readonly [TerminalRef, TerminalRef] | null;
  /** Its own minutes; the way there is apart. */
  readonly minutes: number;
}

/** A drill as a trainee sees it. */
export interface PracticeBoat {
  readonly job: Job;
  readonly assessed: AssessedCircuit;
  readonly story: string;
  readonly symptom: string;
  readonly access: Access;
  readonly tests: readonly PracticeTest[];
  /** What may be done about it; the list says nothing of what is likely. */
  readonly repairs: readonly { readonly code: string; readonly words: string; readonly buys: boolean }[];
}

/** What a test read, in words, and what it took with the way. */
export interface PracticeReading {
  readonly words: string;
  readonly minutes: number;
}

/** A test that was done, beside the one that was best there. */
export interface PracticeStep {
  readonly text: string;
  /** Minutes expected to the repair where it is done first; null where it told nothing more. */
  readonly expected: number | null;
  /** The best test there; null where nothing was left to test. */
  readonly best: string | null;
  readonly bestExpected: number;
}

const finite = (minutes: number) => (Number.isFinite(minutes) ? minutes : null);

/** What came of a drill. */
export interface PracticeResult extends DrillSolution {
  readonly score: number;
  readonly named: DrillPlayed['named'];
  /** The kind of fault that was hidden, in words. */
  readonly kind: string;
}

const MISREAD = 0.02;
/** The level at which the parts are sound and the layout is not. */
const LAYOUT_LEVEL: DrillLevel = 4;
const unitOf = { volts: 'V', amps: 'A', ohms: 'Ω', seen: '', outlet: '', shown: '' } as const;

/** A drill that is played: the same readings for the same number, test and turn. */
export class Practice {
  private readonly of: ReturnType<typeof drawn>;

  /** @throws RangeError for a number that is none */
  constructor(
    private readonly seed: number,
    private readonly level: DrillLevel,
  ) {
    this.of = drawn(seed, level);
  }

  get boat(): PracticeBoat {
    const { job, assessed, story, symptom, access, model } = this.of;
    const repairs = new Map(model.hypotheses.map(({ repair }) => [repair.code, repair]));
    return {
      job,
      assessed,
      story,
      symptom: symptom.text,
      access,
      tests: model.tests.map(({ test }) => ({
        id: test.id,
        place: test.place,
        instrument: test.instrument,
        text: test.text,
        between: test.between ?? null,
        minutes: test.minutes,
      })),
      repairs: [...repairs.values()].sort((a, b) => (a.words < b.words ? -1 : 1)),
    };
  }

  /** What a test reads. @param turn how many tests were done before it; @param from where the trainee stands */
  read(id: string, turn: number, from: HuntPlace = START): PracticeReading | null {
    const { model, truth } = this.of;
    const at = model.tests.findIndex(({ test }) => test.id === id);
    const found = model.tests[at];
    if (!found) return null;
    const { test, readings } = found;
    const random = randomLcg(((this.seed * 7919 + this.level * 31 + at * 131 + turn * 17) % 2 ** 31) / 2 ** 31);
    for (let warm = 0; warm < 8; warm += 1) random();
    const own = readings[truth] ?? '';
    // The first level reads sharp; the others as a hand does, and two in a hundred wrong.
    const read = this.level > 1 && random() < MISREAD ? (readings[Math.floor(random() * readings.length)] ?? own) : own;
    return {
      words: this.words(test.reads.kind, this.level === 1 ? read : softly(read, spreadOf(test, Number(read)), random)),
      minutes: test.minutes + model.problem.travel[from][test.place],
    };
  }

  private words(kind: keyof typeof unitOf, value: Reading): string {
    if (typeof value === 'string') return value;
    const shown = Math.abs(value) < 0.005 ? 0 : value;
    return `${shown.toFixed(2)} ${unitOf[kind]}`;
  }

  /** What a named repair is worth. */
  result(repair: string, played: Omit<DrillPlayed, 'optimum' | 'named'>): PracticeResult {
    const { model, truth } = this.of;
    const hidden = model.hypotheses[truth];
    const group = model.hypotheses.find((one) => one.repair.code === repair)?.group;
    const named = hidden?.repair.code === repair ? 'right' : hidden?.group === group ? 'right group' : 'wrong';
    const solution = drillSolution(this.seed, this.level);
    const kind = this.level === LAYOUT_LEVEL || !hidden ? 'Laid out wrong' : groupShares[hidden.group].name;
    return { ...solution, named, kind, score: drillScore({ ...played, optimum: solution.optimum, named }) };
  }

  /** What was done, step by step, beside the test that was best there: the minutes that either lets expect to the repair. */
  review(done: readonly string[]): PracticeStep[] {
    const { model, truth } = this.of;
    const search = new Search(model.problem);
    let [left, place] = [search.all, START];
    return done.flatMap((id): PracticeStep[] => {
      const at = model.tests.findIndex(({ test }) => test.id === id);
      const own = model.tests[at];
      if (!own) return [];
      const best = search.chosen(left, place);
      const step: PracticeStep = {
        text: own.test.text,
        expected: finite(search.withFirst(at, left, place)),
        best: best.test === null ? null : (model.tests[best.test]?.test.text ?? null),
        bestExpected: best.minutes,
      };
      left = left.filter((one) => own.answers[one] === own.answers[truth]);
      place = own.test.place;
      return [step];
    });
  }

  /** What each answer of the best hunt’s tests would have told, in order. */
  replay(): { readonly text: string; readonly read: string }[] {
    const { model, truth } = this.of;
    return drillSolution(this.seed, this.level).path.flatMap((id) => {
      const found = model.tests.find(({ test }) => test.id === id);
      if (!found) return [];
      const { classes, of } = classesOf(found.test, found.readings);
      return [{ text: found.test.text, read: classes[of[truth] ?? 0]?.words ?? '' }];
    });
  }
}

function softly(read: Reading, spread: ReturnType<typeof spreadOf>, random: () => number): Reading {
  if (typeof read === 'string') return read;
  const off = randomNormal.source(random)()();
  return read + off * (off < 0 ? spread.below : spread.above);
}
