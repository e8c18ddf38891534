import { Assessor, boatSummaryOf, type BoatSummary } from '@harbor-latch/core/assess/index';
import { buildingOf, type Building } from '@harbor-latch/core/build/building';
import { yardOrder, type OpenJobs, type YardOrder } from '@harbor-latch/core/build/openJobs';
import type { StockState } from '@harbor-latch/core/build/stockLedger';
import { boatAlarms, type CircuitAlarm } from '@harbor-latch/core/log/boatAlarms';
import { trendsOf } from '@harbor-latch/core/log/trendsOf';
import type { Told } from '@harbor-latch/core/log/alarm';
import type { Load } from '@harbor-latch/core/log/loadTrend';
import type { KnownEntry } from '@harbor-latch/core/records/known';
import { otherPumps, provingOf, type Proving, type SignedProof } from '@harbor-latch/core/prove/proving';
import { proveTests } from '@harbor-latch/core/prove/proveTests';
import type { ProvePhase, ReadBattery } from '@harbor-latch/core/prove/proveTest';
import { testsTouchedBy } from '@harbor-latch/core/prove/voids';
import type { Windows } from '@harbor-latch/core/prove/windows';
import type { Verdicts } from '@harbor-latch/core/assess/verdicts';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Finding, Fix } from '@harbor-latch/core/findings/finding';
import type { Job } from '@harbor-latch/core/job/index';
import type { Alternative } from '@harbor-latch/core/sizing/alternatives';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { proxy } from 'comlink';
import { inSteps } from './inSteps';
import { TraceWork } from './traceWork';

/** An assessed circuit by the number under which it was sent; left out where that is the one that is there already. */
export interface Sent {
  readonly stamp: number;
  readonly circuit: AssessedCircuit | null;
}

/** A job to be assessed. */
export interface AskedJob {
  readonly job: Job;
  readonly units: UnitSystem;
  /** Stamps of the circuits that the page holds already. */
  readonly have: readonly number[];
}

/** A circuit that is to be built. */
export interface AskedBuilding {
  readonly job: Job;
  readonly circuitId: string;
  readonly units: UnitSystem;
  /** Of what cures, °C. */
  readonly temperatureC: number;
  /** When it is asked, by the page's clock, ms since 1970. */
  readonly nowMs: number;
}

/** Boats that are built, and what there is to build them of. */
export interface AskedOrder {
  readonly jobs: readonly Job[];
  readonly units: UnitSystem;
  readonly stock: StockState;
  readonly which: OpenJobs;
}

/** A circuit that is proved. */
export interface AskedProving {
  readonly job: Job;
  readonly circuitId: string;
  readonly units: UnitSystem;
  readonly phase: ProvePhase;
  readonly battery: ReadBattery;
  /** The last that was signed of it. */
  readonly signed: SignedProof | null;
  /** Windows that were set for the boat. */
  readonly windows: Windows;
}

/** A circuit at some parts of which something was mended. */
export type AskedTouched = Pick<AskedProving, 'job' | 'circuitId' | 'units'> & { readonly at: readonly string[] };

/** A circuit whose log is looked at. */
export interface AskedTrends {
  readonly entries: readonly KnownEntry[];
  readonly circuit: string;
  readonly load: Load;
  /** By the page's clock, ms since 1970. */
  readonly nowMs: number;
}

/** A boat whose logs are looked through. */
export type AskedAlarms = Pick<AskedProving, 'job' | 'units'> & Pick<AskedTrends, 'entries' | 'nowMs'>;

/** What is answered of a job. */
export interface SentAssessment {
  readonly circuits: readonly Sent[];
  readonly findings: readonly Finding[];
}

/** Fixes by their finding, of one circuit or of the boat. */
export type Fixes = Readonly<Record<string, Fix>>;

function bothSystems(): Readonly<Record<UnitSystem, Assessor>> {
  return { metric: new Assessor('metric'), us: new Assessor('us') };
}

/** Assessing jobs, apart from the page: only what changed is judged again, and only that is sent. */
export class AssessWork {
  private readonly assessors = bothSystems();
  private readonly ofYards = bothSystems();
  private readonly stamps = new WeakMap<AssessedCircuit, number>();
  private lastStamp = 0;
  /** Hunting, telling apart, practising. */
  readonly trace = proxy(new TraceWork((job, circuitId, units) => this.sizedOf(job, circuitId, units)));

  /** What is known of each job; null for one that could not be assessed. */
  assessAll(asked: readonly AskedJob[]): readonly (SentAssessment | null)[] {
    return asked.map((one) => {
      try {
        return this.assess(one);
      } catch {
        return null;
      }
    });
  }

