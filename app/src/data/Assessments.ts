import type { AssessedCircuit, Assessment } from '@harbor-latch/core/assess/assessed';
import type { Job } from '@harbor-latch/core/job/index';
import type { Alternative } from '@harbor-latch/core/sizing/alternatives';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { replaceEqualDeep } from '@tanstack/react-query';
import type { Fixes, SentAssessment } from '../workers/assessWork';

/** Who assesses jobs, mostly in a worker. */
export interface AssessAsker {
  assess(job: Job, units: UnitSystem, have: readonly number[]): Promise<SentAssessment>;
  fixes(job: Job, circuitId: string | null, units: UnitSystem): Promise<Fixes>;
  alternatives(job: Job, circuitId: string, units: UnitSystem): Promise<readonly Alternative[]>;
}

/** A job as it was last assessed. */
export interface Known {
  readonly job: Job;
  readonly assessment: Assessment;
  /** Whether the job could not be assessed: then this is the last that could be. */
  readonly failed: boolean;
}

interface Held extends Known {
  /** Under which number each circuit was sent. */
  readonly stamps: readonly number[];
}

interface Wanted {
  readonly key: string;
  readonly job: Job;
  readonly units: UnitSystem;
}

/**
 * Assessments of boats, by boat and unit system. What is asked for last is answered
 * first: it is what is looked at. Until a changed job is assessed the last answer stands.
 */
export class Assessments {
  private readonly held = new Map<string, Held>();
  private readonly wanted = new Map<string, Wanted>();
  private readonly listeners = new Set<() => void>();
  /** What is asked for beside assessments. */
  private readonly waiting: (() => Promise<void>)[] = [];
  private busy = false;

  constructor(private readonly asker: AssessAsker) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** The last assessment of a boat; null before there is one. */
  known(job: Job, units: UnitSystem): Known | null {
    return this.held.get(keyOf(job, units)) ?? null;
  }

  /** Asks for the assessment of a job where that is not known yet. */
  want(job: Job, units: UnitSystem): void {
    const key = keyOf(job, units);
    if (this.held.get(key)?.job === job) {
      this.wanted.delete(key);
      return;
    }
    this.wanted.delete(key);
    this.wanted.set(key, { key, job, units });
    if (!this.busy) void this.work();
  }

  /** The assessment of a job as it is, once it is there. */
  answer(job: Job, units: UnitSystem): Promise<Known> {
    return new Promise((resolve) => {
      const look = () => {
        const known = this.known(job, units);
        if (known?.job !== job) return;
        stop();
        resolve(known);
      };
      const stop = this.subscribe(look);
      this.want(job, units);
      look();
    });
  }

  /** Fixes of the findings of a circuit, or of the boat; tried once nothing is left to be assessed. */
  fixes(job: Job, circuitId: string | null, units: UnitSystem): Promise<Fixes> {
    return this.later(() => this.asker.fixes(job, circuitId, units));
  }

  alternatives(job: Job, circuitId: string, units: UnitSystem): Promise<readonly Alternative[]> {
    return this.later(() => this.asker.alternatives(job, circuitId, units));
  }

  private later<T>(ask: () => Promise<T>): Promise<T> {
    return new Promise((resolve, reject) => {
      this.waiting.push(() => ask().then(resolve, reject));
      if (!this.busy) void this.work();
    });
  }

  private async work(): Promise<void> {
    this.busy = true;
    for (;;) {
      const next = this.takeLast();
      const beside = next ? undefined : this.waiting.shift();
      if (next) await this.assess(next);
      else if (beside) await beside();
      else break;
    }
    this.busy = false;
  }

  private async assess({ key, job, units }: Wanted): Promise<void> {
    const before = this.held.get(key);
    try {
      const sent = await this.asker.assess(job, units, before?.stamps ?? []);
      this.held.set(key, merged(job, sent, before));
    } catch {
      // The last answer stands, and it is said; the next change is tried anew.
      this.held.set(key, { ...(before ?? NOTHING_KNOWN), job, failed: true });
    }
    for (const listener of this.listeners) listener();
  }

  private takeLast(): Wanted | undefined {
    const last = [...this.wanted.values()].at(-1);
    if (last) this.wanted.delete(last.key);
    return last;
  }
}

const NOTHING_KNOWN: Omit<Held, 'job' | 'failed'> = { stamps: [], assessment: { circuits: [], findings: [] } };

function keyOf({ boat }: Job, units: UnitSystem): string {
  return `${boat.id} ${units}`;
}

/** What was sent, with what the page held already in its place. */
function merged(job: Job, { circuits, findings }: SentAssessment, before: Held | undefined): Held {
  const there = new Map<number, AssessedCircuit | undefined>(
    before?.stamps.map((stamp, at) => [stamp, before.assessment.circuits[at]]),
  );
  const whole = circuits.flatMap(({ stamp, circuit }) => {
    const one = circuit ? asBefore(circuit, before) : there.get(stamp);
    return one ? [{ stamp, one }] : [];
  });
  return {
    job,
    failed: false,
    stamps: whole.map(({ stamp }) => stamp),
    assessment: { circuits: whole.map(({ one }) => one), findings },
  };
}

/** What an assessed circuit says the same as before is the same: nothing that shows it is shown anew. */
function asBefore(now: AssessedCircuit, before: Held | undefined): AssessedCircuit {
  const last = before?.assessment.circuits.find(({ circuit }) => circuit.id === now.circuit.id);
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
