import { ourRules } from '../reference';
import type { PumpRun, SimFloat, SimPump } from './simQuestion';

/** How often a pump at work is looked at, s. */
const WATCH_S = 60;
/** Water that is this much lower is lower, m³. */
const LOWER_M3 = 1e-6;
/** Slack for volumes that are set to a threshold exactly, m³. */
const SLACK_M3 = 1e-13;

/** A float's own contact, with its delays. */
export class FloatAtWork {
  wet: boolean;
  closed: boolean;
  /** When the contact follows; Infinity where it has. */
  dueS = Infinity;

  constructor(
    readonly float: SimFloat,
    readonly onM3: number,
    readonly offM3: number,
    startM3: number,
  ) {
    this.wet = float.stuck === undefined ? startM3 >= onM3 - SLACK_M3 : float.stuck === 'up';
    this.closed = this.wet;
  }

  /** Follows the water and the clock. */
  settle(nowS: number, volumeM3: number): void {
    if (this.float.stuck === undefined) {
      if (!this.wet && volumeM3 >= this.onM3 - SLACK_M3) {
        this.wet = true;
        this.dueS = this.closed ? Infinity : nowS + this.float.onDelayS;
      } else if (this.wet && volumeM3 <= this.offM3 + SLACK_M3) {
        this.wet = false;
        this.dueS = this.closed ? nowS + this.float.runOnS : Infinity;
      }
    }
    if (nowS >= this.dueS) {
      this.closed = this.wet;
      this.dueS = Infinity;
    }
  }

  /** The volume at which it changes next, with the water going one way; NaN where it does not. */
  thresholdM3(rising: boolean): number {
    if (this.float.stuck !== undefined) return NaN;
    if (rising) return this.wet ? NaN : this.onM3;
    return this.wet ? this.offM3 : NaN;
  }
}

/** What adds up over a pump’s runs. */
export interface PumpTally {
  readonly starts: number;
  readonly runningS: number;
  readonly pumpedM3: number;
  readonly completed: number;
  readonly completedS: number;
  readonly ownWater: number;
}

/** A pump as it stands at a moment of a run, and what it has done. */
export class PumpAtWork {
  primed: boolean;
  /** Water that its hose holds and would give back, m³. */
  fillM3 = 0;
  energised = false;
  /** Of a sensing pump: when it wakes, and when it has felt enough. */
  wakeS = 0;
  feltAtS = Infinity;
  awake = false;
  /** When a locked pump's fuse has opened. */
  blownAtS = Infinity;
  starts = 0;
  runningS = 0;
  pumpedM3 = 0;
  private completed = 0;
  private completedS = 0;
  private longestS = 0;
  private shortestS = Infinity;
  private ownWater = 0;
  private startedS = 0;
  private runOutM3 = 0;
  private counted = false;
  private dryS = 0;
  private dryLongestS = 0;
  /** When it is looked at next while the water goes to no level; Infinity while it stands, or never stops. */
  watchS = Infinity;
  /** The lowest water of this run, m³, and when it was last lower than before. */
  private lowestM3 = 0;
  private lowestAtS = 0;
  neverStops = false;

  constructor(
    readonly pump: SimPump,
    readonly float: FloatAtWork | null,
    readonly lossM3: number,
    readonly gainM3: number,
    startM3: number,
  ) {
    this.primed = startM3 >= gainM3 - SLACK_M3;
    if (pump.sensor?.kind === 'timer') this.wakeS = pump.sensor.periodS;
  }

  positionAt(nowS: number): 'manual' | 'off' | 'auto' {
    if (this.pump.turns.length === 0) return 'auto';
    return this.pump.turns.findLast(({ fromS }) => fromS <= nowS)?.position ?? 'auto';
  }

  /** Whether its circuit wants it to run. */
  wanted(nowS: number): boolean {
    const position = this.positionAt(nowS);
    return position === 'manual' || (position === 'auto' && (this.float?.closed === true || this.awake));
  }

  /** When something of it happens by the clock; Infinity where nothing does. */
  nextClockS(nowS: number): number {
    let next = Infinity;
    const dueS = this.float?.dueS ?? Infinity;
    if (dueS > nowS) next = dueS;
    if (this.pump.sensor?.kind === 'timer') {
      const timerS = this.awake ? this.feltAtS : this.wakeS;
      if (timerS > nowS) next = Math.min(next, timerS);
    }
    if (this.blownAtS > nowS) next = Math.min(next, this.blownAtS);
    for (const { fromS } of this.pump.turns) if (fromS > nowS) next = Math.min(next, fromS);
    return next;
  }

  start(nowS: number, volumeM3: number, counted: boolean): void {
    this.energised = true;
    this.startedS = nowS;
    this.runOutM3 = 0;
    this.counted = counted;
    if (counted) this.starts += 1;
    this.watchS = this.neverStops ? Infinity : nowS + WATCH_S;
    this.lowestM3 = volumeM3;
    this.lowestAtS = nowS;
    if (this.pump.locked && this.blownAtS === Infinity) this.blownAtS = nowS + this.pump.locked.opensAfterS;
  }

