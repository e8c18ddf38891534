import type { Beliefs } from './beliefs';
import type { HuntReading } from './huntReading';
import type { HuntModel, PredictedTest } from './huntModel';
import type { HuntPlace, HuntTest, Reading } from './huntTest';
import { isOff } from './posterior';
import { UNSTEADY } from './predictions';

/** A reading shows a fault where it is so many times likelier than in a sound circuit. */
const DIRECT_FACTOR = 20;
/** A test is worth doing for it where most of what is left would show. */
const MOSTLY = 0.6;
/** A pump gets what should drive it where it has so much of the volts of a sound circuit. */
const DRIVEN = 0.9;

/**
 * What is still to be asked before a repair is named. What is left because all else in the list is out is not named yet:
 * it must show itself, where a test looks at it; a reading that speaks against it is taken once more; and nothing is called
 * sound before the very thing that was complained of was tried. It is what keeps a fault that nobody listed from going by
 * another’s name.
 */
export class Confirming {
  /** The place of “nothing is wrong” among the hypotheses: it is always among them. */
  private readonly sound: number;

  constructor(
    private readonly model: HuntModel,
    private readonly beliefs: Beliefs,
  ) {
    this.sound = model.hypotheses.findIndex(({ id }) => id === 'sound');
  }

  /** The test to be done before a repair is named; null where there is none. */
  next(
    readings: readonly HuntReading[],
    repair: string,
    shares: readonly number[],
    out: ReadonlySet<string>,
    from: HuntPlace,
  ): PredictedTest | null {
    const against = this.contradicting(readings, repair, shares);
    if (against) return against;
    if (this.model.hypotheses[this.sound]?.repair.code === repair) return this.untried(readings, out, from);
    return this.shown(readings, repair, shares) ? null : this.showing(shares, repair, out, from);
  }

  /** The test whose one reading speaks against the repair: misread, or right and everything else wrong. */
  private contradicting(
    readings: readonly HuntReading[],
    repair: string,
    shares: readonly number[],
  ): PredictedTest | null {
    const times = new Map<string, number>();
    for (const one of readings) if (one.kind === 'read') times.set(one.test, (times.get(one.test) ?? 0) + 1);
    for (const one of readings) {
      const predicted = one.kind === 'read' ? this.beliefs.test(one.test) : null;
      if (!predicted || one.kind !== 'read' || (times.get(one.test) ?? 0) > 1) continue;
      if (this.shareOf(repair, shares, (at) => isAgainst(predicted, at, one.value)) > MOSTLY) return predicted;
    }
    return null;
  }

  /** Whether some reading shows a fault where it is. */
  private shown(readings: readonly HuntReading[], repair: string, shares: readonly number[]): boolean {
    return readings.some((one) => {
      const predicted = one.kind === 'read' ? this.beliefs.test(one.test) : null;
      if (!predicted || one.kind !== 'read') return false;
      return this.shareOf(repair, shares, (at) => this.shows(predicted, one.value, at)) > MOSTLY;
    });
  }

  /** The cheapest test of something complained of that was not tried yet; null where all was, or cannot be. */
  private untried(readings: readonly HuntReading[], out: ReadonlySet<string>, from: HuntPlace): PredictedTest | null {
    const isAsSound = (ids: ReadonlySet<string>) =>
      readings.some((one) => {
        const predicted = one.kind === 'read' && ids.has(one.test) ? this.beliefs.test(one.test) : null;
        return predicted !== null && one.kind === 'read' && !isAgainst(predicted, this.sound, one.value);
      });
    const open = this.model.trials.filter((ids) => !isAsSound(ids));
    const wanted = (id: string) => !out.has(id) && open.some((ids) => ids.has(id));
    return this.cheapest(from, ({ test: { id } }) => wanted(id));
  }

  private cheapest(from: HuntPlace, isWanted: (one: PredictedTest) => boolean): PredictedTest | null {
    const { tests, problem } = this.model;
    let best: PredictedTest | null = null;
    let least = Infinity;
    for (const one of tests) {
      const minutes = one.test.minutes + problem.travel[from][one.test.place];
      if (minutes < least && isWanted(one)) [best, least] = [one, minutes];
    }
    return best;
  }

