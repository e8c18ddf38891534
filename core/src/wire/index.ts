import { z } from 'zod';
import { jobSchema } from '../file';

/** What the server and its clients say to each other: the one definition from which the server answers, clients read and the API's description is made. */

/** A version of a boat, without its contents. */
export const versionSchema = z.object({
  id: z.uuid(),
  version: z.number().int().min(1).describe('Sent as ETag; a write names it in If-Match.'),
  savedAt: z.iso.datetime(),
});

/** A boat as the server holds it. */
export const storedBoatSchema = versionSchema.extend({ job: jobSchema });

export const storedBoatsSchema = z.object({ boats: z.array(storedBoatSchema) });
export const versionsSchema = z.object({ revisions: z.array(versionSchema) });

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

/** The problem of a write that was based on an old version: with the copy that is there now, null where it is gone. */
export const staleSchema = problemSchema.extend({ current: storedBoatSchema.nullable() });

// TYPES

export type StoredBoat = Readonly<z.infer<typeof storedBoatSchema>>;
export type Version = Readonly<z.infer<typeof versionSchema>>;
export type ProblemDocument = Readonly<z.infer<typeof problemSchema>>;
