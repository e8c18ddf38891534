import { randomUUID } from 'node:crypto';
import {
  checkBundle,
  entryHash,
  hashOf,
  unpackBundle,
  type ChainedEntry,
  type SignedEntry,
} from '@harbor-latch/core/records/index';
import type { Changes, RecordPage, RecordResult } from '@harbor-latch/core/wire/index';
import request from 'supertest';
import { app, boat, by, changesAfter, connection, create, owner, renamed } from './boatsApi.fixture';
import { checks, newDevice } from './signing.fixture';

const phone = newDevice();
const send = (...entries: readonly unknown[]) => request(app).post('/api/records').send({ entries });
const taken = async (...entries: readonly SignedEntry[]) =>
  (await send(...entries).expect(200)).body.results as RecordResult[];
const chainOf = async (id: string) => {
  const all: ChainedEntry[] = [];
  for (let more = true; more;) {
    const { body }: { body: RecordPage } = await request(app)
      .get('/api/records')
      .query({ boat: id, after: all.length })
      .expect(200);
    all.push(...body.records);
    ({ more } = body);
  }
  return all;
};
const bundleOf = async (id: string) => {
  const { body } = await request(app)
    .get('/api/records/bundle')
    .query({ boat: id })
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  const read = unpackBundle(new Uint8Array(body as Buffer));
  if (!read.ok) throw new Error(read.message);
  return read.bundle;
};
const verdictOf = async (id: string) => checkBundle(await bundleOf(id), checks);

