import { z } from 'zod';
import { entryId, words } from './fields';
import { kindOf } from './kind';

/** A hunt came to its end: by a repair that helped, or because it was given up. */
export const traceEnded = kindOf(
  'Tracing ended',
  z.strictObject({
    hunt: entryId,
    repair: words.optional().describe('The repair that helped; left out where it was given up.'),
    group: z
      .string()
      .regex(/^[a-z][a-z-]{1,39}$/, { error: 'A group of faults is named by its key.' })
      .optional()
      .describe('The group of the fault that was found: the shares learn from it.'),
  }),
  { inWords: ({ repair }) => (repair === undefined ? 'Tracing given up' : `Traced and mended: ${repair}`) },
);
