import { z } from 'zod';
import { photographIds, words } from './fields';
import { kindOf } from './kind';

/** Something of the routine that was done: a run before a trip, a bucket on auto, a look at the terminals. */
export const check = kindOf(
  'Check',
  z.strictObject({
    routine: z.string().regex(/^[a-z][a-z-]{1,39}$/, { error: 'A routine is named by its key.' }),
    words: words.describe('What was done, as it was asked.'),
    good: z.boolean(),
    note: words.optional(),
    photographs: photographIds.optional(),
  }),
  {
    inWords: ({ words: done, good, note }) => `${done}: ${good ? 'good' : 'not good'}${note ? `. ${note}` : ''}`,
    photographs: ({ photographs }) => photographs ?? [],
  },
);
