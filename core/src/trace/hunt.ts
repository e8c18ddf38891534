import type { AssessedAlarm, AssessedPump } from '../assess';
import { huntModel, type HuntAsked, type HuntModel, type PredictedTest } from './huntModel';
import type { Hypothesis, Repair } from './hypothesis';
import { START, type HuntPlace, type Reading } from './huntTest';
import { ELSE_SHARE, flatDensity, likelihood, normalised } from './posterior';
import { reduced } from './problem';
import { ranked, textbookOrder } from './ranking';
import { Search, type Left } from './search';

/** Something that was read, seen, or tried. */
export type HuntReading =
  | { readonly kind: 'read'; readonly test: string; readonly value: Reading }
  /** A test that cannot be done. */
  | { readonly kind: 'cannot'; readonly test: string }
  /** A repair that was made, and whether the symptom went. */
  | { readonly kind: 'repaired'; readonly repair: string; readonly fixed: boolean };

/** A hypothesis with what it is worth by now. */
export interface Suspect {
  readonly hypothesis: Hypothesis;
  readonly share: number;
  /** The reading that speaks for it most, by its place among them; null where none does. */
  readonly because: number | null;
}

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
/** A reading shows a fault where it is so many times likelier than in a sound circuit. */
const DIRECT_FACTOR = 20;
/** A test is worth doing for it where most of what is left would show. */
const MOSTLY = 0.6;
/** A repair that did not help was the right one all the same, badly made. */
const BADLY_MADE = 0.002;

/** How the next tests are chosen: by the search, or from the source outward whatever it costs. */
export type HuntOrder = 'best' | 'textbook';

/** A hunt: what is known after any readings, in whatever order they came. Taking one back is leaving it out. */
export class Hunt {
  readonly model: HuntModel;
  private readonly byId: ReadonlyMap<string, PredictedTest>;

  constructor(assessed: AssessedPump | AssessedAlarm, asked: HuntAsked) {
    this.model = huntModel(assessed, asked);
    this.byId = new Map(this.model.tests.map((one) => [one.test.id, one]));
  }

  /** A test by its id; null where there is none that tells anything. */
  test(id: string): PredictedTest | null {
    return this.byId.get(id) ?? null;
  }

  /** How it stands after some readings. @param many how many next tests are told with what they leave */
  after(readings: readonly HuntReading[], order: HuntOrder = 'best', many = 3): HuntState {
    const { hypotheses, problem } = this.model;
    const shares = this.shares(readings);
    const other = shares[hypotheses.length] ?? 0;
    const listed = 1 - other;
    const place = this.placeAfter(readings);
    const repairs = this.repairsOf(shares);
    const [first] = repairs;
    const sole = first && first.share >= JUSTIFIED * listed ? first : null;
    // What is named because all else in the list is out must show itself, where anything shows it.
    const shown = sole !== null && this.shown(readings, sole.repair.code, shares);
    const out = new Set(readings.flatMap((one) => (one.kind === 'repaired' ? [] : [one.test])));
    const confirming = sole && !shown ? this.confirming(shares, sole.repair.code, out, place) : null;
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
    const confirmed = confirming ? [this.told(confirming, place, kept, shares)] : [];
    return {
      place,
      suspects: this.suspects(readings, shares),
      other,
      repairs,
      settled,
      exhausted: settled === null && (sole ? confirming === null : best.test === null),
      unlisted: other > UNLISTED_SHARE,
      next: sole
        ? confirmed
        : chosen.flatMap((at): NextTest[] => {
            const test = parted.tests[at];
            const predicted = test && this.byId.get(test.id);
            if (!predicted) return [];
            return [{ ...this.told(predicted, place, kept, shares), expected: search.withFirst(at, all, place) }];
          }),
      expectedMinutes: settled ? 0 : minutes,
      textbookMinutes: settled ? 0 : textbook.minutes,
    };
  }

  /** Shares of every hypothesis and, last, of something else: Bayes in logs, so that the order of readings is of no matter. */
  private shares(readings: readonly HuntReading[]): number[] {
    const { hypotheses } = this.model;
    const logs = hypotheses.map(({ share }) => Math.log(share * (1 - ELSE_SHARE)));
    let other = Math.log(ELSE_SHARE);
    for (const one of readings) {
      if (one.kind === 'repaired') {
        hypotheses.forEach(({ repair }, at) => {
          const helped = repair.code === one.repair ? 1 - BADLY_MADE : BADLY_MADE;
          logs[at] = (logs[at] ?? 0) + Math.log(one.fixed ? helped : 1 - helped);
        });
        other += Math.log(one.fixed ? BADLY_MADE : 1 - BADLY_MADE);
        continue;
      }
      const predicted = one.kind === 'read' ? this.byId.get(one.test) : undefined;
      if (!predicted || one.kind !== 'read') continue;
      const words = new Set(predicted.readings.filter((each) => typeof each === 'string')).size + 1;
      const each = hypotheses.map((_one, at) =>
        likelihood(predicted.test, predicted.readings[at] ?? '', one.value, words),
      );
      each.forEach((value, at) => (logs[at] = (logs[at] ?? 0) + Math.log(value)));
      other += Math.log(this.otherwise(predicted, each, one.value, words));
    }
    return normalised([...logs, other]);
  }

