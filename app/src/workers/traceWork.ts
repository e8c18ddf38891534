import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Job } from '@harbor-latch/core/job/index';
import {
  buildDrill,
  judgedWiring,
  type BuildDrill,
  type JudgedWiring,
  type Placed,
} from '@harbor-latch/core/trace/buildDrill';
import type { DrillLevel } from '@harbor-latch/core/trace/drill';
import type { ProofReading } from '@harbor-latch/core/trace/fromProof';
import { HarnessIdentifier, harnessOf, type HarnessFound, type HarnessReading } from '@harbor-latch/core/trace/harness';
import type { HuntOrder } from '@harbor-latch/core/trace/hunt';
import { symptomsOf, type HuntAsked } from '@harbor-latch/core/trace/huntModel';
import type { HuntReading } from '@harbor-latch/core/trace/huntReading';
import type { HuntPlace } from '@harbor-latch/core/trace/huntTest';
import type { PanelPosts } from '@harbor-latch/core/trace/panelPosts';
import { PostIdentifier, type PostReading, type PostsFound } from '@harbor-latch/core/trace/posts';
import {
  Practice,
  type PracticeBoat,
  type PracticeReading,
  type PracticeResult,
} from '@harbor-latch/core/trace/practice';
import type { Symptom } from '@harbor-latch/core/trace/symptoms';
import { Tracer, type Tracing } from '@harbor-latch/core/trace/tracing';
import type { UnitSystem } from '@harbor-latch/core/units/index';

/** A circuit of a job, in a system of units. */
export interface AskedCircuit {
  readonly job: Job;
  readonly circuitId: string;
  readonly units: UnitSystem;
}

/** A circuit in which a fault is hunted. */
export interface AskedTracing extends AskedCircuit {
  readonly asked: HuntAsked;
  readonly readings: readonly HuntReading[];
  /** What an open proof of the circuit read already. */
  readonly proof: readonly ProofReading[];
  readonly order: HuntOrder;
}

/** A harness whose wires are to be told apart. */
export interface AskedHarness extends AskedCircuit {
  /** How many come out of the bilge; null: as many as the circuit has. */
  readonly wires: number | null;
  readonly readings: readonly HarnessReading[];
}

/** How far the wires of a harness are told apart. */
export interface HarnessTold {
  /** As few and as many as can be told apart. */
  readonly least: number;
  readonly wires: number;
  /** After so many readings. */
  readonly read: number;
  readonly found: HarnessFound;
}

/** A drill by its number. */
export interface AskedPractice {
  readonly seed: number;
  readonly level: DrillLevel;
}

export type Played = Parameters<Practice['result']>[1];

/** How a drill ended, and how the best hunt goes. */
export interface PracticeEnd {
  readonly result: PracticeResult;
  readonly replay: ReturnType<Practice['replay']>;
  readonly review: ReturnType<Practice['review']>;
}

/** A panel whose posts are asked for, with what was read between them. */
export interface AskedPosts {
  readonly panel: PanelPosts;
  readonly clips: boolean;
  readonly readings: readonly PostReading[];
}

type Sized = Exclude<AssessedCircuit, { status: 'incomplete' }>;

/** Hunting faults, telling posts and wires apart, practising: apart from the page. Of each one is had at a time, and kept. */
export class TraceWork {
  private practised: { readonly key: string; readonly practice: Practice } | null = null;
  private tracer: { readonly key: string; readonly of: AssessedCircuit; readonly tracer: Tracer } | null = null;
  private postsAsked: { readonly key: string; readonly identifier: PostIdentifier } | null = null;
  private harnessAsked: { readonly wires: number; readonly of: Sized; readonly identifier: HarnessIdentifier } | null =
    null;

  constructor(private readonly sizedOf: (job: Job, circuitId: string, units: UnitSystem) => Sized | null) {}

  /** What can be stated of a circuit that is not as it should be. */
  symptoms({ job, circuitId, units }: AskedCircuit): readonly Symptom[] {
    const own = this.sizedOf(job, circuitId, units);
    return own ? symptomsOf(own) : [];
  }

  /** How a hunt stands; null for a circuit that is not sized, or a symptom that it can no longer have. */
  tracing({ job, circuitId, units, asked, readings, proof, order }: AskedTracing): Tracing | null {
    const own = this.sizedOf(job, circuitId, units);
    if (!own) return null;
    const key = JSON.stringify([circuitId, asked]);
    try {
      // Its model is what takes time.
      if (this.tracer?.key !== key || this.tracer.of !== own)
        this.tracer = { key, of: own, tracer: new Tracer(own, asked) };
      return this.tracer.tracer.after(readings, order, proof);
    } catch (error) {
      if (error instanceof RangeError) return null;
      throw error;
    }
  }

  /** Which post is which, as far as the readings tell. */
  posts({ panel, clips, readings }: AskedPosts): PostsFound {
    const key = JSON.stringify([panel, clips]);
    if (this.postsAsked?.key !== key) this.postsAsked = { key, identifier: new PostIdentifier(panel, clips) };
    return this.postsAsked.identifier.after(readings);
  }

  /** Which wire is which, as far as the readings tell; null for a circuit that is not sized, or so many wires. */
  harness({ job, circuitId, units, wires, readings }: AskedHarness): HarnessTold | null {
    const own = this.sizedOf(job, circuitId, units);
    if (!own) return null;
    const least = Math.max(2, harnessOf(own).length);
    const count = wires ?? least;
    try {
      if (this.harnessAsked?.of !== own || this.harnessAsked.wires !== count)
        this.harnessAsked = { wires: count, of: own, identifier: new HarnessIdentifier(own, count) };
      return { least, wires: count, read: readings.length, found: this.harnessAsked.identifier.after(readings) };
    } catch (error) {
      if (error instanceof RangeError) return null;
      throw error;
    }
  }

  /** A bare panel that is to be wired. */
  barePanel(seed: number): BuildDrill {
    return buildDrill(seed);
  }

  /** What it does as it was wired. */
  judged(seed: number, placed: Placed): JudgedWiring {
    return judgedWiring(buildDrill(seed), placed);
  }

  private practice({ seed, level }: AskedPractice): Practice {
    const key = `${seed} ${level}`;
    if (this.practised?.key !== key) this.practised = { key, practice: new Practice(seed, level) };
    return this.practised.practice;
  }

  /** A boat with a hidden fault. */
  practiceBoat(asked: AskedPractice): PracticeBoat {
    return this.practice(asked).boat;
  }

  /** What a test reads on it. */
  practiceRead(asked: AskedPractice, test: string, turn: number, from: HuntPlace): PracticeReading | null {
    return this.practice(asked).read(test, turn, from);
  }

  /** What a named repair is worth, and how the best hunt goes. @param done the tests that were done, by their ids */
  practiceResult(asked: AskedPractice, repair: string, played: Played, done: readonly string[]): PracticeEnd {
    const practice = this.practice(asked);
    return { result: practice.result(repair, played), replay: practice.replay(), review: practice.review(done) };
  }
}
