import { stolenShare } from './stolen';

/** A tap is set aside if the machine under this one took more of the processors than this meanwhile. */
const STOLEN = 0.03;
/** Or if a fixed piece of arithmetic took so many times as long as it does at best: the other half of a core was at other work. */
const SLOW = 1.25;

/** A fixed piece of arithmetic, ms. */
function loopMs(): number {
  const begun = performance.now();
  let sum = 0;
  for (let i = 1; i < 2e6; i += 1) sum += Math.sqrt(i) / (i + 1);
  return sum > 0 ? performance.now() - begun : NaN;
}

/** Tells whether the machine was at ease while something was measured: whether nobody else had a part of its processors. */
export class Ease {
  private bestMs = Infinity;

  /**
   * @param loop a fixed piece of work, ms
   * @param stolen begins to watch what the machine under this one takes, 0 to 1
   */
  constructor(
    private readonly loop: () => number = loopMs,
    private readonly stolen: () => () => number = stolenShare,
  ) {
    for (let warm = 0; warm < 20; warm += 1) this.took();
  }

  private took(): number {
    const ms = this.loop();
    this.bestMs = Math.min(this.bestMs, ms);
    return ms;
  }

  /** Begins to watch. @returns ends it, and says whether the machine was at ease before, meanwhile and after */
  watch(): () => boolean {
    const before = this.took();
    const stolen = this.stolen();
    return () => {
      const taken = stolen();
      const slowest = Math.max(before, this.took());
      return taken <= STOLEN && slowest <= SLOW * this.bestMs;
    };
  }
}
