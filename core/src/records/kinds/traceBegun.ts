import { z } from 'zod';
import { words } from './fields';
import { kindOf } from './kind';

/** A fault is hunted: what it does, how the bilge is reached, and what is at hand. */
export const traceBegun = kindOf(
  'Tracing begun',
  z.strictObject({
    symptom: z.string().regex(/^[a-z][a-z-]{1,39}$/, { error: 'A symptom is named by its key.' }),
    words: words.describe('The symptom in words.'),
    access: z.enum(['easy', 'hard']),
    instruments: z.array(z.enum(['voltmeter', 'ohmmeter', 'clamp'])).max(3),
    story: z
      .array(z.string().regex(/^[a-zA-Z]{1,39}$/, { error: 'What is known of a boat is named by its key.' }))
      .max(20)
      .optional()
      .describe('What is known of the boat that makes a fault likelier.'),
    restingV: z.number().min(6).max(16).optional().describe('The battery as it was read at rest, V.'),
  }),
  { inWords: ({ words: told }) => `Tracing begun: ${told}` },
);