  /** The cheapest test that would show a fault where it is; null where there is none left. */
  private showing(
    shares: readonly number[],
    repair: string,
    out: ReadonlySet<string>,
    from: HuntPlace,
  ): PredictedTest | null {
    return this.cheapest(
      from,
      (one) =>
        !out.has(one.test.id) &&
        this.shareOf(repair, shares, (at) => this.shows(one, one.readings[at] ?? '', at)) > MOSTLY,
    );
  }

  /** Whether a reading of a test shows a hypothesis: looked at where it is, and not as in a sound circuit. */
  private shows(predicted: PredictedTest, value: Reading, at: number): boolean {
    if (this.isLocal(predicted, value, at) && this.overSound(predicted, value, at) >= DIRECT_FACTOR) return true;
    // What is wrong inside the pump shows in volts at its own leads that should drive it.
    return this.isAtItsLeads(predicted, at) && !isAgainst(predicted, at, value);
  }

  /** Whether a test looks at what a hypothesis says is wrong, and not at what comes of it elsewhere. */
  private isLocal({ test: { id, between } }: PredictedTest, value: Reading, at: number): boolean {
    const one = this.model.hypotheses[at];
    if (!one) return false;
    const looked = id in one.shows;
    // A blown fuse shows that something blew it, and with it everything is dead: what blew it must be looked at.
    if (one.faults.length > 1 && one.faults.some(({ code }) => code === 'blown-fuse'))
      return looked && !id.startsWith('fuse-look');
    const [red, black] = between ?? [];
    const across =
      red !== undefined &&
      red.part === black?.part &&
      red.part !== this.model.ground.pump?.id &&
      one.at.includes(red.part);
    // What comes and goes does so all over the circuit.
    return looked || (across && value !== UNSTEADY);
  }

  /** Whether a test reads what a pump gets that is held to be wrong inside, where it does not run as it should. */
  private isAtItsLeads({ test: { between, reads, set }, readings }: PredictedTest, at: number): boolean {
    const [red, black] = between ?? [];
    const one = this.model.hypotheses[at];
    if (!one || one.faults.length !== 1 || red === undefined || red.part !== black?.part) return false;
    const [fault] = one.faults;
    return (
      fault?.at === red.part &&
      red.part === this.model.ground.pump?.id &&
      reads.kind === 'volts' &&
      reads.loaded &&
      Number(readings[at]) >= DRIVEN * Number(readings[this.sound]) &&
      fault.code !== 'polarity-reversed' &&
      this.isSeenIn(set, at)
    );
  }

  /** Whether a hypothesis shows in what runs and lights in a position. */
  private isSeenIn(set: HuntTest['set'], at: number): boolean {
    const own = JSON.stringify(set);
    return this.model.tests.some(
      ({ test, readings }) =>
        test.reads.kind === 'seen' && JSON.stringify(test.set) === own && readings[at] !== readings[this.sound],
    );
  }

  /** By how much a reading is likelier under a hypothesis than in the sound circuit. */
  private overSound(predicted: PredictedTest, value: Reading, at: number): number {
    return this.beliefs.likely(predicted, at, value) / this.beliefs.likely(predicted, this.sound, value);
  }

  /** The share of a repair’s hypotheses for which something holds. */
  private shareOf(repair: string, shares: readonly number[], holds: (at: number) => boolean): number {
    let [all, those] = [0, 0];
    this.model.hypotheses.forEach(({ repair: { code } }, at) => {
      if (code !== repair) return;
      all += shares[at] ?? 0;
      if (holds(at)) those += shares[at] ?? 0;
    });
    return all > 0 ? those / all : 0;
  }
}

/** Whether a reading is not what a hypothesis predicts. */
const isAgainst = ({ test, readings }: PredictedTest, at: number, value: Reading): boolean =>
  isOff(test, readings[at] ?? '', value);