  /** Of a sensing pump: it wakes, and having felt enough runs on or goes back to sleep. */
  settleTimer(nowS: number): void {
    const { sensor } = this.pump;
    if (sensor?.kind !== 'timer') return;
    if (!this.awake && nowS >= this.wakeS) {
      this.awake = true;
      this.feltAtS = nowS + sensor.feelS;
    } else if (this.awake && nowS >= this.feltAtS) {
      this.feltAtS = Infinity;
      if (this.primed && this.energised) this.foundWater();
      else this.sleep(nowS);
    }
  }

  /** Sends a sensing pump to sleep until it is time to feel again. */
  sleep(nowS: number): void {
    const { sensor } = this.pump;
    if (sensor?.kind !== 'timer') return;
    this.awake = false;
    this.feltAtS = Infinity;
    this.wakeS = nowS + sensor.periodS;
  }

  /** A sensing pump that found water has started after all. */
  private foundWater(): void {
    if (!this.counted) this.starts += 1;
    this.counted = true;
  }

  /** Stops it; its hose runs back. @returns what falls into the well, m³ */
  stop(nowS: number): number {
    this.energised = false;
    this.watchS = Infinity;
    if (this.counted) {
      const ranS = nowS - this.startedS;
      this.completed += 1;
      this.completedS += ranS;
      this.longestS = Math.max(this.longestS, ranS);
      this.shortestS = Math.min(this.shortestS, ranS);
      const { drainBackM3 } = this.pump;
      if (drainBackM3 > 0 && this.runOutM3 < ourRules.ownWaterShare.value * drainBackM3 - 1e-9) this.ownWater += 1;
    }
    this.endDry();
    return this.giveBack();
  }

  /** The hose runs back into the well. */
  giveBack(): number {
    const back = this.fillM3;
    this.fillM3 = 0;
    return back;
  }

  /** Counts what it took in a piece of time: the hose fills before anything leaves. */
  took(takenM3: number, seconds: number): void {
    if (!this.energised) return;
    this.runningS += seconds;
    if (this.primed) this.endDry();
    // A timer's own feel is made to run dry.
    else if (this.feltAtS === Infinity) this.dryS += seconds;
    const filling = Math.min(takenM3, this.pump.drainBackM3 - this.fillM3);
    this.fillM3 += Math.max(0, filling);
    const out = takenM3 - Math.max(0, filling);
    this.pumpedM3 += out;
    this.runOutM3 += out;
  }

  private endDry(): void {
    this.dryLongestS = Math.max(this.dryLongestS, this.dryS);
    this.dryS = 0;
  }

  /** Looks whether the water has become lower within the last half an hour. */
  watch(nowS: number, volumeM3: number): void {
    if (!this.energised) return;
    if (volumeM3 < this.lowestM3 - LOWER_M3) {
      this.lowestM3 = volumeM3;
      this.lowestAtS = nowS;
    } else if (nowS - this.lowestAtS >= ourRules.neverStopsS.value - 1e-6) {
      this.neverStops = true;
      this.watchS = Infinity;
    }
    if (nowS >= this.watchS) this.watchS = nowS + WATCH_S;
  }

  /** What adds up over its runs. */
  tally(): PumpTally {
    const { starts, runningS, pumpedM3, completed, completedS, ownWater } = this;
    return { starts, runningS, pumpedM3, completed, completedS, ownWater };
  }

  /**
   * Whether nothing of it is pending at the beginning of a cycle, and it stands, starts, or runs
   * on through all of them: only then is the next cycle like the last.
   */
  atRest(starting: PumpAtWork): boolean {
    return (
      this.pump.sensor?.kind !== 'timer' &&
      this.blownAtS === Infinity &&
      (this.float?.dueS ?? Infinity) === Infinity &&
      this.dryS === 0 &&
      (this.energised === (this === starting) || (this.neverStops && this.primed))
    );
  }

  /** Counts cycles like the last one, which began with a tally, that many times more. */
  repeat(before: PumpTally, times: number, periodS: number): void {
    // One that ran on through them began when it began.
    if (this.starts > before.starts) this.startedS += times * periodS;
    else this.runOutM3 += times * (this.pumpedM3 - before.pumpedM3);
    this.starts += times * (this.starts - before.starts);
    this.runningS += times * (this.runningS - before.runningS);
    this.pumpedM3 += times * (this.pumpedM3 - before.pumpedM3);
    this.completedS += times * (this.completedS - before.completedS);
    this.completed += times * (this.completed - before.completed);
    this.ownWater += times * (this.ownWater - before.ownWater);
    this.watchS += times * periodS;
    this.lowestAtS += times * periodS;
  }

  result(): PumpRun {
    this.endDry();
    const { completed } = this;
    return {
      id: this.pump.id,
      starts: this.starts,
      runS: completed > 0 ? this.completedS / completed : null,
      longestRunS: completed > 0 ? this.longestS : null,
      shortestRunS: completed > 0 ? this.shortestS : null,
      runningS: this.runningS,
      drySecondsLongest: this.dryLongestS,
      pumpedM3: this.pumpedM3,
      ownWaterRuns: this.ownWater,
      neverStops: this.neverStops,
    };
  }
}
