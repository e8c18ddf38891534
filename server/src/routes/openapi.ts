import { jobSchema } from '@harbor-latch/core/file/index';
import { JOB_VERSION } from '@harbor-latch/core/job/index';
import {
  storedBoatSchema,
  storedBoatsSchema,
  healthSchema,
  problemSchema,
  staleSchema,
  versionsSchema,
} from '@harbor-latch/core/wire/index';
import { z } from 'zod';

const json = (schema: z.ZodType, type = 'application/json') => ({
  [type]: { schema: z.toJSONSchema(schema, { io: 'input' }) },
});

const problem = (description: string, schema: z.ZodType = problemSchema) => ({
  description,
  content: json(schema, 'application/problem+json'),
});

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
function describe() {
  const boat = (description: string) => ({ description, content: json(storedBoatSchema) });
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
          responses: { 200: { description: 'The boats', content: json(storedBoatsSchema) } },
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
            412: problem('Changed elsewhere; the current copy is in `current`', staleSchema),
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
            412: problem('Changed elsewhere; the current copy is in `current`', staleSchema),
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
              content: json(versionsSchema),
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

let description: ReturnType<typeof describe> | undefined;

/** The API's description; made once, when it is first asked for. */
export function openApi(): ReturnType<typeof describe> {
  return (description ??= describe());
}