describe('the records of a boat', () => {
  it('are a chain in the order in which they came, each once, however often they are sent', async () => {
    const id = randomUUID();
    const [one, two] = [phone.note(id), phone.note(id, { circuit: 'main' })];
    expect(await taken(one)).toMatchObject([{ id: one.entry.id, kind: 'taken', number: 1 }]);
    const again = await taken(two, one, two);
    expect(again).toMatchObject([{ number: 2 }, { number: 1 }, { number: 2 }]);
    const chain = await chainOf(id);
    expect(chain.map(({ entry }) => entry)).toEqual([one.entry, two.entry]);
    expect(await verdictOf(id)).toMatchObject({ ok: true, entries: 2, head: chain[1]?.chainHash });
  });

  it('come back from the database letter for letter: what was signed is what is checked', async () => {
    const id = randomUUID();
    const body = { words: 'Volts „12,6“ \u0001 \n é 😀', more: [1e21, 0.1, -0, 1e-7, { z: null, a: true }] };
    await taken(phone.note(id, { kind: 'towed', body, madeAt: '2026-05-01T23:59:59.999Z' }));
    const [link] = await chainOf(id);
    expect(link?.entry.body).toEqual({ ...body, more: [1e21, 0.1, 0, 1e-7, { z: null, a: true }] });
    expect((await verdictOf(id)).ok).toBe(true);
  });

  it('of several boats may come in one batch, each to its own chain', async () => {
    const [a, b] = [randomUUID(), randomUUID()];
    const results = await taken(phone.note(a), phone.note(b), phone.note(a));
    expect(results.map((one) => (one.kind === 'taken' ? one.number : null))).toEqual([1, 1, 2]);
  });

  it('take entries of two phones that sign at once: none is lost, the chain stays one', async () => {
    const id = randomUUID();
    const other = newDevice();
    const batches = Array.from({ length: 12 }, (_, index) =>
      Array.from({ length: 5 }, () => (index % 2 ? phone : other).note(id)),
    );
    await Promise.all(batches.map((batch) => taken(...batch)));
    const chain = await chainOf(id);
    expect(new Set(chain.map(({ entry }) => entry.id)).size).toBe(60);
    expect(chain.map(({ number }) => number)).toEqual(Array.from({ length: 60 }, (_, index) => index + 1));
    expect((await verdictOf(id)).ok).toBe(true);
  });

  it('refuse one by one what is not signed, of another yard, not as its kind must be, or under an id that is taken', async () => {
    const id = randomUUID();
    const good = phone.note(id);
    const [first] = await taken(good);
    expect(first?.kind).toBe('taken');
    const stranger = newDevice();
    const results = await taken(
      { ...phone.note(id), signature: stranger.note(id).signature },
      phone.note(id, { yard: randomUUID() }),
      phone.note(id, { body: { words: '' } }),
      phone.note(id, { id: good.entry.id, body: { words: 'Other words' } }),
      phone.note(id, { device: 'ff'.repeat(32) }),
      phone.note(id),
    );
    expect(results).toMatchObject([
      { kind: 'refused', code: 'bad-signature', path: '$.signature' },
      { kind: 'refused', code: 'other-yard', path: '$.entry.yard' },
      { kind: 'refused', code: 'bad-entry', path: '$.entry.body.words' },
      { kind: 'refused', code: 'other-entry', path: '$.entry.id' },
      { kind: 'refused', code: 'bad-signature' },
      { kind: 'taken', number: 2 },
    ]);
    expect(await chainOf(id)).toHaveLength(2);
  });

  it('refuse what is no batch, at its path, and keep none of it', async () => {
    const id = randomUUID();
    const good = phone.note(id);
    const { body } = await send(good, { ...good, signature: 'x' }).expect(400);
    expect(body).toMatchObject({ code: 'bad-entry', errors: [{ path: '$.entries[1].signature' }] });
    for (const bad of [
      [],
      Array.from({ length: 101 }, () => good),
      [{ ...good, more: 1 }],
      [{ ...good, entry: { ...good.entry, boat: good.entry.boat.toUpperCase() } }],
      [{ ...good, entry: { ...good.entry, kind: 'Not a kind' } }],
      [{ ...good, entry: { ...good.entry, body: [] } }],
    ])
      await send(...bad).expect(400);
    const deep = `{"entries":[{"entry":${'{"a":'.repeat(20_000)}1${'}'.repeat(20_000)}}]}`;
    const { status } = await request(app).post('/api/records').set('Content-Type', 'application/json').send(deep);
    expect(status).toBe(400);
    expect(await chainOf(id)).toEqual([]);
    await request(app).get('/api/records').query({ boat: 'x' }).expect(400);
    await request(app).get('/api/records').query({ boat: id, after: -1 }).expect(400);
    await request(app).get('/api/records/bundle').query({ boat: randomUUID() }).expect(404);
  });

  it('cannot be altered or removed: by the server for want of the right, by the owner of the tables for the trigger', async () => {
    const id = randomUUID();
    await taken(phone.note(id));
    for (const statement of [
      `update records set entry = '{}'`,
      `update records set number = 9 where boat_id = '${id}'`,
      'delete from records',
      'truncate records',
    ]) {
      await expect(connection.database.execute(statement)).rejects.toThrow();
      const error = await owner.database.execute(statement).then(
        () => null,
        (thrown: Error) => String(thrown.cause),
      );
      expect(error).toContain('none is altered or removed');
    }
    expect(await chainOf(id)).toHaveLength(1);
  });

  it('come with what changed to whoever asks for them, and to no page of an earlier release', async () => {
    const id = randomUUID();
    const point = (await changesAfter('')).next;
    const notes = Array.from({ length: 5 }, () => phone.note(id));
    await taken(...notes);
    const { body } = await request(app).get('/api/changes').query({ records: 'all', after: point }).expect(200);
    const told = (body as Changes).changes.flatMap((one) => (one.kind === 'record' ? [one.record.entry] : []));
    expect(
      told
        .filter((entry) => entry.boat === id)
        .map(entryHash)
        .sort(),
    ).toEqual(notes.map(({ entry }) => entryHash(entry)).sort());
    expect((await changesAfter(point)).all.filter(({ kind }) => kind === 'record')).toEqual([]);
    await request(app).get('/api/changes').query({ records: 'some' }).expect(400);
  });

  it('keep the version whose job was signed as proved, and no other', async () => {
    const job = boat('Proved');
    const id = job.boat.id;
    await create(job).expect(201);
    const proof = (of: object, result: 'proved' | 'not proved') =>
      phone.note(id, {
        circuit: 'main',
        kind: 'proof',
        body: {
          phase: 'commission',
          proofs: [randomUUID()],
          job: job as never,
          jobHash: hashOf(of as never),
          battery: {},
          tests: [
            {
              id: 'seen',
              words: 'Look.',
              expect: { state: 'sound' },
              outcome: 'pass',
              read: { said: 'sound' },
              reading: null,
            },
          ],
          accepted: [],
          result,
          name: 'Wren',
        },
      });
    const kept = async () =>
      (
        (await request(app).get(`/api/boats/${id}/revisions`).expect(200)).body.revisions as { kept: string | null }[]
      ).map((one) => one.kept);
    expect(await taken(proof(job, 'not proved'))).toMatchObject([{ kind: 'taken' }]);
    expect(await taken(proof(renamed(job, 'Another'), 'proved'))).toMatchObject([{ kind: 'taken' }]);
    expect(await kept()).toEqual([null]);
    expect(await taken(proof(job, 'proved'))).toMatchObject([{ kind: 'taken' }]);
    expect(await kept()).toEqual(['proved']);
  });

  it('go out in one ZIP with the job that the head names', async () => {
    const job = boat('Bittern');
    await create(job).set(by('Wren')).expect(201);
    await taken(phone.note(job.boat.id));
    const bundle = await bundleOf(job.boat.id);
    expect(bundle.job).toEqual(job);
    expect((await checkBundle(bundle, checks)).ok).toBe(true);
    expect((await checkBundle({ ...bundle, job: { ...job, wells: [] } }, checks)).ok).toBe(false);
  });

  it('are taken with whatever a device’s clock says; when they came stands beside it', async () => {
    const id = randomUUID();
    await taken(
      phone.note(id, { madeAt: '2031-01-01T00:00:00.000Z' }),
      phone.note(id, { madeAt: '2001-01-01T00:00:00.000Z' }),
    );
    const chain = await chainOf(id);
    expect(chain.map(({ entry }) => entry.madeAt.slice(0, 4))).toEqual(['2031', '2001']);
    for (const { receivedAt } of chain) expect(Math.abs(Date.parse(receivedAt) - Date.now())).toBeLessThan(60_000);
  });
});
