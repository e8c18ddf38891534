import { z } from 'zod';

/** Where something stands in a document: keys and places in lists, from the outside in. */
export type JobPath = readonly (string | number)[];

/** A part of a document that can be checked without the rest of it. */
export interface Part {
  readonly schema: z.ZodType;
  readonly path: JobPath;
}

/** Checks of a list that hold as long as none of its entries comes or goes. */
const ofLength = new Set(['min_length', 'max_length', 'length_equals']);

/**
 * The least part of a document on the way along a path that can be checked by itself: not below a place that is missing,
 * that is one of several kinds, or whose own rule looks at more than one of its fields.
 * @param schema of the whole document
 * @param value the document, which is valid
 */
export function partAt(schema: z.ZodType, value: unknown, path: JobPath): Part {
  let here: z.ZodType = schema;
  let at: unknown = value;
  let part: Part = { schema, path: [] };
  for (const [depth, step] of path.entries()) {
    // The rules of the whole document are asked for apart.
    const below = stepInto(unwrapped(here), at, step, depth === 0);
    if (!below) return part;
    here = below.schema;
    at = below.value;
    part = { schema: here, path: path.slice(0, depth + 1) };
    if (at === undefined) return part;
  }
  return part;
}

function unwrapped(schema: z.ZodType): z.ZodType {
  return schema instanceof z.ZodOptional ? unwrapped(schema.unwrap() as z.ZodType) : schema;
}

function stepInto(
  schema: z.ZodType,
  value: unknown,
  step: string | number,
  whole: boolean,
): { readonly schema: z.ZodType; readonly value: unknown } | null {
  const checks = (schema.def.checks ?? []).map((check) => check._zod.def.check);
  if (schema instanceof z.ZodArray && Array.isArray(value) && checks.every((check) => ofLength.has(check)))
    return typeof step === 'number' && step in value
      ? { schema: schema.element as z.ZodType, value: value[step] }
      : null;
  if (!(schema instanceof z.ZodObject) || (checks.length > 0 && !whole)) return null;
  const field: unknown = Object.hasOwn(schema.shape, step) ? schema.shape[step] : undefined;
  if (!(field instanceof z.ZodType)) return null;
  return { schema: field, value: (value as Readonly<Record<string, unknown>>)[step] };
}
