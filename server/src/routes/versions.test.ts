import { randomUUID } from 'node:crypto';
import type { Sitting } from '@harbor-latch/core/wire/index';
import { sql } from 'drizzle-orm';
import request from 'supertest';
import { packed } from '../db/packed';
import { revisions } from '../db/schema';
import { app, boat, by, connection, create, owner, renamed, save, sittingsOf, stores } from './boatsApi.fixture';

const other = randomUUID();

describe('versions', () => {
  it('are one a sitting: one person at one device, until half an hour’s rest', async () => {
    const job = boat('One');
    await create(job).set(by('Wren'));
    await save(renamed(job, 'Two'), 1).expect(200);
    await save(renamed(job, 'Three'), 2).expect(200);
    expect(await sittingsOf(job.boat.id)).toMatchObject([{ version: 3, savedBy: 'Wren', first: true, changes: [] }]);
    // Another person, another device, and the same after half an hour.
    await save(renamed(job, 'Four'), 3, by('Samphire')).expect(200);
    await save(renamed(job, 'Five'), 4, by('Samphire', other)).expect(200);
    const rest = (minutes: number) =>
      owner.database.execute(sql`update revisions set saved_at = now() - ${minutes} * interval '1 minute'
        where boat_id = ${job.boat.id}::uuid`);
    await rest(29);
    await save(renamed(job, 'Six'), 5, by('Samphire', other)).expect(200);
    await rest(31);
    await save(renamed(job, 'Seven'), 6, by('Samphire', other)).expect(200);
    const all = await sittingsOf(job.boat.id);
    expect(all.map(({ version, savedBy }) => [version, savedBy])).toEqual([
      [7, 'Samphire'],
      [6, 'Samphire'],
      [4, 'Samphire'],
      [3, 'Wren'],
    ]);
    expect(all[0]).toMatchObject({
      changes: [{ path: ['boat', 'name'], before: 'Six', after: 'Seven' }],
      first: false,
    });
    const old = await request(app).get(`/api/boats/${job.boat.id}/revisions/3`).expect(200);
    expect(old.body.job.boat.name).toBe('Three');
  });

  it('that are restored stand by themselves and stay', async () => {
    const job = boat('Kept');
    await create(job).set(by('Wren'));
    await save(renamed(job, 'Back'), 1, { ...by('Wren'), 'X-Kept': 'restored' }).expect(200);
    await save(renamed(job, 'On'), 2).expect(200);
    expect((await sittingsOf(job.boat.id)).map(({ version, kept }) => [version, kept])).toEqual([
      [3, null],
      [2, 'restored'],
      [1, null],
    ]);
    await request(app)
      .post(`/api/boats/${job.boat.id}/revisions/1`)
      .send({ kept: 'named', name: ' As built ' })
      .expect(204);
    expect((await sittingsOf(job.boat.id))[2]).toMatchObject({ kept: 'named', name: 'As built' });
    await request(app).post(`/api/boats/${job.boat.id}/revisions/9`).send({ kept: 'named' }).expect(404);
    await request(app).post(`/api/boats/${job.boat.id}/revisions/1`).send({ kept: 'lost' }).expect(400);
  });

  it('of a copy that lost are kept before the one that is there', async () => {
    const job = boat('Theirs');
    await create(job).set(by('Wren'));
    const aside = await request(app)
      .post(`/api/boats/${job.boat.id}/asides`)
      .set('If-Match', '"1"')
      .set(by('Samphire', other))
      .send(renamed(job, 'Mine'))
      .expect(200);
    expect(aside.body.version).toBe(3);
    expect((await request(app).get(`/api/boats/${job.boat.id}`)).body).toMatchObject({
      version: 3,
      savedBy: 'Wren',
      job: { boat: { name: 'Theirs' } },
    });
    const [, lost] = await sittingsOf(job.boat.id);
    expect(lost).toMatchObject({ version: 2, kept: 'conflict', savedBy: 'Samphire' });
    expect((await request(app).get(`/api/boats/${job.boat.id}/revisions/2`)).body.job.boat.name).toBe('Mine');
    await request(app).post(`/api/boats/${job.boat.id}/asides`).set('If-Match', '"1"').send(job).expect(412);
  });

  it('that another was knowingly written over are kept', async () => {
    const job = boat('Theirs');
    await create(job).set(by('Wren'));
    await save(renamed(job, 'Mine'), 1, { ...by('Wren'), 'X-Kept': 'conflict' }).expect(200);
    expect((await sittingsOf(job.boat.id)).map(({ version, kept }) => [version, kept])).toEqual([
      [2, null],
      [1, 'conflict'],
    ]);
  });

  it('are all reached, page by page, however many there are', async () => {
    const job = boat();
    await create(job);
    for (let version = 1; version <= 120; version += 1) await save(renamed(job, `Copy ${version}`), version, {});
    const seen: number[] = [];
    for (let before = 1000; ;) {
      const { body } = await request(app).get(`/api/boats/${job.boat.id}/revisions?before=${before}`);
      const page = (body.revisions as Sitting[]).map(({ version }) => version);
      if (page.length === 0) break;
      seen.push(...page);
      before = page[page.length - 1] ?? 0;
    }
    expect(seen).toEqual(Array.from({ length: 121 }, (_, index) => 121 - index));
  });

  it('are thinned after thirty days to the last of each day and person; what is kept on purpose stays', async () => {
    const id = randomUUID();
    const job = boat('Old', id);
    const old = (version: number, days: number, hour: number, savedBy: string, kept: 'named' | null = null) => {
      const savedAt = new Date(Date.UTC(2026, 0, 31 - days, hour));
      return { boatId: id, version, packed: packed(JSON.stringify(job)), savedAt, beganAt: savedAt, savedBy, kept };
    };
    await connection.database
      .insert(revisions)
      .values([
        old(1, 2, 9, 'Wren'),
        old(2, 2, 10, 'Wren', 'named'),
        old(3, 2, 11, 'Samphire'),
        old(4, 2, 12, 'Wren'),
        old(5, 1, 9, 'Wren'),
        { ...old(6, 0, 0, 'Wren'), savedAt: new Date(Date.now() - 29 * 86_400_000) },
        { ...old(7, 0, 0, 'Wren'), savedAt: new Date(Date.now() - 29 * 86_400_000 + 1000) },
      ]);
    await stores.versions.thin();
    expect((await sittingsOf(id)).map(({ version }) => version)).toEqual([7, 6, 5, 4, 3, 2]);
  });
});
