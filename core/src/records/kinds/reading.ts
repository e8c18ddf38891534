import { z } from 'zod';
import {
  batterySchema,
  entryId,
  expectedSchema,
  photographIds,
  readSchema,
  testId,
  verdictSchema,
  words,
} from './fields';
import { kindOf } from './kind';

const verdicts = { pass: 'as expected', look: 'look again', miss: 'missed', noted: 'noted' } as const;

/** One reading of one test. */
export const reading = kindOf(
  'Reading',
  z.strictObject({
    proof: entryId.nullable().describe('The proof it belongs to; null for one by itself.'),
    test: testId,
    words: words.describe('The test as it was asked.'),
    read: readSchema,
    expect: expectedSchema.nullable().describe('What was expected then; null where nothing was.'),
    verdict: verdictSchema,
    battery: batterySchema.optional().describe('Volts of the battery that the expectation goes by.'),
    instrument: words.optional(),
    replaces: entryId.optional().describe('An earlier reading that this one corrects.'),
    note: words.optional(),
    photographs: photographIds.optional(),
  }),
  {
    inWords: ({ words: asked, read, verdict }) =>
      `${asked} ${'said' in read ? read.said : `${Number(read.value.toPrecision(4))} ${read.unit}`}: ${verdicts[verdict]}`,
    photographs: ({ photographs }) => photographs ?? [],
  },
);
