import { z } from 'zod';
import { entryId, photographIds, said, day, words } from './fields';
import { kindOf } from './kind';

/** Something was cleaned. */
export const cleaning = kindOf(
  'Cleaning',
  z.strictObject({
    what: said('Say what was cleaned.', 300),
    note: words.optional(),
    photographs: photographIds.optional(),
  }),
  { inWords: ({ what }) => `Cleaned: ${what}`, photographs: ({ photographs }) => photographs ?? [] },
);

/** How much rain fell in a day, mm: it is taken out of what the pump had to do. */
export const rain = kindOf(
  'Rain',
  z.strictObject({
    day,
    mm: z
      .number({ error: 'Rain is a number of mm.' })
      .min(0, { error: 'Rain is 0 mm or more.' })
      .max(1000, { error: 'No day has had so much rain.' }),
  }),
  { inWords: ({ mm }) => `${mm} mm of rain` },
);

/** The boat was laid up: what was turned off, and by whom. */
export const layUp = kindOf(
  'Laid up',
  z.strictObject({ off: z.array(said('Say what was turned off.', 200)).max(30), note: words.optional() }),
  { inWords: ({ off }) => `Laid up${off.length > 0 ? `, off: ${off.join(', ')}` : ''}` },
);

/** The boat was launched: what was turned on again. */
export const launch = kindOf(
  'Launched',
  z.strictObject({ on: z.array(said('Say what was turned on.', 200)).max(30), note: words.optional() }),
  { inWords: ({ on }) => `Launched${on.length > 0 ? `, on: ${on.join(', ')}` : ''}` },
);

/** An alarm that was raised. */
export const alarm = kindOf(
  'Alarm',
  z.strictObject({
    code: z.string().regex(/^[a-z][a-z-]{1,39}$/),
    words: said('Say what it was.'),
    at: z.iso.datetime(),
  }),
  { inWords: ({ words: told }) => told },
);

/** What somebody wanted to say. */
export const note = kindOf(
  'Note',
  z.strictObject({
    words: said('Write the note.'),
    of: entryId.optional().describe('The entry it is about.'),
    photographs: photographIds.optional(),
  }),
  { inWords: ({ words: told }) => told, photographs: ({ photographs }) => photographs ?? [] },
);

/** Photographs of something. */
export const photograph = kindOf(
  'Photograph',
  z.strictObject({
    words: words.optional(),
    of: entryId.optional(),
    photographs: photographIds.min(1, { error: 'One photograph at least.' }),
  }),
  {
    inWords: ({ words: told, photographs }) =>
      told ?? (photographs.length === 1 ? 'A photograph' : `${photographs.length} photographs`),
    photographs: ({ photographs }) => photographs,
  },
);

/** An earlier entry was wrong: it stays, and counts no more. */
export const withdrawn = kindOf('Taken back', z.strictObject({ entry: entryId, reason: words.optional() }), {
  inWords: ({ reason }) => `An entry was taken back${reason ? `: ${reason}` : ''}`,
});

/** How wide a window of readings is on this boat. */
export const window = kindOf(
  'Window',
  z.strictObject({
    window: z.string().regex(/^[a-z][a-z-]{1,39}$/, { error: 'A window is named by its key.' }),
    to: z
      .number()
      .positive({ error: 'More than nothing.' })
      .max(100, { error: 'At most 100.' })
      .nullable()
      .describe('Null: the usual one.'),
  }),
  { inWords: ({ window: of, to }) => `${of}: ${to === null ? 'the usual window' : `window set to ${to}`}` },
);

/** How often a group of faults is the one on this boat, in place of our own percentage. */
export const faultShare = kindOf(
  'Share of a fault',
  z.strictObject({
    group: z.string().regex(/^[a-z][a-z-]{1,39}$/, { error: 'A group of faults is named by its key.' }),
    percent: z
      .number({ error: 'A percentage.' })
      .min(0, { error: 'Nothing at least.' })
      .max(100, { error: 'At most 100.' })
      .nullable()
      .describe('Null: the usual one.'),
  }),
  {
    inWords: ({ group, percent }) =>
      `${group}: ${percent === null ? 'the usual share of calls' : `${percent} % of calls`}`,
  },
);

/** How often something of the routine is to be done on this boat. */
export const interval = kindOf(
  'Interval',
  z.strictObject({
    routine: z.string().regex(/^[a-z][a-z-]{1,39}$/, { error: 'A routine is named by its key.' }),
    days: z
      .int({ error: 'Days are counted whole.' })
      .min(1, { error: 'One day at least.' })
      .max(5000, { error: 'At most 5000 days.' })
      .nullable()
      .describe('Null: not by the calendar.'),
  }),
  {
    inWords: ({ routine, days }) =>
      days === null ? `${routine}: no longer by the calendar` : `${routine}: every ${days} days`,
  },
);
