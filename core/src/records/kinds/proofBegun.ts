import { z } from 'zod';
import { hashText } from '../entry';
import { phase } from './fields';
import { kindOf } from './kind';

/** A run down the list of tests was begun. */
export const proofBegun = kindOf(
  'Proof begun',
  z.strictObject({
    phase,
    jobHash: hashText.describe('Of the job as it then stood.'),
    anew: z.boolean().optional().describe('True where nothing stands from the proof before: every test is done again.'),
    testsHash: hashText.describe('Of its tests as they were expected at the battery as surveyed.'),
  }),
  {
    inWords: ({ phase: of }) => (of === 'bench' ? 'Bench test begun' : 'Proof in the boat begun'),
  },
);
