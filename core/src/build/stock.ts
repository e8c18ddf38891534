import { z } from 'zod';
import { freeText } from '../job/fields';
import { sizeName } from '../job/ids';
import { jsonPath } from '../file';
import type { Drum } from './cutting';

const drumSchema = z.strictObject({
  id: z.string().min(1, { error: 'A drum has an id.' }).max(64),
  size: sizeName,
  colour: freeText(60),
  insulationC: z.number({ error: 'The insulation rating must be a number, in °C.' }).min(60).max(200),
  metres: z.number({ error: 'Metres must be a number.' }).min(0).max(1000),
  opened: z.iso
    .date({ error: 'The day it was first cut is written like 2026-05-01.' })
    .nullable()
    .optional()
    .transform((day) => day ?? null),
});

export const stockSchema = z
  .strictObject({ drums: z.array(drumSchema).max(200, { error: 'At most two hundred drums.' }) })
  .superRefine(({ drums }, context) =>
    drums.forEach(({ id }, index) => {
      if (drums.findIndex((other) => other.id === id) < index)
        context.addIssue({ code: 'custom', path: ['drums', index, 'id'], message: `The id "${id}" is used twice.` });
    }),
  );

/** What was read of a list of drums. */
export type ReadStock =
  | { readonly ok: true; readonly drums: readonly Drum[] }
  | { readonly ok: false; readonly path: string; readonly message: string };

/** Reads a list of drums and offcuts. */
export function readStock(value: unknown): ReadStock {
  const read = stockSchema.safeParse(value);
  if (read.success) return { ok: true, drums: read.data.drums };
  const [issue] = read.error.issues;
  return { ok: false, path: jsonPath(issue?.path ?? []), message: issue?.message ?? 'Not a list of drums.' };
}
