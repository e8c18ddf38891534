import { z } from 'zod';
import { JOB_FORMAT, JOB_VERSION } from '../../job';
import { hashText } from '../entry';
import {
  batterySchema,
  entryId,
  expectedSchema,
  phase,
  readSchema,
  said,
  testId,
  verdictSchema,
  words,
} from './fields';
import { kindOf } from './kind';

/** A test as it stood when it was signed. */
const signedTest = z.strictObject({
  id: testId,
  words,
  expect: expectedSchema,
  outcome: z.union([verdictSchema, z.enum(['stands', 'left out', 'not done'])]),
  read: readSchema.nullable(),
  reading: hashText
    .nullable()
    .describe('The hash of the entry that holds the reading, or the reason why it was left out.'),
  reason: words.optional(),
  by: words.optional(),
  at: z.iso.datetime().optional(),
});

/** The sign-off: what was read, what was left out, what was accepted, and who answers for it. */
export const proof = kindOf(
  'Proof',
  z.strictObject({
    phase,
    proofs: z.array(entryId).min(1).max(20).describe('Those that were begun and are signed together.'),
    job: z
      .looseObject({ format: z.literal(JOB_FORMAT), version: z.int().min(1).max(JOB_VERSION) })
      .describe('The job as it stood: it stays of the version that it was written in.'),
    jobHash: hashText,
    battery: batterySchema,
    tests: z.array(signedTest).max(500),
    accepted: z
      .array(
        z.strictObject({
          finding: z.string().max(200),
          severity: z.enum(['stop', 'caution', 'note']),
          message: words,
          reason: said('Say why it is accepted.', 500),
        }),
      )
      .max(100)
      .describe('Findings that stood open, and why they were accepted.'),
    result: z.enum(['proved', 'not proved']),
    name: said('Say who signs.', 80),
    role: words.optional(),
    note: words.optional(),
  }),
  {
    inWords: ({ phase: of, result, name }) =>
      `${of === 'bench' ? 'Bench test' : 'Proof in the boat'}, ${result}, signed by ${name}`,
  },
);
