import { msOf } from '../units';
import type { StepMarks } from '../job';
import { cureFactor, type BuildStep } from './steps';

/** How a step stands. */
export type StepStanding =
  | {
      readonly kind: 'done' | 'skipped';
      readonly atMs: number;
      readonly by: string | null;
      readonly reason: string | null;
    }
  /** What it needs is done, and every clock of it has ended. */
  | { readonly kind: 'open' }
  /** A clock still runs. */
  | { readonly kind: 'cures'; readonly untilMs: number; readonly what: string }
  | { readonly kind: 'waits'; readonly for: readonly string[] };

/** A step with how it stands, and the clock that it left running. */
export interface StepNow {
  readonly step: BuildStep;
  readonly standing: StepStanding;
  /** When the clock that it started ends; null where it started none, or is not done. */
  readonly cureEndMs: number | null;
}

/**
 * How the steps stand at a time. A clock runs from the time at which its step was ticked, whatever is open or closed
 * meanwhile; a tick in the future (a clock that was set back) counts from then.
 * @param nowMs ms since 1970
 * @param temperatureC of what cures, °C
 */
export function stepsNow(
  steps: readonly BuildStep[],
  marks: StepMarks,
  nowMs: number,
  temperatureC: number,
): StepNow[] {
  const longer = cureFactor(temperatureC);
  const endOf = new Map<string, number>();
  for (const { id, waitHours } of steps) {
    const mark = marks[id];
    // What starts no clock holds nothing up, whenever it was ticked.
    if (mark && mark.skipped === undefined && waitHours > 0)
      endOf.set(id, msOf(mark.at) + waitHours * longer * 3_600_000);
  }
  return steps.map((step): StepNow => {
    const mark = marks[step.id];
    if (mark) {
      const cureEndMs = endOf.get(step.id) ?? null;
      return {
        step,
        standing: {
          kind: mark.skipped === undefined ? 'done' : 'skipped',
          atMs: msOf(mark.at),
          by: mark.by ?? null,
          reason: mark.skipped ?? null,
        },
        cureEndMs,
      };
    }
    const missing = step.needs.filter((need) => !marks[need]);
    if (missing.length > 0) return { step, standing: { kind: 'waits', for: missing }, cureEndMs: null };
    const untilMs = Math.max(0, ...step.needs.map((need) => endOf.get(need) ?? 0));
    const last = steps.find(({ id }) => step.needs.includes(id) && endOf.get(id) === untilMs);
    return {
      step,
      standing: untilMs > nowMs ? { kind: 'cures', untilMs, what: last?.waitFor ?? 'A clock runs' } : { kind: 'open' },
      cureEndMs: null,
    };
  });
}

/** So far may two devices' clocks be apart without a word, ms. */
const CLOCKS_APART_MS = 5 * 60_000;

/**
 * The step that was ticked furthest ahead of a clock, where that is more than five minutes: then this clock or that of
 * another device is wrong. Null where none was.
 */
export function tickedAhead(steps: readonly BuildStep[], marks: StepMarks, nowMs: number): StepNow | null {
  const ahead = stepsNow(steps, marks, nowMs, 20).flatMap((one) =>
    'atMs' in one.standing && one.standing.atMs > nowMs + CLOCKS_APART_MS ? [{ one, atMs: one.standing.atMs }] : [],
  );
  return ahead.sort((a, b) => b.atMs - a.atMs)[0]?.one ?? null;
}
