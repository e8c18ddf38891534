import { z } from 'zod';
import { chainedEntrySchema, MOST_ENTRIES, signedEntrySchema } from '../records/entry';

/** Entries of records as a device sends them. */
export const recordsSchema = z.strictObject({
  entries: z
    .array(signedEntrySchema)
    .min(1, { error: 'One entry at least.' })
    .max(MOST_ENTRIES, { error: `At most ${MOST_ENTRIES} entries at once.` }),
});

/** What became of one of them. */
export const recordResultSchema = z.discriminatedUnion('kind', [
  z.object({ id: z.uuid(), kind: z.literal('taken'), number: z.int(), chainHash: z.string() }),
  z.object({ id: z.uuid(), kind: z.literal('refused'), code: z.string(), path: z.string(), message: z.string() }),
]);
export const recordResultsSchema = z.object({ results: z.array(recordResultSchema) });

/** A page of a boat's chain. */
export const recordPageSchema = z.object({ records: z.array(chainedEntrySchema), more: z.boolean() });

export type RecordResult = Readonly<z.infer<typeof recordResultSchema>>;
export type RecordPage = Readonly<z.infer<typeof recordPageSchema>>;
