import type { AssessedCircuit, Assessment } from '@harbor-latch/core/assess/assessed';
import type { Building } from '@harbor-latch/core/build/building';
import type { BoatSummary } from '@harbor-latch/core/assess/summary';
import type { Verdicts } from '@harbor-latch/core/assess/verdicts';
import type { Job } from '@harbor-latch/core/job/index';
import type { Alternative } from '@harbor-latch/core/sizing/alternatives';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { replaceEqualDeep } from '@tanstack/react-query';
import type { YardOrder } from '@harbor-latch/core/build/openJobs';
import type { CircuitAlarm } from '@harbor-latch/core/log/boatAlarms';
import type { Told } from '@harbor-latch/core/log/alarm';
import type { Proving } from '@harbor-latch/core/prove/proving';
import type {
  AskedBuilding,
  AskedJob,
  AskedOrder,
  AskedProving,
  AskedTouched,
  AskedAlarms,
  AskedTrends,
  Fixes,
  SentAssessment,
} from '../workers/assessWork';
import type { TraceWork } from '../workers/traceWork';
import { afterFrame } from '../afterFrame';
import { Answers } from './Answers';

/** What is asked of hunts, answered later. */
export type TraceAsker = {
  readonly [K in keyof TraceWork]: (...asked: Parameters<TraceWork[K]>) => Promise<ReturnType<TraceWork[K]>>;
};

/** Who assesses jobs, mostly in a worker. */
export interface AssessAsker {
  assessAll(asked: readonly AskedJob[]): Promise<readonly (SentAssessment | null)[]>;
  summaries(asked: readonly Omit<AskedJob, 'have'>[]): Promise<readonly (BoatSummary | null)[]>;
  fixes(job: Job, circuitId: string | null, units: UnitSystem): Promise<Fixes>;
  alternatives(job: Job, circuitId: string, units: UnitSystem): Promise<readonly Alternative[]>;
  verdicts(job: Job, circuitId: string, conductorId: string | null, units: UnitSystem): Promise<Verdicts | null>;
  building(asked: AskedBuilding): Promise<Building | null>;
  yardOrder(asked: AskedOrder): Promise<YardOrder>;
  proving(asked: AskedProving): Promise<Proving | null>;
  touched(asked: AskedTouched): Promise<readonly string[]>;
  trends(asked: AskedTrends): Promise<Told>;
  alarms(asked: AskedAlarms): Promise<readonly CircuitAlarm[]>;
  readonly trace: TraceAsker;
}

/** An assessment as this device holds it: under which number each circuit was sent. */
export interface HeldAssessment extends Assessment {
  readonly stamps: readonly number[];
}

/** Of boats that are looked at one at a time; of a yard, a few lines each. */
const BOATS_AT_ONCE = 4;
const LINES_AT_ONCE = 12;

interface Waiting {
  readonly ask: () => Promise<void>;
  readonly giveUp: () => void;
}

/** What is known of boats, worked out apart from the page. */
export class Assessments {
  readonly boats: Answers<HeldAssessment>;
  readonly lines: Answers<BoatSummary>;
  /** What is asked for beside, by what it is for: only the last of each is worked out. */
  private readonly waiting = new Map<string, Waiting>();
  private busy = false;

  constructor(private readonly asker: AssessAsker) {
    this.boats = new Answers(async (asked) => {
      const sent = await asker.assessAll(
        asked.map(({ job, units, before }) => ({ job, units, have: before?.stamps ?? [] })),
      );
      return sent.map((one, at) => one && merged(one, asked[at]?.before));
    }, BOATS_AT_ONCE);
    this.lines = new Answers(
      (asked) => asker.summaries(asked.map(({ job, units }) => ({ job, units }))),
      LINES_AT_ONCE,
    );
    this.boats.subscribe(() => void this.work());
  }

  /** Fixes of the findings of a circuit, or of the boat; tried once nothing is left to be assessed. */
  fixes(job: Job, circuitId: string | null, units: UnitSystem, why: 'shown' | 'taken'): Promise<Fixes> {
    return this.later(`fixes ${job.boat.id} ${circuitId} ${why}`, () => this.asker.fixes(job, circuitId, units));
  }

  /** Other sizes of a circuit side by side. */
  alternatives(job: Job, circuitId: string, units: UnitSystem): Promise<readonly Alternative[]> {
    return this.later(`sizes ${job.boat.id} ${circuitId}`, () => this.asker.alternatives(job, circuitId, units));
  }

