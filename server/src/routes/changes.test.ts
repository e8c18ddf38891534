import { randomUUID } from 'node:crypto';
import type { Job } from '@harbor-latch/core/job/index';
import type { boatLinesSchema, Change, Changes } from '@harbor-latch/core/wire/index';
import { sql } from 'drizzle-orm';
import { pino } from 'pino';
import request from 'supertest';
import type { z } from 'zod';
import { pointIn } from '../db/changeStore';
import { Summaries } from '../summaries/Summaries';
import { summaryOf } from '../summaries/summaryOf';
import { app, boat, changesAfter, connection, create, idOf, owner, renamed, save } from './boatsApi.fixture';

/** Of some changes those of these boats: other tests write beside this one. */
const of = (changes: readonly Change[], ids: readonly string[]) => changes.filter((one) => ids.includes(idOf(one)));

type BoatLines = z.infer<typeof boatLinesSchema>;

describe('changes since a point', () => {
  it('tell what was added, changed and removed, each boat once, with its last state', async () => {
    const { next } = await changesAfter('');
    const [kept, gone] = [boat('Kept'), boat('Gone')];
    await create(kept);
    await create(gone);
    await save(renamed(kept, 'Kept on'), 1).expect(200);
    await request(app).delete(`/api/boats/${gone.boat.id}`).set('If-Match', '"1"').expect(204);
    const after = await changesAfter(next, true);
    expect(of(after.all, [kept.boat.id, gone.boat.id])).toMatchObject([
      {
        kind: 'boat',
        line: { id: kept.boat.id, name: 'Kept on', version: 2, savedBy: 'Wren' },
        job: { boat: { name: 'Kept on' } },
      },
      { kind: 'removed', id: gone.boat.id, version: 2 },
    ]);
    expect(of((await changesAfter(after.next)).all, [kept.boat.id, gone.boat.id])).toEqual([]);
  });

  it('begun anew tell nothing of what was removed before, but of what is removed while they are read', async () => {
    const removal = (id: string) => request(app).delete(`/api/boats/${id}`).set('If-Match', '"1"').expect(204);
    const pageAfter = async (after: string) => {
      const { body } = await request(app).get('/api/changes').query({ jobs: 'all', after }).expect(200);
      return body as Changes;
    };
    const [before, during] = [boat('Removed before'), boat('Removed meanwhile')];
    for (const one of [before, during]) await create(one);
    await removal(before.boat.id);
    // More than there is room for in a page.
    await Promise.all(Array.from({ length: 51 }, (_, nth) => create(boat(`Behind her ${nth}`))));
    const told: Change[] = [];
    let page = await pageAfter('');
    for (; !page.changes.some((one) => idOf(one) === during.boat.id); page = await pageAfter(page.next))
      told.push(...page.changes);
    expect(page).toMatchObject({ more: true });
    await removal(during.boat.id);
    for (; page.more; page = await pageAfter(page.next)) told.push(...page.changes);
    told.push(...page.changes);
    expect(of(told, [before.boat.id, during.boat.id])).toMatchObject([
      { kind: 'boat', line: { id: during.boat.id } },
      { kind: 'removed', id: during.boat.id, version: 2 },
    ]);
    // Nor is anything told a second time of what was there.
    expect(of((await pageAfter(page.next)).changes, [before.boat.id, during.boat.id])).toEqual([]);
  });

  it('skip nothing, whatever order writes that overlap end in', async () => {
    const { next: begin } = await changesAfter('');
    const [slow, quick] = [boat('Slow'), boat('Quick')];
    await create(slow);
    const { next } = await changesAfter(begin);
    // A write that began first and ends last.
    const held = await owner.database.transaction(async (holding) => {
      await holding.execute(
        sql`update boats set version = 2, changed = pg_current_xact_id() where id = ${slow.boat.id}::uuid`,
      );
      await create(quick);
      // The quick one is there, and not told before the slow one has ended.
      await request(app).get(`/api/boats/${quick.boat.id}`).expect(200);
      return changesAfter(next);
    });
    expect(held.all.map(idOf)).not.toContain(quick.boat.id);
    const both = [slow.boat.id, quick.boat.id];
    expect(of((await changesAfter(held.next)).all, both).map(idOf)).toEqual(both);
  });

  it('are complete for a reader that asks while twenty writers write', async () => {
    const { next: begin } = await changesAfter('');
    const ids = Array.from({ length: 20 }, () => randomUUID());
    let writing = true;
    const seen = new Map<string, number>();
    const reading = (async () => {
      for (let next = begin, last = false; ;) {
        const page = await changesAfter(next);
        for (const change of page.all) if (change.kind === 'boat') seen.set(change.line.id, change.line.version);
        next = page.next;
        if (last) return;
        last = !writing;
      }
    })();
    await Promise.all(
      ids.map(async (id) => {
        const job = boat('Busy', id);
        await create(job);
        for (let version = 1; version < 6; version += 1)
          await save(renamed(job, `Busy ${version}`), version).expect(200);
      }),
    );
    writing = false;
    await reading;
    expect(ids.map((id) => seen.get(id))).toEqual(ids.map(() => 6));
  });

  it('begin anew after a point of another feed, and refuse what is no point', async () => {
    const { next } = await changesAfter('');
    const [, changed, id] = next.split('.');
    const { body } = await request(app).get(`/api/changes?after=${randomUUID()}.${changed}.${id}`).expect(200);
    expect(body).toMatchObject({ whole: true });
    for (const point of ['7', 'a.b.c', `${randomUUID()}.${'9'.repeat(30)}.${randomUUID()}`]) {
      expect(pointIn(point)).toBeNull();
      await request(app).get('/api/changes').query({ after: point }).expect(400);
    }
  });
});

