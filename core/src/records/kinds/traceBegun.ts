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
    restingV: z.number().min(6).max(16).optional(),
  }),
  { inWords: ({ words: told }) => `Tracing begun: ${told}` },
);
