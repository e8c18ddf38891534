import type { Job } from '@harbor-latch/core/job/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';

/** A job that is asked about, and what was answered of its boat before. */
export interface Question<Answer> {
  readonly job: Job;
  readonly units: UnitSystem;
  readonly before: Answer | undefined;
}

/** What was answered last of a boat. */
export interface Answered<Answer> {
  readonly job: Job;
  /** Undefined where nothing could ever be answered. */
  readonly answer: Answer | undefined;
  /** Whether the job could not be answered: then this is the last that could be. */
  readonly failed: boolean;
}

interface Wanted {
  readonly key: string;
  readonly job: Job;
  readonly units: UnitSystem;
}

/**
 * Answers about boats, by boat and unit system, worked out elsewhere. What is asked for
 * last is answered first: it is what is looked at. Until a changed job is answered the
 * last answer stands.
 */
export class Answers<Answer> {
  private readonly held = new Map<string, Answered<Answer>>();
  private readonly wanted = new Map<string, Wanted>();
  /** What is being answered, by boat and units. */
  private readonly asked = new Map<string, Job>();
  private readonly listeners = new Set<() => void>();
  private busy = false;

  /**
   * @param ask answers several at once; null for one that could not be answered
   * @param atOnce so many are asked for in one go
   */
  constructor(
    private readonly ask: (asked: readonly Question<Answer>[]) => Promise<readonly (Answer | null)[]>,
    private readonly atOnce: number,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** The last answer about a boat; null before there is one. */
  known(job: Job, units: UnitSystem): Answered<Answer> | null {
    return this.held.get(keyOf(job, units)) ?? null;
  }

  /** Asks about a job where that is not known yet. */
  want(job: Job, units: UnitSystem): void {
    const key = keyOf(job, units);
    this.wanted.delete(key);
    if (this.asked.get(key) === job || (!this.asked.has(key) && this.held.get(key)?.job === job)) return;
    this.wanted.set(key, { key, job, units });
    if (!this.busy) void this.work();
  }

  /** Whether something is still to be answered. */
  get working(): boolean {
    return this.busy;
  }

  /** The answer about a job as it is, once it is there. */
  whenKnown(job: Job, units: UnitSystem): Promise<Answered<Answer>> {
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

  private async work(): Promise<void> {
    this.busy = true;
    for (let some = this.takeSome(); some.length > 0; some = this.takeSome()) {
      const asked = some.map(({ key, job, units }) => ({ job, units, before: this.held.get(key)?.answer }));
      for (const { key, job } of some) this.asked.set(key, job);
      const answers = await this.ask(asked).catch(() => []);
      this.asked.clear();
      some.forEach(({ key, job }, at) => {
        const answer = answers[at] ?? undefined;
        const failed = answer === undefined;
        // Where there is no answer the last one stands, and it is said; the next change is tried anew.
        this.held.set(key, { job, answer: failed ? this.held.get(key)?.answer : answer, failed });
      });
      this.busy = this.wanted.size > 0;
      for (const listener of this.listeners) listener();
    }
    this.busy = false;
  }

  /** What was wanted last, and some of the rest in their order. */
  private takeSome(): Wanted[] {
    const all = [...this.wanted.values()];
    const last = all.pop();
    const some = last ? [last, ...all.slice(0, this.atOnce - 1)] : [];
    for (const { key } of some) this.wanted.delete(key);
    return some;
  }
}

function keyOf({ boat }: Job, units: UnitSystem): string {
  return `${boat.id} ${units}`;
}
