import { z } from 'zod';
import { entryId, said, testId, words } from './fields';
import { kindOf } from './kind';

/** A test that was left out, and why: it is then not proved, never passed. */
export const skipped = kindOf(
  'Test left out',
  z.strictObject({
    proof: entryId,
    test: testId,
    words: words.describe('The test as it was asked.'),
    reason: said('Say why it was left out.', 300),
  }),
  { inWords: ({ words: asked, reason }) => `${asked} Left out: ${reason}` },
);
