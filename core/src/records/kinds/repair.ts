import { z } from 'zod';
import { id } from '../../job/ids';
import { photographIds, said, testId, words } from './fields';
import { kindOf } from './kind';

/** Something was mended or changed at some parts: the tests that it can have touched are due again. */
export const repair = kindOf(
  'Repair',
  z.strictObject({
    what: said('Say what was done.'),
    at: z.array(id).max(50).describe('The parts and conductors it touched.'),
    testsDue: z.array(testId).max(500).describe('The tests that it can have touched.'),
    fault: words.optional().describe('What was found.'),
    note: words.optional(),
    photographs: photographIds.optional(),
  }),
  {
    inWords: ({ what, fault }) => `${what}${fault ? `, found: ${fault}` : ''}`,
    photographs: ({ photographs }) => photographs ?? [],
  },
);
