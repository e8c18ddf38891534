import { deflateRawSync, inflateRawSync } from 'node:zlib';
import type { Job } from '@harbor-latch/core/job/index';
import type { RowJob } from './schema';

/** No job is larger than this as text, bytes: more than that is not unpacked. */
const MOST_BYTES = 32 * 1024 * 1024;

/** A job as a version holds it: deflated JSON. */
export function packed(job: Job): Buffer {
  return deflateRawSync(JSON.stringify(job));
}

/** A packed job. @throws Error for bytes that hold none. */
export function unpacked(bytes: Uint8Array): RowJob {
  return JSON.parse(inflateRawSync(bytes, { maxOutputLength: MOST_BYTES }).toString('utf8')) as RowJob;
}
