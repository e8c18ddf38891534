import { z } from 'zod';
import { freeText } from '../../job/fields';

export const entryId = z.uuid({ error: 'The id of an entry is a UUID.' });
export const words = freeText(2000);
export const said = (what: string, most = 2000) => freeText(most).min(1, { error: what });
export const photographIds = z
  .array(z.string().regex(/^[0-9a-f]{64}$/, { error: 'A photograph is named by the hash of what it holds.' }))
  .max(12, { error: 'At most twelve photographs hang on one entry.' });
export const day = z.iso.date({ error: 'A day is written like 2026-05-01.' });
export const phase = z.enum(['bench', 'commission'], { error: 'A proof is of the bench or of the boat.' });
export const testId = z.string().min(1).max(120);

const finite = z.number({ error: 'A number is wanted.' });

/** What was expected when it was read. */
export const expectedSchema = z.union([
  z.strictObject({ nominal: finite, low: finite, high: finite, unit: z.string().max(12) }),
  z.strictObject({ state: freeText(1000) }),
]);

/** What was read: a figure in its unit, or what was seen. */
export const readSchema = z.union([
  z.strictObject({ value: finite, unit: z.string().max(12) }),
  z.strictObject({ said: freeText(1000).min(1, { error: 'Say what was seen.' }) }),
]);

export const verdictSchema = z.enum(['pass', 'look', 'miss', 'noted']);
export const batterySchema = z.strictObject({ restingV: finite.optional(), runningV: finite.optional() });
