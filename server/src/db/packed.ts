import { deflateRawSync, inflateRawSync } from 'node:zlib';
import type { RowJob } from './schema';

/** No job is larger than this as text, bytes: more than that is not unpacked. */
const MOST_BYTES = 32 * 1024 * 1024;

/** Half the time of the usual level for a twentieth more bytes. */
const LEVEL = 3;

/** A job's JSON as a version holds it: deflated. */
export function packed(json: string): Buffer {
  return deflateRawSync(json, { level: LEVEL });
}

/** A packed job. @throws Error for bytes that hold none. */
export function unpacked(bytes: Uint8Array): RowJob {
  return JSON.parse(inflateRawSync(bytes, { maxOutputLength: MOST_BYTES }).toString('utf8')) as RowJob;
}
