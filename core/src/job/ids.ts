import { z } from 'zod';
import { conductorSizes } from '../reference';

/** An id inside a job. */
export const id = z.string({ error: 'An id must be text.' }).regex(/^[A-Za-z0-9-]{1,64}$/, {
  error: 'An id has 1 to 64 letters, digits or hyphens.',
});

function keysOf<T extends Record<string, unknown>>(record: T): [keyof T & string, ...(keyof T & string)[]] {
  const [first, ...rest] = Object.keys(record);
  if (first === undefined) throw new Error('An empty table has no keys.');
  return [first, ...rest];
}

/** One of a table's keys. */
export function oneOf<T extends Record<string, unknown>>(record: T, what: string) {
  const keys = keysOf(record);
  return z.enum(keys, { error: `${what} must be one of: ${keys.join(', ')}.` });
}

/** One of the sizes in the tables. */
export const sizeName = z.enum(
  [...conductorSizes.awg, ...conductorSizes.metric].map((row) => row.size),
  { error: 'Not a size in the tables. Sizes are written like "14 AWG" or "2.5 mm²".' },
);