describe('the yard’s list', () => {
  it('is paged, and the same page is not sent twice', async () => {
    for (let count = 0; count < 5; count += 1) await create(boat(`Listed ${count}`));
    const seen: string[] = [];
    for (let after: string | null = ''; after !== null;) {
      const { body }: { body: BoatLines } = await request(app)
        .get('/api/boats')
        .query({ limit: 2, ...(after ? { after } : {}) })
        .expect(200);
      expect(body.boats.length).toBeLessThanOrEqual(2);
      seen.push(...body.boats.map(({ id }: { id: string }) => id));
      after = body.next;
    }
    expect(new Set(seen).size).toBe(seen.length);
    const { body } = await request(app).get('/api/boats?limit=500');
    expect(seen.slice(0, 500)).toEqual(body.boats.map(({ id }: { id: string }) => id));
    const first = await request(app).get('/api/boats?limit=2');
    await request(app).get('/api/boats?limit=2').set('If-None-Match', String(first.headers['etag'])).expect(304);
    await request(app).get('/api/boats?after=2026_x').expect(400);
  });

  it('hands out some boats whole', async () => {
    const [one, two] = [boat('One'), boat('Two')];
    await create(one);
    await create(two);
    const { body } = await request(app).get(`/api/boats?ids=${one.boat.id},${two.boat.id},${randomUUID()}`).expect(200);
    expect(body.boats.map(({ job }: { job: Job }) => job.boat.name).sort()).toEqual(['One', 'Two']);
    await request(app).get('/api/boats?ids=one').expect(400);
    await request(app)
      .get(`/api/boats?ids=${Array.from({ length: 51 }, () => randomUUID()).join(',')}`)
      .expect(400);
  });

  it('carries how each boat stands, once she rests, by the rules in force', async () => {
    const job = boat('Judged');
    await create(job);
    const under = async (rules: string, restMs: number) => {
      const one = new Summaries({
        database: connection.database,
        logger: pino({ level: 'silent' }),
        rules,
        judge: async (of) => summaryOf(of),
        onSummaries: () => undefined,
      });
      await one.work(restMs);
      one.stop();
    };
    const { next: begin } = await changesAfter('');
    const lines = async (point: string) => of((await changesAfter(point)).all, [job.boat.id]);
    await under('a', 60_000);
    expect(await lines('')).toMatchObject([{ line: { summary: null } }]);
    await under('a', 0);
    expect(await lines(begin)).toMatchObject([
      { line: { summary: { version: 1, metric: { standing: 'incomplete' } } } },
    ]);
    // The same rules judge nothing twice; others judge it anew, and that is told.
    const { next } = await changesAfter('');
    await under('a', 0);
    expect(await lines(next)).toEqual([]);
    await under('b', 0);
    expect(await lines(next)).toHaveLength(1);
  });
});

describe('the server’s account in the database', () => {
  it.each([
    'drop table boats',
    'truncate boats',
    'delete from boats',
    'update photos set bytes = bytes',
    'create table mine (one int)',
    "copy boats to program 'true'",
    'update yards set feed = feed',
  ])('may not %s', async (statement) => {
    await expect(connection.database.execute(sql.raw(statement))).rejects.toMatchObject({ cause: { code: '42501' } });
  });
});
