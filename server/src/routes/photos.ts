import { PHOTO_BYTES, PHOTO_SIDE_PX, readPhoto } from '@harbor-latch/core/wire/photograph';
import { createHash } from 'node:crypto';
import { raw, Router, type Request } from 'express';
import type { PhotoStore } from '../db/photoStore';
import { Problem } from '../problem';
import { writerOf } from './writer';

/** Photographs under the SHA-256 of what they hold. */
export function photoRoutes(store: PhotoStore): Router {
  const router = Router();
  router.put('/:id', raw({ type: 'image/jpeg', limit: PHOTO_BYTES }), async (request, response) => {
    const id = idOf(request);
    const bytes = photoIn(request);
    if (createHash('sha256').update(bytes).digest('hex') !== id)
      throw new Problem(422, 'hash-differs', 'The address is not the SHA-256 of what was sent. Send it again.');
    await store.add(id, bytes, writerOf(request).by);
    response.status(201).json({ id, bytes: bytes.length });
  });
  router.get('/:id', async (request, response) => {
    const bytes = await store.find(idOf(request));
    if (!bytes) throw new Problem(404, 'no-such-photo', 'No photograph is kept under this address.');
    response
      .set({
        'Content-Type': 'image/jpeg',
        'Cache-Control': 'private, max-age=31536000, immutable',
        'Content-Disposition': 'inline; filename="photo.jpg"',
        'Content-Security-Policy': "default-src 'none'; sandbox",
      })
      .send(bytes);
  });
  return router;
}

function idOf(request: Request): string {
  const { id } = request.params;
  if (typeof id === 'string' && /^[0-9a-f]{64}$/.test(id)) return id;
  throw new Problem(400, 'bad-id', 'A photograph’s address is a SHA-256 in small hexadecimal digits.', {
    errors: [{ path: '$.id', message: 'Not a SHA-256.' }],
  });
}

function photoIn(request: Request): Buffer {
  const body: unknown = request.body;
  if (!Buffer.isBuffer(body)) throw new Problem(415, 'not-a-jpeg', 'Send the photograph as image/jpeg.');
  const read = readPhoto(body);
  if (!read) throw new Problem(422, 'not-a-jpeg', 'The photograph is no whole JPEG.');
  if (!read.bare)
    throw new Problem(422, 'not-bare', 'The photograph still says where or with what it was taken. Strip that first.');
  if (Math.max(read.widthPx, read.heightPx) > PHOTO_SIDE_PX)
    throw new Problem(422, 'too-large', `The photograph is over ${PHOTO_SIDE_PX} pixels long. Shrink it first.`);
  return body;
}
