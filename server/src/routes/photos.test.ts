import { createHash } from 'node:crypto';
import { PHOTO_BYTES } from '@harbor-latch/core/wire/photograph';
import request from 'supertest';
import { app } from './boatsApi.fixture';

const segment = (kind: number, ...body: readonly number[]) => [0xff, kind, 0, body.length + 2, ...body];

/** A small whole JPEG of a size, with more in it where that is given. */
function photo(widthPx: number, ...more: readonly (readonly number[])[]): Buffer {
  const frame = segment(0xc0, 8, 0, 20, widthPx >> 8, widthPx & 0xff, 1, 1, 0x11, 0);
  const scan = [...segment(0xda, 1, 1, 0, 0, 63, 0), Math.floor(Math.random() * 250), 2, 3];
  return Buffer.from([[0xff, 0xd8], ...more, frame, scan, [0xff, 0xd9]].flat());
}

const hashOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');
const send = (bytes: Buffer, id = hashOf(bytes)) =>
  request(app).put(`/api/photos/${id}`).set('Content-Type', 'image/jpeg').send(bytes);

describe('a photograph', () => {
  it('is kept under its hash, the same twice is one, and comes back to the byte and as nothing but a picture', async () => {
    const bytes = photo(1600);
    await send(bytes).expect(201);
    await send(bytes).expect(201);
    const { body, headers } = await request(app)
      .get(`/api/photos/${hashOf(bytes)}`)
      .buffer(true)
      .expect(200);
    expect(Buffer.compare(body as Buffer, bytes)).toBe(0);
    expect(headers).toMatchObject({
      'content-type': 'image/jpeg',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'; sandbox",
    });
    expect(headers['cache-control']).toContain('immutable');
  });

  it('that says where or with what it was taken is refused, and so is one over 1,600 pixels or under a wrong hash', async () => {
    const told = photo(800, segment(0xe1, 0x45, 0x78, 0x69, 0x66, 0, 0));
    expect((await send(told).expect(422)).body.code).toBe('not-bare');
    expect((await send(photo(1601)).expect(422)).body.code).toBe('too-large');
    expect((await send(photo(800), 'a'.repeat(64)).expect(422)).body.code).toBe('hash-differs');
    await request(app)
      .get(`/api/photos/${hashOf(told)}`)
      .expect(404);
  });

  it('that is none, too many bytes, or under no hash is refused', async () => {
    const text = Buffer.from('<svg onload="alert(1)">');
    expect((await send(text).expect(422)).body.code).toBe('not-a-jpeg');
    await send(Buffer.alloc(PHOTO_BYTES + 1)).expect(413);
    await request(app)
      .put(`/api/photos/${hashOf(text)}`)
      .set('Content-Type', 'image/svg+xml')
      .send(text)
      .expect(415);
    await send(photo(8), 'A'.repeat(64)).expect(400);
    await request(app).get('/api/photos/%2e%2e').expect(400);
  });
});
