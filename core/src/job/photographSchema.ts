import { z } from 'zod';
import { stepKey } from './buildSchema';
import { freeText } from './fields';
import { id } from './ids';

const hash = z
  .string({ error: 'The address of a picture must be text.' })
  .regex(/^[0-9a-f]{64}$/, { error: 'A picture’s address is a SHA-256 in small hexadecimal digits.' });

/** The most photographs of one boat. */
export const MOST_PHOTOGRAPHS = 200;

/** A photograph hung on the boat or on one of her circuits. Its bytes are kept apart, under the hash of what they hold. */
export const photographSchema = z.strictObject({
  id,
  photo: hash.describe('SHA-256 of the picture, at most 1600 px and 400 kB.'),
  small: hash.describe('SHA-256 of the same picture made small, for lists.'),
  circuitId: id.optional().describe('The circuit it shows. Left out: the boat.'),
  step: stepKey.optional().describe('The step of building that asked for it. Left out: none.'),
  addedAt: z.iso.datetime({ error: 'A time is written like 2026-05-01T09:30:00Z.' }).describe('When it was added.'),
  addedBy: freeText(200).optional().describe('Who added it.'),
  note: freeText(1000).optional().describe('What is to be seen.'),
});

export type Photograph = z.infer<typeof photographSchema>;
