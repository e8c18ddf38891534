import { routines, type Due } from '../log/routine';
import type { CalendarEvent } from './stepEvents';

const HOUR_MS = 3_600_000;
const NINE = 9 * HOUR_MS;
const DAY_MS = 24 * HOUR_MS;

/** What is due as events of a calendar: each at nine of its day, by the clock of whoever asks. @param whose whose boat and circuit it is, in words */
export function dueEvents(due: readonly Due[], whose: (one: Due) => string, nowMs: number): CalendarEvent[] {
  return due.map((one) => {
    const { name, words } = routines[one.routine];
    // What is overdue already is for tomorrow.
    const at = Math.max(one.dueMs, nowMs);
    const fromMs = Math.floor(at / DAY_MS) * DAY_MS + DAY_MS * (one.dueMs < nowMs ? 1 : 0) + NINE;
    return {
      id: `due-${one.routine}-${one.circuit ?? 'boat'}`,
      title: `${name}: ${whose(one)}`,
      text: words,
      fromMs,
      toMs: fromMs + HOUR_MS / 2,
    };
  });
}
