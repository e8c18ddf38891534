import type { Request } from 'express';
import { z } from 'zod';
import type { Writer } from '../db/boatStore';
import { Problem } from '../problem';

const MOST_NAME = 80;

function refuse(header: string, message: string): never {
  throw new Problem(400, 'bad-header', `${header}: ${message}`, { errors: [{ path: `$.${header}`, message }] });
}

function uuidIn(request: Request, header: string): string | null {
  const text = request.get(header);
  if (text === undefined) return null;
  const id = z.uuid().safeParse(text);
  return id.success ? id.data.toLowerCase() : refuse(header, 'A UUID is wanted.');
}

/** Who sends a write: the device's name for its person, percent-encoded, the device, and the write's own key. */
export function writerOf(request: Request): Writer {
  return {
    by: nameIn(request.get('X-Person')),
    device: uuidIn(request, 'X-Device'),
    key: uuidIn(request, 'Idempotency-Key'),
  };
}

function nameIn(text: string | undefined): string {
  if (text === undefined) return '';
  try {
    const name = decodeURIComponent(text).normalize('NFC').trim();
    // No line ends, nothing unseen that turns writing round, no half of a pair.
    if (name.length > MOST_NAME || /[\p{Cc}\p{Cs}\u202A-\u202E\u2066-\u2069]/u.test(name))
      refuse('X-Person', 'A name of at most 80 characters is wanted.');
    return name;
  } catch (error) {
    if (error instanceof Problem) throw error;
    return refuse('X-Person', 'Send the name percent-encoded.');
  }
}
