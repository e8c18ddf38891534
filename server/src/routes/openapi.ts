import { jobSchema } from '@harbor-latch/core/file/index';
import { JOB_VERSION } from '@harbor-latch/core/job/index';
import { z } from 'zod';
import { problemSchema } from '../problem';

const boatSchema = z.object({
  id: z.uuid(),
  version: z.number().int().min(1).describe('Sent as ETag; a write names it in If-Match.'),
  savedAt: z.iso.datetime(),
  job: jobSchema,
});

const healthSchema = z.object({ status: z.enum(['ready', 'database-away']) });

const json = (schema: z.ZodType, type = 'application/json') => ({
  [type]: { schema: z.toJSONSchema(schema, { target: 'openapi-3.0', io: 'input' }) },
});

const problem = (description: string) => ({ description, content: json(problemSchema, 'application/problem+json') });

const idParameter = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } };
const ifMatch = {
  name: 'If-Match',
  in: 'header',
  required: false,
  description: 'The version the write is based on, quoted. Needed unless If-None-Match: * marks a new boat.',
  schema: { type: 'string', example: '"3"' },
};
const ifNoneMatch = { name: 'If-None-Match', in: 'header', required: false, schema: { type: 'string', enum: ['*'] } };

/** The API's description, generated from the schemas that check it. */
export function openApi() {
  const boat = (description: string) => ({ description, content: json(boatSchema) });
  return {
    openapi: '3.1.0',
    info: { title: 'Harbor Latch API', version: String(JOB_VERSION) },
    paths: {
      '/api/health': {
        get: {
          summary: 'Readiness, the database included',
          responses: {
            200: { description: 'Ready', content: json(healthSchema) },
            503: { description: 'The database does not answer', content: json(healthSchema) },
          },
        },
      },
      '/api/boats': {
        get: {
          summary: 'All boats of the yard',
          responses: { 200: { description: 'The boats', content: json(z.object({ boats: z.array(boatSchema) })) } },
        },
      },
      '/api/boats/{id}': {
        parameters: [idParameter],
        get: {
          summary: 'One boat',
          responses: { 200: boat('The boat'), 400: problem('Not a UUID'), 404: problem('No such boat') },
        },
        put: {
          summary: 'Add or save a boat; repeating it changes nothing',
          parameters: [ifMatch, ifNoneMatch],
          requestBody: { required: true, content: json(jobSchema) },
          responses: {
            200: boat('Saved'),
            201: boat('Added'),
            400: problem('Bad values, each with its path'),
            412: problem('Changed elsewhere; the current copy is in `current`'),
            413: problem('Over 5 MiB'),
            415: problem('Not application/json'),
            428: problem('No precondition sent'),
          },
        },
        delete: {
          summary: 'Remove a boat',
          parameters: [ifMatch],
          responses: {
            204: { description: 'Removed' },
            404: problem('No such boat'),
            412: problem('Changed elsewhere'),
            428: problem('No precondition sent'),
          },
        },
      },
      '/api/boats/{id}/revisions': {
        parameters: [idParameter],
        get: {
          summary: 'Versions of a boat, newest first, a hundred at a time; also of a removed boat',
          parameters: [
            {
              name: 'before',
              in: 'query',
              required: false,
              schema: { type: 'integer' },
              description: 'Older than this.',
            },
          ],
          responses: {
            200: {
              description: 'The versions',
              content: json(z.object({ revisions: z.array(boatSchema.omit({ job: true })) })),
            },
            400: problem('Not a UUID, or not a number'),
          },
        },
      },
      '/api/boats/{id}/revisions/{version}': {
        parameters: [idParameter, { name: 'version', in: 'path', required: true, schema: { type: 'integer' } }],
        get: {
          summary: 'A boat as it was at a version; restored by saving it again',
          responses: { 200: boat('The boat then'), 400: problem('Not a UUID'), 404: problem('No such version') },
        },
      },
    },
  };
}
