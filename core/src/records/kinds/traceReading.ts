import { z } from 'zod';
import { entryId, words } from './fields';
import { kindOf } from './kind';

/** Something read, seen or tried in a hunt; what cannot be done is an answer too. */
export const traceReading = kindOf(
  'Traced',
  z.strictObject({
    hunt: entryId,
    test: z.string().min(1).max(200).describe('The test, or the repair that was made.'),
    words: words.describe('It as it was asked.'),
    again: z.literal(true).optional().describe('Read once more, since it spoke against all else: both count.'),
    read: z.union([
      z.strictObject({ value: z.number(), unit: z.enum(['V', 'A', 'Ω']) }),
      z.strictObject({ said: words }),
      z.strictObject({ cannot: z.literal(true) }),
      z.strictObject({ fixed: z.boolean() }),
    ]),
  }),
  {
    inWords: ({ words: asked, read }) => {
      if ('cannot' in read) return `${asked} Cannot be done.`;
      if ('fixed' in read) return `${asked} ${read.fixed ? 'It works again.' : 'No better.'}`;
      return `${asked} ${'said' in read ? read.said : `${read.value} ${read.unit}`}`;
    },
  },
);
