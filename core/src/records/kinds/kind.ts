import type { z } from 'zod';

/** A kind of entry: what its body must be, and how it reads in a list. */
export interface Kind<Schema extends z.ZodType = z.ZodType> {
  readonly name: string;
  readonly schema: Schema;
  /** One line for a log. */
  readonly inWords: (body: z.infer<Schema>) => string;
  /** The photographs that hang on it. */
  readonly photographs: (body: z.infer<Schema>) => readonly string[];
}

/** A kind of entry by its schema. */
export function kindOf<Schema extends z.ZodType>(
  name: string,
  schema: Schema,
  { inWords, photographs = () => [] }: Pick<Kind<Schema>, 'inWords'> & Partial<Pick<Kind<Schema>, 'photographs'>>,
): Kind<Schema> {
  return { name, schema, inWords, photographs };
}