  private assess({ job, units, have }: AskedJob): SentAssessment {
    const { circuits, findings } = this.assessors[units].assess(job);
    return {
      circuits: circuits.map((circuit) => {
        const stamp = this.stampOf(circuit);
        return { stamp, circuit: have.includes(stamp) ? null : circuit };
      }),
      findings,
    };
  }

  /** A few lines of each job; null for one that could not be assessed. */
  summaries(asked: readonly Omit<AskedJob, 'have'>[]): readonly (BoatSummary | null)[] {
    return asked.map(({ job, units }) => {
      try {
        // A yard has more circuits than are worth remembering.
        return boatSummaryOf(this.ofYards[units].assess(job));
      } catch {
        return null;
      }
    });
  }

  /** The fix of each finding that has one. @param circuitId beside which they stand; null for the boat's own */
  fixes(job: Job, circuitId: string | null, units: UnitSystem): Fixes {
    const assessor = this.assessors[units];
    const { circuits, findings } = assessor.assess(job);
    const own = circuits.find(({ circuit }) => circuit.id === circuitId);
    const told = circuitId === null ? findings : own && own.status !== 'incomplete' ? own.findings : [];
    return Object.fromEntries(
      told.flatMap(({ id, mayHaveFix }) => {
        const fix = mayHaveFix ? assessor.fixOf(job, circuitId, id) : undefined;
        return fix ? [[id, fix]] : [];
      }),
    );
  }

  /** Other sizes of a circuit side by side. */
  alternatives(job: Job, circuitId: string, units: UnitSystem): readonly Alternative[] {
    return this.assessors[units].alternativesOf(job, circuitId);
  }

  /** What each rating of the fuse would bring, or each size of a conductor; null where nothing is chosen. */
  verdicts(job: Job, circuitId: string, conductorId: string | null, units: UnitSystem): Promise<Verdicts | null> {
    return inSteps(this.assessors[units].verdictsInSteps(job, circuitId, conductorId));
  }

  /** What building a circuit takes; null for one that is not sized. */
  building({ job, circuitId, units, temperatureC, nowMs }: AskedBuilding): Building | null {
    const own = this.assessors[units].assess(job).circuits.find(({ circuit }) => circuit.id === circuitId);
    return !own || own.status === 'incomplete' ? null : buildingOf(job, own, temperatureC, nowMs);
  }

  /** The tests of a circuit, and what a change made void of its last proof; null for one that is not sized. */
  proving({ job, circuitId, units, phase, battery, signed, windows }: AskedProving): Proving | null {
    const own = this.assessors[units].assess(job).circuits.find(({ circuit }) => circuit.id === circuitId);
    return own ? provingOf(job, own, phase, battery, signed, windows) : null;
  }

  /** What the log of a circuit shows. */
  trends({ entries, circuit, load, nowMs }: AskedTrends): Told {
    return trendsOf(entries, circuit, load, nowMs);
  }

  /** What the logs of a boat's pumps show. */
  alarms({ job, entries, units, nowMs }: AskedAlarms): readonly CircuitAlarm[] {
    return boatAlarms(job, this.ofYards[units].assess(job).circuits, entries, nowMs);
  }

  private sizedOf(job: Job, circuitId: string, units: UnitSystem) {
    const own = this.assessors[units].assess(job).circuits.find(({ circuit }) => circuit.id === circuitId);
    return own && own.status !== 'incomplete' ? own : null;
  }

  /** The tests that work at some parts can have touched. */
  touched({ job, circuitId, units, at }: AskedTouched): readonly string[] {
    const own = this.assessors[units].assess(job).circuits.find(({ circuit }) => circuit.id === circuitId);
    if (!own || own.status === 'incomplete') return [];
    const asked = { others: otherPumps(job, circuitId) };
    return testsTouchedBy(own, proveTests(own, asked), at, asked);
  }

  /** What open jobs take beyond the stock. Boats that cannot be assessed are left out. */
  yardOrder({ jobs, units, stock, which }: AskedOrder): YardOrder {
    const boats = jobs.flatMap((job) => {
      try {
        return [{ job, circuits: this.ofYards[units].assess(job).circuits }];
      } catch {
        return [];
      }
    });
    return yardOrder(boats, stock, which);
  }

  private stampOf(circuit: AssessedCircuit): number {
    const known = this.stamps.get(circuit);
    if (known !== undefined) return known;
    this.lastStamp += 1;
    this.stamps.set(circuit, this.lastStamp);
    return this.lastStamp;
  }
}
