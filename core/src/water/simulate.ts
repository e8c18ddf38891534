import { ourRules } from '../reference';
import { netFlow, passTime, passTo, type Flows, type Passage } from './advance';
import { drain, type BatteryAtWork } from './batteryAtWork';
import { comesAgain, cyclesAhead, type CycleStart } from './cycles';
import { fullAfterS, heldInHoses, untilFull } from './hosesFill';
import { CHARGE_STEP, ModeKeeper } from './modeKeeper';
import { nextClockS, nextThreshold, nextTurnS, nextWatchS } from './nextEvent';
import { feelsLevel, inflow } from './ingress';
import type { PumpAtWork } from './pumpAtWork';
import { runTally } from './runTally';
import { setUp, type SimParts } from './setUp';
import type { SimQuestion, WaterRun } from './simQuestion';
import { TraceKeeper } from './trace';

/** Net flows below this are none, m³/s: a thimble a year. */
const STILL = 1e-13;
/** Water that is this much higher has risen, m³. */
const RISEN_M3 = 1e-6;
/** Rounds in which floats, primes and pumps settle at one moment. */
const MOST_ROUNDS = 50;

/**
 * A well in one attitude over a time: ingress, pumps with prime, hose and drain-back,
 * floats with hysteresis and delays, timers, and batteries that fall as they discharge.
 * Time runs from event to event (a float, a prime, a full hose, a delay, a script, a
 * battery), each met exactly; between them volumes pass by quadrature over the net flow.
 * Deterministic.
 */
export function simulate(question: SimQuestion): WaterRun {
  return new Running(question).run();
}

class Running {
  private nowS = 0;
  private volumeM3: number;
  private inM3 = 0;
  private maxM3: number;
  private limitAtS: number | null = null;
  private alarmAtS: number | null = null;
  private spillsAtS: number | null = null;
  private spilledM3 = 0;
  /** Since when the water has risen with every pump on. */
  private risingSinceS = 0;
  private loses = false;
  private events = 0;
  private readonly parts: SimParts;
  private readonly modes: ModeKeeper;
  private readonly trace: TraceKeeper;
  /** Whether what comes in has nothing to do with the level. */
  private readonly even: boolean;
  /** The pump that started at this moment, and the run when one started last. */
  private started: PumpAtWork | null = null;
  private lastStart: CycleStart | null = null;
  /** The lowest and highest water since then, m³. */
  private cycleLowM3 = Infinity;
  private cycleHighM3 = 0;

  constructor(private readonly question: SimQuestion) {
    const { startM3, ingress, seconds, pumps, tracePieces } = question;
    this.volumeM3 = startM3;
    this.maxM3 = startM3;
    this.even = !feelsLevel(ingress);
    this.parts = setUp(question);
    this.modes = new ModeKeeper(this.parts);
    this.trace = new TraceKeeper(tracePieces, seconds, pumps.length);
  }

  run(): WaterRun {
    const { seconds, stopAtLimit } = this.question;
    this.settle();
    while (this.nowS < seconds) {
      if (stopAtLimit && this.limitAtS !== null) break;
      this.step(seconds);
      this.settle();
      if (this.started) this.skipCycles(this.started);
      this.events += 1;
    }
    return this.result();
  }

