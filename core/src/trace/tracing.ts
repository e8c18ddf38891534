import type { AssessedAlarm, AssessedPump } from '../assess';
import type { TerminalRef } from '../circuit';
import { becauseOf } from './diagnose';
import { proveTests } from '../prove/proveTests';
import type { ProveTest } from '../prove/proveTest';
import { fromProof, type ProofReading } from './fromProof';
import { Hunt, type HuntOrder, type NextTest } from './hunt';
import type { HuntReading } from './huntReading';
import type { HuntAsked } from './huntModel';
import type { HuntInstrument, HuntPlace } from './huntTest';
import type { Repair } from './hypothesis';
import type { ShareGroup } from '../reference';

/** A test as a page asks it. */
export interface AskedTest {
  readonly id: string;
  readonly place: HuntPlace;
  readonly text: string;
  readonly instrument: HuntInstrument;
  readonly between: readonly [TerminalRef, TerminalRef] | null;
  /** The unit of what is read; null where it is words. */
  readonly unit: 'V' | 'A' | 'Ω' | null;
  readonly minutes: number;
  readonly expectedMinutes: number;
  /** It was read once, against all else: it is read once more. */
  readonly again: boolean;
  readonly answers: readonly {
    readonly words: string;
    /** What is taken as read where this is touched: a figure of the class, or its words. */
    readonly value: number | string;
    readonly share: number;
    readonly leaves: readonly { readonly words: string; readonly share: number }[];
  }[];
}

/** A suspect as a page shows it. */
export interface ToldSuspect {
  readonly id: string;
  readonly words: string;
  readonly repair: string;
  readonly share: number;
  readonly because: string;
}

/** How a hunt stands, as plain data for a page. */
export interface Tracing {
  /** So many readings of an open proof count in it. */
  readonly carried: number;
  readonly place: HuntPlace;
  readonly suspects: readonly ToldSuspect[];
  readonly other: number;
  /** What is repaired, the likeliest first; `at` are the parts it touches, `group` what was found. */
  readonly repairs: readonly {
    readonly repair: Repair;
    readonly share: number;
    readonly at: readonly string[];
    readonly group: ShareGroup;
  }[];
  /** Shares by part or conductor: where it may be. */
  readonly where: readonly { readonly id: string; readonly share: number }[];
  readonly settled: boolean;
  readonly exhausted: boolean;
  readonly unlisted: boolean;
  readonly next: readonly AskedTest[];
  readonly expectedMinutes: number;
  readonly textbookMinutes: number;
}

const MOST_SUSPECTS = 12;
const LEAST_SHARE = 0.004;

/** A hunt for a page: kept, so that one model serves all its readings. */
export class Tracer {
  private readonly hunt: Hunt;
  private readonly proof: readonly ProveTest[];

  /** @throws RangeError for a symptom that this circuit cannot have */
  constructor(assessed: AssessedPump | AssessedAlarm, asked: HuntAsked) {
    this.hunt = new Hunt(assessed, asked);
    this.proof = proveTests(assessed);
  }

  /** How the hunt stands after some readings. Those of tests that tell nothing here any more are left aside. */
  after(own: readonly HuntReading[], order: HuntOrder = 'best', proof: readonly ProofReading[] = []): Tracing {
    const { hunt } = this;
    const read = new Set(own.flatMap((one) => (one.kind === 'read' && !one.again ? [one.test] : [])));
    const carried = fromProof(
      hunt.model.tests.map(({ test }) => test),
      this.proof,
      proof,
    ).filter((one) => one.kind === 'read' && !read.has(one.test));
    const readings = [...carried, ...own];
    const state = hunt.after(readings, order, 4);
    const { hypotheses } = hunt.model;
    const shares = new Map(state.suspects.map(({ hypothesis, share }) => [hypothesis.id, share]));
    const where = new Map<string, number>();
    for (const { id, at } of hypotheses)
      for (const part of new Set(at)) where.set(part, (where.get(part) ?? 0) + (shares.get(id) ?? 0));
    return {
      carried: carried.length,
      place: state.place,
      suspects: state.suspects
        .filter(({ share }) => share >= LEAST_SHARE)
        .slice(0, MOST_SUSPECTS)
        .map(({ hypothesis: { id, words, repair }, share, because }) => ({
          id,
          words,
          repair: repair.words,
          share,
          because: because === null ? '' : becauseOf(hunt, readings[because]),
        })),
      other: state.other,
      repairs: state.repairs.slice(0, 4).map(({ repair, share }) => {
        const own = hypotheses.filter((one) => one.repair.code === repair.code);
        const [likeliest] = [...own].sort((a, b) => (shares.get(b.id) ?? 0) - (shares.get(a.id) ?? 0));
        return {
          repair,
          share,
          at: [...new Set(own.flatMap(({ at }) => at))],
          group: likeliest?.group ?? 'sound',
        };
      }),
      where: [...where].map(([id, share]) => ({ id, share })).sort((a, b) => b.share - a.share),
      settled: state.settled !== null,
      exhausted: state.exhausted,
      unlisted: state.unlisted,
      next: state.next.map(askedTest),
      expectedMinutes: state.expectedMinutes,
      textbookMinutes: state.textbookMinutes,
    };
  }
}

function askedTest({ predicted, minutes, expected, leaves, again }: NextTest): AskedTest {
  const { test, classes } = predicted;
  const { reads } = test;
  return {
    id: test.id,
    place: test.place,
    text: test.text,
    instrument: test.instrument,
    between: test.between ?? null,
    unit: reads.kind === 'volts' ? 'V' : reads.kind === 'amps' ? 'A' : reads.kind === 'ohms' ? 'Ω' : null,
    minutes,
    expectedMinutes: expected,
    again,
    answers: leaves.flatMap(({ reads: words, share, repairs }) => {
      const found = classes.find((one) => one.words === words);
      if (!found) return [];
      const value = found.said ?? ((found.low ?? 0) + (found.high ?? 0)) / 2;
      return [{ words, value, share, leaves: repairs.slice(0, 3) }];
    }),
  };
}
