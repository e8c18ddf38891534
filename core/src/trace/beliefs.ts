import type { HuntReading } from './huntReading';
import type { HuntModel, PredictedTest } from './huntModel';
import type { Hypothesis, Repair } from './hypothesis';
import type { Reading } from './huntTest';
import { ELSE_SHARE, flatDensity, isOff, likelihood, logOfSum, normalised } from './posterior';

/** A hypothesis with what it is worth by now. */
export interface Suspect {
  readonly hypothesis: Hypothesis;
  readonly share: number;
  /** The reading that speaks for it most, by its place among them; null where none does. */
  readonly because: number | null;
}

/** A repair that did not help was the right one all the same, badly made. */
const BADLY_MADE = 0.002;
/** A reading speaks for a hypothesis where it made it so many times likelier than the mean. */
const SPEAKS_FOR = 1.2;
/** What is less likely than this has no reading that speaks for it. */
const TOLD_SHARE = 0.001;

/** What is believed after some readings: Bayes in logs, so that their order is of no matter. */
export class Beliefs {
  private readonly byId: ReadonlyMap<string, PredictedTest>;

  constructor(private readonly model: HuntModel) {
    this.byId = new Map(model.tests.map((one) => [one.test.id, one]));
  }

  /** A test by its id; null where there is none that tells anything. */
  test(id: string): PredictedTest | null {
    return this.byId.get(id) ?? null;
  }

  /**
   * Shares of every hypothesis and, last, of something else: a fault that is like one of the list in half of what is read,
   * and reads anything in the other half. So a second fault behind a listed one is something else too.
   */
  shares(readings: readonly HuntReading[]): number[] {
    const { hypotheses } = this.model;
    const logs = hypotheses.map(({ share }) => Math.log(share * (1 - ELSE_SHARE)));
    const alike = hypotheses.map(({ share }) => Math.log(share));
    let other = Math.log(ELSE_SHARE);
    for (const one of this.counting(readings)) {
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
      const anything = flatDensity(predicted.test, one.value, predicted.said);
      hypotheses.forEach((_one, at) => {
        const likely = this.likely(predicted, at, one.value);
        logs[at] = (logs[at] ?? 0) + Math.log(likely);
        alike[at] = (alike[at] ?? 0) + Math.log((likely + anything) / 2);
      });
    }
    return normalised([...logs, other + logOfSum(alike)]);
  }

  /** Readings that count: of one that was taken once more and read otherwise, the second alone. */
  private counting(readings: readonly HuntReading[]): readonly HuntReading[] {
    return readings.filter((one, at) => {
      const test = one.kind === 'read' ? this.byId.get(one.test)?.test : undefined;
      if (!test || one.kind !== 'read') return true;
      return !readings
        .slice(at + 1)
        .some((later) => later.kind === 'read' && later.test === one.test && isOff(test, later.value, one.value));
    });
  }

  /** How likely a reading is under a hypothesis. */
  likely(predicted: PredictedTest, at: number, value: Reading): number {
    return likelihood(predicted.test, predicted.readings[at] ?? '', value, predicted.said);
  }

  /** Repairs by their share, the likeliest first. */
  repairs(shares: readonly number[]): { repair: Repair; share: number }[] {
    const byCode = new Map<string, { repair: Repair; share: number }>();
    this.model.hypotheses.forEach(({ repair }, at) => {
      const before = byCode.get(repair.code);
      byCode.set(repair.code, { repair, share: (before?.share ?? 0) + (shares[at] ?? 0) });
    });
    return [...byCode.values()].sort((a, b) => b.share - a.share);
  }

  /** Hypotheses by their share, the likeliest first. */
  suspects(readings: readonly HuntReading[], shares: readonly number[]): Suspect[] {
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
    if ((shares[at] ?? 0) <= TOLD_SHARE) return null;
    let best: number | null = null;
    let most = SPEAKS_FOR;
    readings.forEach((one, place) => {
      const predicted = one.kind === 'read' ? this.byId.get(one.test) : undefined;
      if (!predicted || one.kind !== 'read') return;
      const mean = this.model.hypotheses.reduce(
        (sum, { share }, each) => sum + share * this.likely(predicted, each, one.value),
        0,
      );
      const gain = this.likely(predicted, at, one.value) / mean;
      if (gain > most) [best, most] = [place, gain];
    });
    return best;
  }
}