  /**
   * How likely a reading is where it is something that is not in the list: half as of a fault like those of the list, half
   * anything. So a fault that is named because all others are out must show itself too.
   */
  private otherwise({ test }: PredictedTest, each: readonly number[], value: Reading, words: number): number {
    const mean = this.model.hypotheses.reduce((sum, { share }, at) => sum + share * (each[at] ?? 0), 0);
    return (mean + flatDensity(test, value, words)) / 2;
  }

  /** Whether a test looks at what a hypothesis says is wrong, and not at what comes of it elsewhere. */
  private isLocal({ test: { id, between } }: PredictedTest, at: number): boolean {
    const one = this.model.hypotheses[at];
    if (!one) return false;
    const [red, black] = between ?? [];
    // A blown fuse shows that something blew it, not what.
    if (id.startsWith('fuse-look') && one.faults.length > 1) return false;
    return id in one.shows || (red !== undefined && red.part === black?.part && one.at.includes(red.part));
  }

  /** By how much a reading is likelier under a hypothesis than in the sound circuit. */
  private overSound(predicted: PredictedTest, value: Reading, at: number): number {
    const words = predicted.classes.length + 1;
    const under = (one: number) => likelihood(predicted.test, predicted.readings[one] ?? '', value, words);
    const { hypotheses } = this.model;
    const sound = hypotheses.findIndex(({ id }) => id === 'sound');
    return sound < 0 ? 1 : under(at) / under(sound);
  }

  /** The share of a repair's hypotheses for which something holds. */
  private shareOf(repair: string, shares: readonly number[], holds: (at: number) => boolean): number {
    let [all, those] = [0, 0];
    this.model.hypotheses.forEach(({ repair: { code } }, at) => {
      if (code !== repair) return;
      all += shares[at] ?? 0;
      if (holds(at)) those += shares[at] ?? 0;
    });
    return all > 0 ? those / all : 0;
  }

  /** Whether some reading shows a fault where it is. */
  private shown(readings: readonly HuntReading[], repair: string, shares: readonly number[]): boolean {
    return readings.some((one) => {
      const predicted = one.kind === 'read' ? this.byId.get(one.test) : undefined;
      if (!predicted || one.kind !== 'read') return false;
      const shows = (at: number) =>
        this.isLocal(predicted, at) && this.overSound(predicted, one.value, at) >= DIRECT_FACTOR;
      return this.shareOf(repair, shares, shows) > MOSTLY;
    });
  }

  /** The cheapest test that would show a fault where it is; null where there is none left. */
  private confirming(
    shares: readonly number[],
    repair: string,
    out: ReadonlySet<string>,
    from: HuntPlace,
  ): PredictedTest | null {
    const { tests, problem } = this.model;
    let best: PredictedTest | null = null;
    let least = Infinity;
    for (const one of tests) {
      const minutes = one.test.minutes + problem.travel[from][one.test.place];
      if (out.has(one.test.id) || minutes >= least) continue;
      const shows = (at: number) =>
        this.isLocal(one, at) && this.overSound(one, one.readings[at] ?? '', at) >= DIRECT_FACTOR;
      if (this.shareOf(repair, shares, shows) > MOSTLY) [best, least] = [one, minutes];
    }
    return best;
  }

  private placeAfter(readings: readonly HuntReading[]): HuntPlace {
    const places = readings.flatMap((one) => {
      const test = one.kind === 'read' ? this.byId.get(one.test)?.test : undefined;
      return test ? [test.place] : [];
    });
    return places[places.length - 1] ?? START;
  }

  /** A test that may come next, from a place. */
  private told(predicted: PredictedTest, from: HuntPlace, kept: Left, shares: readonly number[]): NextTest {
    const { minutes, place } = predicted.test;
    const price = minutes + this.model.problem.travel[from][place];
    return { predicted, minutes: price, expected: price, leaves: this.leaves(predicted, kept, shares) };
  }

  private repairsOf(shares: readonly number[]): { repair: Repair; share: number }[] {
    const byCode = new Map<string, { repair: Repair; share: number }>();
    this.model.hypotheses.forEach(({ repair }, at) => {
      const before = byCode.get(repair.code);
      byCode.set(repair.code, { repair, share: (before?.share ?? 0) + (shares[at] ?? 0) });
    });
    return [...byCode.values()].sort((a, b) => b.share - a.share);
  }

  private suspects(readings: readonly HuntReading[], shares: readonly number[]): Suspect[] {
    return this.model.hypotheses
      .map((hypothesis, at): Suspect => ({
        hypothesis,
        share: shares[at] ?? 0,
        because: this.because(readings, at, shares),
      }))
      .sort((a, b) => b.share - a.share);
  }

  /** The reading by which a hypothesis gained most against all others. */
  private because(readings: readonly HuntReading[], at: number, shares: readonly number[]): number | null {
    let best: number | null = null;
    let most = 1.2;
    readings.forEach((one, place) => {
      const predicted = one.kind === 'read' ? this.byId.get(one.test) : undefined;
      if (!predicted || one.kind !== 'read') return;
      const words = predicted.classes.length + 1;
      const own = likelihood(predicted.test, predicted.readings[at] ?? '', one.value, words);
      const mean = this.model.hypotheses.reduce(
        (sum, { share }, each) =>
          sum + share * likelihood(predicted.test, predicted.readings[each] ?? '', one.value, words),
        0,
      );
      const gain = own / mean;
      if (gain > most && (shares[at] ?? 0) > 0.001) [best, most] = [place, gain];
    });
    return best;
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
