import type { Building, StepNow } from '../build';

/** Something to be put into a calendar. */
export interface CalendarEvent {
  readonly id: string;
  readonly title: string;
  readonly text: string;
  /** ms since 1970 */
  readonly fromMs: number;
  readonly toMs: number;
}

const FIRST = /^[^.:,]+/;

/** The steps that are left, when one person comes to them, and the ends of the clocks that run now. */
export function stepEvents(
  { list, schedules, fromMs }: Building,
  nowMs: number,
  now: readonly StepNow[],
): CalendarEvent[] {
  const at = (minutes: number) => fromMs + minutes * 60_000;
  const steps = schedules[1].steps.flatMap(({ id, fromMin, toMin }): CalendarEvent[] => {
    const step = list.steps.find((one) => one.id === id);
    if (!step || step.minutes === 0) return [];
    return [{ id, title: FIRST.exec(step.text)?.[0] ?? id, text: step.text, fromMs: at(fromMin), toMs: at(toMin) }];
  });
  const clocks = now.flatMap(({ step, cureEndMs }): CalendarEvent[] =>
    cureEndMs === null || cureEndMs <= nowMs
      ? []
      : [
          {
            id: `${step.id}-ends`,
            title: `${step.waitFor ?? 'A clock'}: over`,
            text: step.text,
            fromMs: cureEndMs,
            toMs: cureEndMs + QUARTER_MS,
          },
        ],
  );
  return [...steps, ...clocks];
}

const QUARTER_MS = 15 * 60_000;
