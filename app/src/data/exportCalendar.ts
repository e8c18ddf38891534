import type { CalendarEvent } from '@harbor-latch/core/documents/stepEvents';
import { downloadText, fileName } from './files';

/** Exports events as a calendar file; each is reminded of when it begins. @throws where the file could not be made */
export async function exportCalendar(
  name: string,
  events: readonly CalendarEvent[],
  of: 'steps' | 'due' = 'steps',
): Promise<void> {
  const { createEvents } = await import('ics');
  const { error, value } = createEvents(
    events.map(({ id, title, text, fromMs, toMs }) => ({
      uid: `${id}-${fromMs}@harbor-latch`,
      productId: `harbor-latch/${of}`,
      title: `${name}: ${title}`,
      description: text,
      start: fromMs,
      startInputType: 'utc' as const,
      end: toMs,
      endInputType: 'utc' as const,
      alarms: [{ action: 'display' as const, description: title, trigger: { minutes: 0, before: true } }],
    })),
  );
  if (value === undefined || value === null) throw error ?? new Error('The calendar could not be made.');
  downloadText(`${fileName(name, of)}.ics`, value, 'text/calendar');
}
