import { z } from 'zod';
import { jobSchema } from '../file';
import { chainedEntrySchema } from '../records/entry';
import { stockEntrySchema } from './stockEntry';

/** What the server and its clients say to each other: the one definition from which the server answers, clients read and the API's description is made. */

/** Who saved last, as the device was told; empty where it was not. */
const savedBy = z.string().max(80).describe('Name set on the device that saved it; empty where none is.');

/** A version of a boat, without its contents. */
export const versionSchema = z.object({
  id: z.uuid(),
  version: z.number().int().min(1).describe('Sent as ETag; a write names it in If-Match.'),
  savedAt: z.iso.datetime(),
  savedBy,
});

/** A boat as the server holds it. */
export const storedBoatSchema = versionSchema.extend({ job: jobSchema });

/** Why a version is never thinned out. */
export const keptSchema = z.enum(['restored', 'named', 'conflict', 'proved']);

/** What one person changed at one device without half an hour's rest between: the unit in which versions are kept. */
export const sittingSchema = versionSchema.extend({
  beganAt: z.iso.datetime(),
  kept: keptSchema.nullable(),
  name: z.string().max(80).nullable().describe('What somebody called this version.'),
  changes: z
    .array(z.object({ path: z.array(z.string()), before: z.unknown(), after: z.unknown() }))
    .describe('What changed since the sitting before; at most twenty.'),
  moreChanges: z.number().int().min(0).describe('How many more changed.'),
  first: z.boolean().describe('Whether this is the first version there is.'),
});
export const sittingsSchema = z.object({ revisions: z.array(sittingSchema) });

const circuitSummarySchema = z.object({
  id: z.string(),
  standing: z.enum(['stop', 'caution', 'incomplete', 'note', 'good']),
  needs: z.number().int(),
  worst: z.object({ severity: z.enum(['stop', 'caution', 'note']), message: z.string() }).nullable(),
  size: z.string().nullable(),
  ratingA: z.number().nullable(),
  dropPercent: z.number().nullable(),
});
const summarySchema = z.object({
  standing: z.enum(['stop', 'caution', 'incomplete', 'note', 'good']),
  circuits: z.array(circuitSummarySchema).readonly(),
});

/** A boat in a list: what she is looked for by, and how she stood when she was last judged. */
export const boatLineSchema = versionSchema.extend({
  name: z.string(),
  craft: z.string().optional(),
  owner: z.string().optional(),
  berth: z.string().optional(),
  note: z.string().optional(),
  hullLengthM: z.number().optional(),
  archived: z.boolean().optional(),
  circuits: z.array(z.object({ id: z.string(), name: z.string() })),
  summary: z
    .object({ version: z.number().int(), metric: summarySchema, us: summarySchema })
    .nullable()
    .describe('Of `version`, in both unit systems; null until it was made.'),
});
export const boatLinesSchema = z.object({
  boats: z.array(boatLineSchema),
  next: z.string().nullable().describe('Sent as `after` for the next page; null on the last.'),
});

/** A boat that changed or was removed since a point, an entry of the yard's stock, or of a boat's records. */
export const changeSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('boat'),
    line: boatLineSchema,
    job: jobSchema.optional().describe('Where whole boats were asked for.'),
  }),
  z.object({ kind: z.literal('removed'), id: z.uuid(), version: z.number().int() }),
  z.object({ kind: z.literal('stock'), entry: stockEntrySchema }),
  z.object({ kind: z.literal('record'), record: chainedEntrySchema }),
]);
export const changesSchema = z.object({
  whole: z.boolean().describe('True where the list begins anew: what does not come in it is no more.'),
  boats: z.number().int().describe('How many boats the yard has.'),
  changes: z.array(changeSchema),
  next: z.string().describe('The point up to which this reaches; sent as `after`.'),
  more: z.boolean(),
});

export const healthSchema = z.object({ status: z.enum(['ready', 'database-away']) });

/** A problem document, RFC 9457, with the JSON path of each bad value. */
export const problemSchema = z.object({
  type: z.literal('about:blank'),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  code: z.string(),
  errors: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
});

/** What a write came to. */
export const writtenSchema = versionSchema;

/** The problem of a write that was based on an old version: with the copy that is there now, null where it is gone. */
export const staleSchema = problemSchema.extend({ current: storedBoatSchema.nullable() });

// TYPES

export type StoredBoat = Readonly<z.infer<typeof storedBoatSchema>>;
export type Version = Readonly<z.infer<typeof versionSchema>>;
export type Sitting = Readonly<z.infer<typeof sittingSchema>>;
export type Kept = z.infer<typeof keptSchema>;
export type BoatLine = Readonly<z.infer<typeof boatLineSchema>>;
export type Change = Readonly<z.infer<typeof changeSchema>>;
export type Summary = NonNullable<BoatLine['summary']>;
export type Changes = Readonly<z.infer<typeof changesSchema>>;
export type ProblemDocument = Readonly<z.infer<typeof problemSchema>>;

export * from './recordWire';
export * from './stockEntry';
