import { z } from 'zod';
import { day, words } from './fields';
import { kindOf } from './kind';

const seconds = (most: number, what: string) =>
  z
    .number({ error: `${what} is a number of seconds.` })
    .min(0, { error: `${what} is 0 s or more.` })
    .max(most, { error: `${what} is too long for that time.` });

/** How often and how long the pump ran over some days. */
export const runCount = kindOf(
  'Run count',
  z
    .strictObject({
      day: day.describe('The last of the days.'),
      days: z
        .int({ error: 'Days are counted whole.' })
        .min(1, { error: 'One day at least.' })
        .max(366, { error: 'At most a year.' }),
      starts: z.int({ error: 'Starts are counted whole.' }).min(0, { error: 'Starts are 0 or more.' }).max(100_000),
      runS: seconds(366 * 86_400, 'The time it ran')
        .optional()
        .describe('In all of these days.'),
      longestS: seconds(366 * 86_400, 'The longest run').optional(),
      litres: z.number().min(0).max(10_000_000).optional(),
      ampHours: z.number().min(0).max(100_000).optional(),
      note: words.optional(),
    })
    .refine(({ days, runS = 0 }) => runS <= days * 86_400, {
      error: 'It cannot have run longer than these days last.',
      path: ['runS'],
    }),
  {
    inWords: ({ starts, days, runS }) =>
      `${starts === 1 ? '1 start' : `${starts} starts`} in ${days === 1 ? 'a day' : `${days} days`}${runS === undefined ? '' : `, ${Math.round(runS / 60)} min in all`}`,
  },
);
