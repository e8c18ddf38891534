import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { app, boat, by, create, put, renamed, save } from './boatsApi.fixture';

describe('a write with a key', () => {
  it('that is sent again is answered as before and writes nothing, also after others wrote', async () => {
    const job = boat();
    const key = { 'Idempotency-Key': randomUUID() };
    await create(job);
    const first = await save(renamed(job, 'Second'), 1, { ...by('Wren'), ...key }).expect(200);
    await save(renamed(job, 'Third'), 2).expect(200);
    const again = await save(renamed(job, 'Second'), 1, { ...by('Wren'), ...key }).expect(200);
    expect(again.body).toEqual(first.body);
    expect((await request(app).get(`/api/boats/${job.boat.id}`)).body).toMatchObject({ version: 3 });
  });

  it('sent ten times at once is one change', async () => {
    const job = boat();
    const key = { 'Idempotency-Key': randomUUID() };
    await create(job);
    const all = await Promise.all(Array.from({ length: 10 }, () => save(renamed(job, 'Once'), 1, key)));
    expect(all.map(({ status, body }) => [status, body.version])).toEqual(all.map(() => [200, 2]));
  });

  it('adds and removes once', async () => {
    const job = boat();
    const [added, removed] = [randomUUID(), randomUUID()];
    await create(job).set('Idempotency-Key', added).expect(201);
    await save(renamed(job, 'Later'), 1).expect(200);
    expect((await create(job).set('Idempotency-Key', added).expect(200)).body.version).toBe(1);
    const remove = () =>
      request(app).delete(`/api/boats/${job.boat.id}`).set('If-Match', '"2"').set('Idempotency-Key', removed);
    await remove().expect(204);
    await remove().expect(204);
    await request(app).delete(`/api/boats/${job.boat.id}`).set('If-Match', '"2"').expect(404);
  });

  it('is refused with a key, a device or a name that is none', async () => {
    const job = boat();
    for (const [header, value] of [
      ['Idempotency-Key', 'seven'],
      ['X-Device', 'phone'],
      ['X-Person', '%zz'],
      ['X-Person', encodeURIComponent('\u202Enerw')],
      ['X-Person', 'x'.repeat(81)],
      ['X-Kept', 'why not'],
    ] as const)
      await put(job, job.boat.id).set('If-Match', '"1"').set(header, value).expect(400);
    await create(job).set('X-Person', 'x'.repeat(80)).expect(201);
  });
});
