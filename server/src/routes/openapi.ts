import { jobSchema } from '@harbor-latch/core/file/index';
import { JOB_VERSION } from '@harbor-latch/core/job/index';
import {
  boatLinesSchema,
  changesSchema,
  healthSchema,
  keptSchema,
  problemSchema,
  recordPageSchema,
  recordResultsSchema,
  recordsSchema,
  sittingsSchema,
  staleSchema,
  stockEntriesSchema,
  stockTakenSchema,
  storedBoatSchema,
  writtenSchema,
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

const header = (name: string, description: string, schema: object = { type: 'string' }) => ({
  name,
  in: 'header',
  required: false,
  description,
  schema,
});
const query = (name: string, description: string, schema: object = { type: 'string' }) => ({
  name,
  in: 'query',
  required: false,
  description,
  schema,
});
const uuid = { type: 'string', format: 'uuid' };
const writerHeaders = [
  header('Idempotency-Key', 'The write’s own key: sent again under it, it is answered as before.', uuid),
  header('X-Person', 'Name set on the device, percent-encoded, at most 80 characters.'),
  header('X-Device', 'The device.', uuid),
];
const photoBody = { 'image/jpeg': { schema: { type: 'string', format: 'binary' } } };

/** The API's description, generated from the schemas that check it. */
function describe() {
  const boat = (description: string) => ({ description, content: json(storedBoatSchema) });
  const written = (description: string) => ({ description, content: json(writtenSchema) });
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
          summary: 'The boats of the yard in a few lines each, a page at a time; or some of them whole',
          parameters: [
            query('limit', 'So many at most.', { type: 'integer', default: 100, maximum: 500 }),
            query('after', 'What the page before gave as `next`.'),
            query('ids', 'Up to fifty ids with commas between: then these boats come whole.'),
          ],
          responses: {
            200: { description: 'A page, with its ETag', content: json(boatLinesSchema) },
            304: { description: 'The page that If-None-Match names is still the one' },
            400: problem('Not a page, a number or ids'),
          },
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
          parameters: [
            ifMatch,
            ifNoneMatch,
            ...writerHeaders,
            header('X-Kept', 'Why this version stays for good.', { type: 'string', enum: [...keptSchema.options] }),
          ],
          requestBody: { required: true, content: json(jobSchema) },
          responses: {
            200: written('Saved'),
            201: written('Added'),
            400: problem('Bad values, each with its path'),
            412: problem('Changed elsewhere; the current copy is in `current`', staleSchema),
            413: problem('Over 5 MiB'),
            415: problem('Not application/json'),
            428: problem('No precondition sent'),
          },
        },
        delete: {
          summary: 'Remove a boat; her versions stay',
          parameters: [ifMatch, ...writerHeaders],
          responses: {
            204: { description: 'Removed' },
            404: problem('No such boat'),
            412: problem('Changed elsewhere; the current copy is in `current`', staleSchema),
            428: problem('No precondition sent'),
          },
        },
      },
      '/api/boats/{id}/asides': {
        parameters: [idParameter],
        post: {
          summary: 'Keep a copy that lost against the one that is there, as a version that stays',
          parameters: [ifMatch, ...writerHeaders],
          requestBody: { required: true, content: json(jobSchema) },
          responses: {
            200: written('Kept; the copy that is there has the version after it'),
            412: problem('Changed elsewhere; the current copy is in `current`', staleSchema),
          },
        },
      },
      '/api/boats/{id}/revisions': {
        parameters: [idParameter],
        get: {
          summary: 'Versions of a boat, one a sitting, newest first, fifty at a time; also of a removed boat',
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
              content: json(sittingsSchema),
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
        post: {
          summary: 'Keep a version for good, and name it',
          requestBody: {
            required: true,
            content: {
              'application/json': {
                schema: {
                  type: 'object',
                  required: ['kept'],
                  properties: { kept: { enum: [...keptSchema.options] }, name: { type: 'string', maxLength: 80 } },
                },
              },
            },
          },
          responses: { 204: { description: 'Kept' }, 400: problem('No reason'), 404: problem('No such version') },
        },
      },
      '/api/changes': {
        get: {
          summary: 'What changed since a point, removals too, in one order in which nothing is skipped',
          parameters: [
            query('after', 'The point that was reached, as `next`; left out: from the beginning.'),
            query('jobs', '`all`: boats come whole.', { type: 'string', enum: ['all'] }),
            query('stock', '`all`: entries of the stock come too.', { type: 'string', enum: ['all'] }),
            query('records', '`all`: entries of records come too.', { type: 'string', enum: ['all'] }),
          ],
          responses: { 200: { description: 'The changes', content: json(changesSchema) }, 400: problem('Not a point') },
        },
      },
      '/api/stock': {
        post: {
          summary: 'Add entries to the yard’s stock; the same again changes nothing. They come back with the changes',
          parameters: [header('X-Device', 'The device.', uuid)],
          requestBody: { required: true, content: json(stockEntriesSchema) },
          responses: {
            200: { description: 'Kept; how many are new', content: json(stockTakenSchema) },
            400: problem('No entries, each with its path'),
          },
        },
      },
      '/api/records': {
        get: {
          summary: 'Links of a boat’s records in their order, two hundred at a time; also of a removed boat',
          parameters: [
            { name: 'boat', in: 'query', required: true, schema: uuid },
            query('after', 'After this number of the chain; left out: from the first.', { type: 'integer' }),
          ],
          responses: {
            200: { description: 'The links', content: json(recordPageSchema) },
            400: problem('Not a UUID, or not a number'),
          },
        },
        post: {
          summary:
            'Add signed entries to the records of boats; the same again changes nothing. Each has its own answer',
          requestBody: { required: true, content: json(recordsSchema) },
          responses: {
            200: { description: 'What became of each', content: json(recordResultsSchema) },
            400: problem('No entries, each with its path'),
          },
        },
      },
      '/api/records/bundle': {
        get: {
          summary: 'A boat, her records and photographs in one ZIP, with the signed head of her chain',
          parameters: [{ name: 'boat', in: 'query', required: true, schema: uuid }],
          responses: {
            200: { description: 'The bundle', content: { 'application/zip': {} } },
            400: problem('Not a UUID'),
            404: problem('No such boat, nor any record of one'),
          },
        },
      },
      '/api/events': {
        get: {
          summary: 'Server-sent events: `change` says that there is something new to ask for',
          responses: { 200: { description: 'The stream', content: { 'text/event-stream': {} } } },
        },
      },
      '/api/photos/{id}': {
        parameters: [
          { name: 'id', in: 'path', required: true, description: 'SHA-256 of the bytes.', schema: { type: 'string' } },
        ],
        get: {
          summary: 'A photograph',
          responses: { 200: { description: 'The photograph', content: photoBody }, 404: problem('None is kept here') },
        },
        put: {
          summary: 'Keep a photograph that was shrunk and stripped of everything but the picture',
          requestBody: { required: true, content: photoBody },
          responses: {
            201: { description: 'Kept' },
            413: problem('Over 400 kB'),
            415: problem('Not image/jpeg'),
            422: problem('No whole JPEG, too large, something left to strip, or another hash'),
          },
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