  /** Everything that changes at once at this moment. */
  private settle(): void {
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      let changed = false;
      for (const pump of this.parts.pumps) changed = this.settlePump(pump) || changed;
      if (!changed) break;
    }
    for (const alarm of this.parts.alarms) {
      alarm.settle(this.nowS, this.volumeM3);
      if (alarm.closed) this.alarmAtS ??= this.nowS;
    }
    this.maxM3 = Math.max(this.maxM3, this.volumeM3);
    if (this.volumeM3 >= this.parts.limitM3 - 1e-13) this.limitAtS ??= this.nowS;
  }

  private settlePump(pump: PumpAtWork): boolean {
    const { nowS } = this;
    pump.float?.settle(nowS, this.volumeM3);
    pump.settleTimer(nowS);
    let changed = false;
    if (!pump.primed && this.volumeM3 >= pump.gainM3 - 1e-13) {
      pump.primed = true;
      changed = true;
    } else if (pump.primed && pump.energised && this.volumeM3 <= pump.lossM3 + 1e-13) {
      pump.primed = false;
      this.fallBack(pump.giveBack());
      changed = true;
      if (pump.awake && pump.feltAtS === Infinity) pump.sleep(nowS);
    }
    const alive = !this.batteryOf(pump)?.dead;
    const runs = alive && pump.wanted(nowS);
    if (runs && !pump.energised) {
      pump.start(nowS, this.volumeM3, pump.feltAtS === Infinity);
      this.started = pump;
      changed = true;
    } else if (!runs && pump.energised) {
      this.fallBack(pump.stop(nowS));
      changed = true;
    }
    pump.watch(nowS, this.volumeM3);
    return changed;
  }

  private fallBack(backM3: number): void {
    const { topM3 } = this.parts;
    this.spill(Math.max(0, this.volumeM3 + backM3 - topM3));
    this.volumeM3 = Math.min(topM3, this.volumeM3 + backM3);
  }

  /** Water that goes over the well's top into the rest of the boat. */
  private spill(overM3: number): void {
    if (overM3 <= 0) return;
    this.spillsAtS ??= this.nowS;
    this.spilledM3 += overM3;
  }

  private batteryOf({ pump }: PumpAtWork): BatteryAtWork | undefined {
    return this.parts.batteries.find(({ battery }) => battery.id === pump.batteryId);
  }

  /** Cycle after cycle is the same while nothing but clock and charge has moved; those that are counted without being gone through. */
  private skipCycles(pump: PumpAtWork): void {
    this.started = null;
    const before = this.lastStart;
    const now = this.cycleStart(pump);
    this.lastStart = now;
    const still = this.question.throughCycles !== true && this.parts.alarms.every(({ dueS }) => dueS === Infinity);
    if (still && before && comesAgain(before, now) && this.parts.pumps.every((one) => one.atRest(pump))) {
      const times = cyclesAhead(before, now, this.modes.met, this.parts.batteries, CHARGE_STEP / this.parts.fineness);
      if (times > 0) {
        this.repeatCycle(before, now, times);
        this.lastStart = this.cycleStart(pump);
      }
    }
    this.modes.met.clear();
    this.cycleLowM3 = this.volumeM3;
    this.cycleHighM3 = this.volumeM3;
  }

  private cycleStart(pump: PumpAtWork): CycleStart {
    const { nowS, inM3, spilledM3, volumeM3, maxM3 } = this;
    return {
      pump,
      nowS,
      untilS: nextTurnS(this.question, nowS),
      inM3,
      spilledM3,
      volumeM3,
      maxM3,
      reckonings: this.modes.reckonings,
      fillsM3: this.parts.pumps.map(({ fillM3 }) => fillM3),
      tallies: this.parts.pumps.map((one) => one.tally()),
      batteries: this.parts.batteries.map(({ charge, drawnAh }) => ({ charge, drawnAh })),
    };
  }

  private repeatCycle(before: CycleStart, now: CycleStart, times: number): void {
    const periodS = now.nowS - before.nowS;
    const [charge = 0, chargeBefore = 0] = [this.parts.batteries[0]?.charge, before.batteries[0]?.charge];
    this.trace.addCycles(
      this.nowS,
      this.nowS + times * periodS,
      { lowM3: this.cycleLowM3, highM3: this.cycleHighM3, endM3: this.volumeM3 },
      this.parts.pumps.map((pump, index) => (pump.runningS - (before.tallies[index]?.runningS ?? 0)) / periodS),
      [charge, charge + times * (charge - chargeBefore)],
    );
    this.nowS += times * periodS;
    this.risingSinceS += times * periodS;
    this.inM3 += times * (now.inM3 - before.inM3);
    this.spilledM3 += times * (now.spilledM3 - before.spilledM3);
    this.parts.pumps.forEach((pump, index) => pump.repeat(before.tallies[index] ?? pump.tally(), times, periodS));
    this.parts.batteries.forEach((one, index) => {
      const was = before.batteries[index];
      if (!was) return;
      one.charge += times * (one.charge - was.charge);
      one.drawnAh += times * (one.drawnAh - was.drawnAh);
    });
  }

  /** To the next event. */
  private step(endS: number): void {
    const flows = this.flows();
    const net = netFlow(flows, this.volumeM3);
    const leftS = Math.min(endS, nextClockS(this.question, this.parts, this.nowS)) - this.nowS;
    if (net > STILL && this.volumeM3 >= this.parts.topM3 - 1e-13) {
      this.overflow(flows, net, leftS);
      return;
    }
    const target =
      Math.abs(net) < STILL ? NaN : nextThreshold(this.parts, this.volumeM3, net > 0, this.limitAtS === null);
    const known = this.modes.keptPassage(this.volumeM3, net, target);
    if (known && known.seconds <= leftS) {
      this.advance(known);
      return;
    }
    let passage = Number.isNaN(target) ? null : passTo(flows, this.volumeM3, target);
    const byLevel = passage !== null && passage.seconds <= leftS;
    // Water that comes to rest is looked at now and then, so that a pump that never stops is told from one that does.
    if (!passage || !byLevel)
      passage = passTime(flows, this.volumeM3, Math.min(leftS, nextWatchS(this.parts, this.nowS) - this.nowS));
    const fillM3 = heldInHoses(this.modes.mode.takers);
    const cut = untilFull(this.modes.mode.takers, flows, this.volumeM3, passage);
    if (byLevel) this.modes.keep({ fromM3: this.volumeM3, net, target, fillM3, passage: cut });
    this.advance(cut);
  }

  /** Full to the top, what comes in beside what is pumped spills over. */
  private overflow(flows: Flows, net: number, mostS: number): void {
    const { volumeM3 } = this;
    const takes = flows.takes.map((take) => take(volumeM3));
    const seconds = fullAfterS(this.modes.mode.takers, takes, mostS);
    this.spill(net * seconds);
    const takenM3 = takes.map((take) => take * seconds);
    this.advance({ seconds, inM3: flows.inflow(volumeM3) * seconds, takenM3, volumeM3 });
  }

  private advance({ seconds, inM3, takenM3, volumeM3 }: Passage): void {
    const fromM3 = this.volumeM3;
    const toS = this.nowS + seconds;
    this.inM3 += inM3;
    this.parts.pumps.forEach((pump) => {
      const index = this.modes.mode.takers.indexOf(pump);
      pump.took(index >= 0 ? (takenM3[index] ?? 0) : 0, seconds);
    });
    for (const one of this.parts.batteries) drain(one, seconds, toS);
    this.watchRising(toS, volumeM3 > fromM3 + RISEN_M3);
    this.trace.add(this.nowS, toS, fromM3, volumeM3, this.parts.pumps, this.parts.batteries[0]?.charge ?? 0);
    this.volumeM3 = Math.max(0, volumeM3);
    this.cycleLowM3 = Math.min(this.cycleLowM3, this.volumeM3);
    this.cycleHighM3 = Math.max(this.cycleHighM3, this.volumeM3);
    this.nowS = toS;
  }

  /** Half an hour of rising water with every pump on: they lose. */
  private watchRising(toS: number, risen: boolean): void {
    const { pumps } = this.parts;
    if (!risen || pumps.length === 0 || pumps.some(({ energised }) => !energised)) this.risingSinceS = toS;
    else if (toS - this.risingSinceS >= ourRules.neverStopsS.value - 1e-6) this.loses = true;
  }

  private flows(): Flows {
    const { ingress } = this.question;
    this.modes.reckon(this.nowS);
    const { nowS } = this;
    if (this.even) {
      const flow = inflow(ingress, 0, nowS);
      const { mode } = this.modes;
      if (mode.flows && mode.inflow === flow) return mode.flows;
      mode.inflow = flow;
      mode.flows = { inflow: () => flow, even: true, fineness: this.parts.fineness, takes: mode.takes };
      return mode.flows;
    }
    return {
      inflow: (volumeM3) => inflow(ingress, this.parts.levelAt(volumeM3), nowS),
      even: false,
      fineness: this.parts.fineness,
      takes: this.modes.mode.takes,
    };
  }

  private result(): WaterRun {
    const { inM3, volumeM3, nowS, limitAtS, alarmAtS, events } = this;
    const tally = runTally(this.question, this.parts.pumps, this.parts.batteries, {
      inM3,
      volumeM3,
      maxM3: this.maxM3,
      spilledM3: this.spilledM3,
    });
    const trace = this.trace.result((volume) => this.parts.levelAt(volume));
    const { loses, spillsAtS, spilledM3 } = this;
    return { ...tally, seconds: nowS, limitAtS, loses, spillsAtS, spilledM3, alarmAtS, events, trace };
  }
}
