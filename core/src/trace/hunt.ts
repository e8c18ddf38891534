import type { HuntReading } from './huntReading';
import type { AssessedAlarm, AssessedPump } from '../assess';
import { huntModel, type HuntAsked, type HuntModel, type PredictedTest } from './huntModel';
import { Beliefs, type Suspect } from './beliefs';
import { Confirming } from './confirming';
import type { Repair } from './hypothesis';
import { START, type HuntPlace } from './huntTest';
import { reduced } from './problem';
import { ranked, textbookOrder } from './ranking';
import { Search, type Left } from './search';

/** What is left where a test reads so. */
export interface Leaves {
  readonly reads: string;
  readonly share: number;
  /** Repairs that are left, the likeliest first. */
  readonly repairs: readonly { readonly words: string; readonly share: number }[];
}

export interface NextTest {
  readonly predicted: PredictedTest;
  /** Minutes of it, way included. */
  readonly minutes: number;
  /** Minutes expected from here to a repair, where it is done next. */
  readonly expected: number;
  readonly leaves: readonly Leaves[];
  /** Read once already, and against all else: it is read again. */
  readonly again: boolean;
}

/** How a hunt stands. */
export interface HuntState {
  readonly place: HuntPlace;
  readonly suspects: readonly Suspect[];
  /** Share of what is not in the list. */
  readonly other: number;
  /** Repairs by their share. */
  readonly repairs: readonly { readonly repair: Repair; readonly share: number }[];
  /** The repair that can be justified; null until there is one. */
  readonly settled: { readonly repair: Repair; readonly share: number } | null;
  /** Whether nothing that can be done here tells any more apart. */
  readonly exhausted: boolean;
  /** Whether what was read fits nothing in the list. */
  readonly unlisted: boolean;
  /** The best next tests, the best first. */
  readonly next: readonly NextTest[];
  /** Minutes expected to a repair, and those of the textbook order: from the source outward. */
  readonly expectedMinutes: number;
  readonly textbookMinutes: number;
}

/** A repair is justified from this share on. */
export const JUSTIFIED = 0.97;
/** What is less likely is no longer searched for, while there is enough else. */
const SEARCHED_SHARE = 0.004;
/** Readings that fit nothing in the list: more likely than not it is something else. */
const UNLISTED_SHARE = 0.5;
/** More than this left to what is not in the list, and no repair is named. */
const OTHER_MOST = 0.1;
/** How the next tests are chosen: by the search, or from the source outward whatever it costs. */
export type HuntOrder = 'best' | 'textbook';

/** A hunt: what is known after any readings, in whatever order they came. Taking one back is leaving it out. */
export class Hunt {
  readonly model: HuntModel;
  private readonly beliefs: Beliefs;
  private readonly confirming: Confirming;

  constructor(assessed: AssessedPump | AssessedAlarm, asked: HuntAsked) {
    this.model = huntModel(assessed, asked);
    this.beliefs = new Beliefs(this.model);
    this.confirming = new Confirming(this.model, this.beliefs);
  }

  /** A test by its id; null where there is none that tells anything. */
  test(id: string): PredictedTest | null {
    return this.beliefs.test(id);
  }

