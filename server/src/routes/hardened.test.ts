import { Writable } from 'node:stream';
import { pino } from 'pino';
import request from 'supertest';
import { createApp } from '../app';
import { BoatStore } from '../db/boatStore';
import { storesOn } from '../stores';
import { app, boat, connection, create, put, stores } from './boatsApi.fixture';

describe('a request that is not from here', () => {
  it.each(['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example:80', 'a b', ''])(
    'under the name “%s” is refused',
    async (host) => {
      const answer = await request(app).get('/api/boats').set('Host', host);
      // Node itself answers a request without a host.
      expect([400, 421]).toContain(answer.status);
    },
  );

  it.each(['localhost', 'LOCALHOST:4318', '127.0.0.1:80', '[::1]:4318'])('under “%s” is answered', async (host) => {
    await request(app).get('/api/openapi.json').set('Host', host).expect(200);
  });

  it('is answered under the names that it was told, and no others', async () => {
    const named = createApp({
      stores: storesOn(connection.database),
      ping: connection.ping,
      logger: pino({ level: 'silent' }),
      hosts: ['yard.example'],
    });
    await request(named).get('/api/openapi.json').set('Host', 'yard.example').expect(200);
    const answer = await request(named).get('/api/openapi.json').set('Host', 'other.example').expect(421);
    expect(answer.body).toMatchObject({ code: 'foreign-host' });
  });

  it('sent by another site is refused, by its mark or by its origin; one of our own is answered', async () => {
    const job = boat();
    const crossed = await create(job).set('Sec-Fetch-Site', 'cross-site').expect(403);
    expect(crossed.body).toMatchObject({ code: 'cross-site' });
    await create(job).set('Origin', 'https://evil.example').expect(403);
    await create(job).set('Origin', 'null').expect(403);
    await request(app).get(`/api/boats/${job.boat.id}`).expect(404);
    await create(job).set('Sec-Fetch-Site', 'same-origin').set('Origin', 'http://localhost:4318').expect(201);
  });
});

describe('a malformed request', () => {
  it('with a path that is no text is told so in a problem document', async () => {
    for (const path of ['/api/boats/%E0%A4%A', '/api/%', '/api/boats/%ff/revisions/1']) {
      const answer = await request(app).get(path);
      expect(answer.status).toBeGreaterThanOrEqual(400);
      expect(answer.status).toBeLessThan(500);
      expect(answer.type).toBe('application/problem+json');
    }
  });

  it('with thousands of unknown keys, or one of 300 kB, is answered in a few words', async () => {
    const job = boat();
    const many = Object.fromEntries(Array.from({ length: 50_000 }, (_, index) => [`unknown-${index}`, 0]));
    for (const extra of [many, { ['k'.repeat(300_000)]: 0 }]) {
      const answer = await put({ ...job, ...extra }, job.boat.id)
        .set('If-None-Match', '*')
        .expect(400);
      expect(answer.text.length).toBeLessThan(12_000);
    }
  });

  it('with keys that cannot be stored is refused, not lost', async () => {
    const job = boat();
    const posts = (key: string) => ({ ...job, circuits: [{ ...job.circuits[0], panel: { posts: { [key]: '3' } } }] });
    for (const key of ['a\u0000', 'a\ud800']) await put(posts(key), job.boat.id).set('If-None-Match', '*').expect(400);
    const proto = JSON.stringify(job).replace('"boat":{', '"boat":{"__proto__":{"x":1},');
    await request(app)
      .put(`/api/boats/${job.boat.id}`)
      .set('Content-Type', 'application/json')
      .set('If-None-Match', '*')
      .send(proto)
      .expect(400);
  });

  it('with −0 is stored as 0, and the same again is no new version', async () => {
    const job = { ...boat(), poses: [{ id: 'still', name: 'Still', trimDeg: 0, heelDeg: 0 }] };
    const text = JSON.stringify(job).replace('"trimDeg":0', '"trimDeg":-0');
    const send = (basis: string, value: string) =>
      request(app)
        .put(`/api/boats/${job.boat.id}`)
        .set('Content-Type', 'application/json')
        .set(basis, value)
        .send(text);
    await send('If-None-Match', '*').expect(201);
    const again = await send('If-Match', '"1"').expect(200);
    expect(again.body).toMatchObject({ version: 1 });
  });
});

describe('a database that takes nothing', () => {
  const refusing = (error: Error) => {
    const lines: string[] = [];
    const stream = new Writable({
      write: (chunk: Buffer, _encoding, done) => {
        lines.push(chunk.toString());
        done();
      },
    });
    const store = Object.assign(Object.create(BoatStore.prototype) as BoatStore, {
      create: () => Promise.reject(error),
      lines: () => Promise.reject(error),
    });
    const failing = createApp({
      stores: { ...stores, boats: store },
      ping: connection.ping,
      logger: pino({ level: 'error' }, stream),
    });
    return { failing, lines };
  };
  const failure = (code: string) =>
    Object.assign(new Error('Failed query: insert … params: Mrs. Quillan of Reach House'), {
      cause: Object.assign(new Error('Mrs. Quillan of Reach House'), { code }),
    });

  it.each(['25006', '53100', '53300', '57P01'])('(%s) asks to come back in a moment', async (code) => {
    const { failing } = refusing(failure(code));
    const answer = await request(failing).get('/api/boats').expect(503);
    expect(Number(answer.headers['retry-after'])).toBeGreaterThan(0);
  });

  it('lost in the middle of a save does not say that nothing was changed', async () => {
    const { failing } = refusing(failure('57P01'));
    const job = boat();
    const answer = await request(failing)
      .put(`/api/boats/${job.boat.id}`)
      .set('If-None-Match', '*')
      .send(job)
      .expect(503);
    expect(answer.body.detail).toContain('is not known');
    expect(answer.body.detail).not.toContain('Nothing was changed');
  });

  it('is logged by its kind and place, without a word of what was being stored', async () => {
    const { failing, lines } = refusing(failure('XX000'));
    await request(failing).get('/api/boats').expect(500);
    const log = lines.join('');
    expect(log).toContain('XX000');
    expect(log).toMatch(/"at":\["\s+at /);
    expect(log).not.toContain('Quillan');
  });
});