  /** What each rating of a circuit's fuse would bring, or each size of one of its conductors. */
  verdicts(job: Job, circuitId: string, conductorId: string | null, units: UnitSystem): Promise<Verdicts | null> {
    const what = `verdicts ${job.boat.id} ${circuitId} ${conductorId}`;
    return this.later(what, () => this.asker.verdicts(job, circuitId, conductorId, units));
  }

  /** What building a circuit takes. */
  building(asked: AskedBuilding): Promise<Building | null> {
    return this.later(`building ${asked.job.boat.id} ${asked.circuitId}`, () => this.asker.building(asked));
  }

  /** The tests of a circuit in a phase. */
  proving(asked: AskedProving): Promise<Proving | null> {
    const what = `proving ${asked.job.boat.id} ${asked.circuitId} ${asked.phase}`;
    return this.later(what, () => this.asker.proving(asked));
  }

  /** The tests that work at some parts can have touched. */
  touched(asked: AskedTouched): Promise<readonly string[]> {
    return this.later('touched', () => this.asker.touched(asked));
  }

  /** What the log of a circuit shows. */
  trends(asked: AskedTrends): Promise<Told> {
    return this.later(`trends ${asked.circuit}`, () => this.asker.trends(asked));
  }

  /** What the logs of a boat's pumps show. */
  alarms(asked: AskedAlarms): Promise<readonly CircuitAlarm[]> {
    return this.later(`alarms ${asked.job.boat.id}`, () => this.asker.alarms(asked));
  }

  /** What open jobs take beyond the stock. @param what for which page: of each only the last that was asked is worked out */
  yardOrder(what: string, asked: AskedOrder): Promise<YardOrder> {
    return this.later(`order ${what}`, () => this.asker.yardOrder(asked));
  }

  /** Something of a hunt, of telling apart or of practice. @param what for which place: of each only the last that was asked is worked out */
  traced<K extends keyof TraceWork>(
    what: string,
    which: K,
    ...asked: Parameters<TraceWork[K]>
  ): Promise<ReturnType<TraceWork[K]>> {
    return this.later(`${which} ${what}`, () => this.asker.trace[which](...asked));
  }

  /** Asks once what is shown by now is painted: an answer before that would have it shown anew first. */
  private later<T>(what: string, ask: () => Promise<T>): Promise<T> {
    return new Promise((resolve, reject) => {
      this.waiting.get(what)?.giveUp();
      this.waiting.set(what, {
        ask: () => ask().then(resolve, reject),
        giveUp: () => reject(new Error('Asked anew of another state.')),
      });
      void afterFrame().then(() => this.work());
    });
  }

  private async work(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    for (const [what, next] of this.waiting) {
      if (this.boats.working) break;
      this.waiting.delete(what);
      await next.ask();
    }
    this.busy = false;
    if (this.waiting.size > 0 && !this.boats.working) void this.work();
  }
}

/** What was sent, with what the page held already in its place. */
function merged({ circuits, findings }: SentAssessment, before: HeldAssessment | undefined): HeldAssessment {
  const there = new Map<number, AssessedCircuit | undefined>(
    before?.stamps.map((stamp, at) => [stamp, before.circuits[at]]),
  );
  const whole = circuits.flatMap(({ stamp, circuit }) => {
    const one = circuit ? asBefore(circuit, before) : there.get(stamp);
    return one ? [{ stamp, one }] : [];
  });
  return { stamps: whole.map(({ stamp }) => stamp), circuits: whole.map(({ one }) => one), findings };
}

/** What an assessed circuit says the same as before is the same: nothing that shows it is shown anew. */
function asBefore(now: AssessedCircuit, before: HeldAssessment | undefined): AssessedCircuit {
  const last = before?.circuits.find(({ circuit }) => circuit.id === now.circuit.id);
  if (!last || last.status === 'incomplete' || now.status === 'incomplete' || last.status !== now.status) return now;
  const shared = {
    findings: replaceEqualDeep(last.findings, now.findings),
    wiredAs: replaceEqualDeep(last.wiredAs, now.wiredAs),
  };
  if (now.status === 'alarm' || last.status === 'alarm') return { ...now, ...shared };
  return {
    ...now,
    ...shared,
    facts: {
      ...now.facts,
      conductors: replaceEqualDeep(last.facts.conductors, now.facts.conductors),
      supplies: replaceEqualDeep(last.facts.supplies, now.facts.supplies),
      protection: replaceEqualDeep(last.facts.protection, now.facts.protection),
    },
  };
}