  /** How it stands after some readings. @param many how many next tests are told with what they leave */
  after(readings: readonly HuntReading[], order: HuntOrder = 'best', many = 3): HuntState {
    const { hypotheses, problem } = this.model;
    const shares = this.beliefs.shares(readings);
    const other = shares[hypotheses.length] ?? 0;
    const listed = 1 - other;
    const place = this.placeAfter(readings);
    const repairs = this.beliefs.repairs(shares);
    const [first] = repairs;
    const sole = first && first.share >= JUSTIFIED * listed ? first : null;
    const out = new Set(readings.flatMap((one) => (one.kind === 'repaired' ? [] : [one.test])));
    const confirming = sole && this.confirming.next(readings, sole.repair.code, shares, out, place);
    const settled = sole && other <= OTHER_MOST && confirming === null ? sole : null;
    const kept =
      readings.length === 0 ? hypotheses.map((_one, at) => at) : keptOf(shares.slice(0, hypotheses.length), listed);
    const parted = reduced({
      ...problem,
      hypotheses: kept.map((at) => ({
        id: hypotheses[at]?.id ?? '',
        repair: hypotheses[at]?.repair.code ?? '',
        share: shares[at] ?? 0,
      })),
      tests: problem.tests.map((test) => ({
        ...test,
        // What was read already, or cannot be, tells no more.
        answers: out.has(test.id) ? kept.map(() => 0) : kept.map((at) => test.answers[at] ?? 0),
      })),
    });
    const search = new Search(parted);
    const all = search.all;
    const textbook = search.inOrder(textbookOrder(parted), all, place);
    const best = search.chosen(all, place);
    const minutes = best.test === null ? 0 : search.next(all, place).minutes;
    const chosen = settled
      ? []
      : order === 'textbook'
        ? textbook.test === null
          ? []
          : [textbook.test]
        : ranked(search, all, place, best.test, many);
    const confirmed = confirming ? [this.told(confirming, place, kept, shares, out.has(confirming.test.id))] : [];
    return {
      place,
      suspects: this.beliefs.suspects(readings, shares),
      other,
      repairs,
      settled,
      exhausted: settled === null && (sole ? confirming === null : best.test === null),
      unlisted: other > UNLISTED_SHARE,
      next: sole
        ? confirmed
        : chosen.flatMap((at): NextTest[] => {
            const test = parted.tests[at];
            const predicted = test && this.test(test.id);
            if (!predicted) return [];
            return [{ ...this.told(predicted, place, kept, shares), expected: search.withFirst(at, all, place) }];
          }),
      expectedMinutes: settled ? 0 : minutes,
      textbookMinutes: settled ? 0 : textbook.minutes,
    };
  }

  private placeAfter(readings: readonly HuntReading[]): HuntPlace {
    const places = readings.flatMap((one) => {
      const test = one.kind === 'read' ? this.test(one.test)?.test : undefined;
      return test ? [test.place] : [];
    });
    return places[places.length - 1] ?? START;
  }

  /** A test that may come next, from a place. */
  private told(
    predicted: PredictedTest,
    from: HuntPlace,
    kept: Left,
    shares: readonly number[],
    again = false,
  ): NextTest {
    const { minutes, place } = predicted.test;
    const price = minutes + this.model.problem.travel[from][place];
    return { predicted, minutes: price, expected: price, leaves: this.leaves(predicted, kept, shares), again };
  }

  private leaves({ classes, answers }: PredictedTest, kept: Left, shares: readonly number[]): Leaves[] {
    const { hypotheses } = this.model;
    const all = kept.reduce((sum, at) => sum + (shares[at] ?? 0), 0);
    return classes
      .map(({ words }, number): Leaves => {
        const left = kept.filter((at) => answers[at] === number);
        const share = left.reduce((sum, at) => sum + (shares[at] ?? 0), 0);
        const byRepair = new Map<string, { words: string; share: number }>();
        for (const at of left) {
          const one = hypotheses[at];
          if (!one) continue;
          const before = byRepair.get(one.repair.code)?.share ?? 0;
          byRepair.set(one.repair.code, { words: one.repair.words, share: before + (shares[at] ?? 0) / share });
        }
        return { reads: words, share: share / all, repairs: [...byRepair.values()].sort((a, b) => b.share - a.share) };
      })
      .filter(({ share }) => share > 0)
      .sort((a, b) => b.share - a.share);
  }
}

/** Hypotheses that are likely enough to be searched for. */
function keptOf(shares: readonly number[], listed: number): number[] {
  const likely = shares.flatMap((share, at) => (share > SEARCHED_SHARE * listed ? [at] : []));
  return likely.length > 0 ? likely : shares.map((_share, at) => at);
}
