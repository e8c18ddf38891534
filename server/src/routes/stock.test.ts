import { randomUUID } from 'node:crypto';
import type { Changes, StockEntry } from '@harbor-latch/core/wire/index';
import request from 'supertest';
import { app, by, changesAfter, connection } from './boatsApi.fixture';

const entry = (more: object = {}): StockEntry => ({
  id: randomUUID(),
  at: '2026-05-01T08:00:00.000Z',
  by: 'Wren',
  change: { kind: 'cut', drum: 'red', metres: 2.5, for: null, ...more } as StockEntry['change'],
});
const send = (...entries: readonly object[]) => request(app).post('/api/stock').set(by('Wren')).send({ entries });
const stockAfter = async (after: string) => {
  const { body } = await request(app)
    .get('/api/changes')
    .query({ stock: 'all', ...(after === '' ? {} : { after }) })
    .expect(200);
  return body as Changes;
};

describe('the stock', () => {
  it('keeps entries once, however often they come, and tells them to whoever asks for them', async () => {
    const point = (await changesAfter('')).next;
    const [one, two] = [entry(), entry({ metres: 1 })];
    expect((await send(one, two).expect(200)).body).toEqual({ taken: 2 });
    expect((await send(two, one).expect(200)).body).toEqual({ taken: 0 });
    // The same id with another body changes nothing.
    await send({ ...one, by: 'Samphire' }).expect(200);
    const told = await stockAfter(point);
    expect(told.changes).toEqual(
      expect.arrayContaining([
        { kind: 'stock', entry: one },
        { kind: 'stock', entry: two },
      ]),
    );
    expect((await stockAfter(told.next)).changes.filter(({ kind }) => kind === 'stock')).toEqual([]);
    // Pages of earlier releases do not know of a stock: they are told boats alone.
    expect((await changesAfter(point)).all.filter(({ kind }) => kind === 'stock')).toEqual([]);
  });

  it('comes page by page in one order with the boats, nothing twice and nothing left out', async () => {
    let point = '';
    for (let more = true; more;) ({ next: point, more } = await stockAfter(point));
    const entries = Array.from({ length: 620 }, () => entry());
    for (let at = 0; at < entries.length; at += 100) await send(...entries.slice(at, at + 100)).expect(200);
    const seen: string[] = [];
    for (let after = point, more = true; more;) {
      const page = await stockAfter(after);
      seen.push(...page.changes.flatMap((one) => (one.kind === 'stock' ? [one.entry.id] : [])));
      ({ next: after, more } = page);
    }
    expect([...seen].sort()).toEqual(entries.map(({ id }) => id).sort());
  });

  it('refuses what is no entry, at its path, and keeps none of what came with it', async () => {
    const good = entry();
    const { body } = await send(good, entry({ metres: -1 })).expect(400);
    expect(body).toMatchObject({ code: 'bad-entry', errors: [{ path: '$.entries[1].change.metres' }] });
    await send().expect(400);
    await send(...Array.from({ length: 101 }, () => entry())).expect(400);
    await send({ ...good, id: 'x' }).expect(400);
    await send({ ...good, more: 1 }).expect(400);
    const { body: all } = { body: await stockAfter('') };
    expect(all.changes.some((one) => one.kind === 'stock' && one.entry.id === good.id)).toBe(false);
    await request(app).get('/api/changes').query({ stock: 'some' }).expect(400);
  });

  it('cannot be altered or removed by the server itself', async () => {
    await send(entry()).expect(200);
    for (const statement of ['update stock_entries set device = null', 'delete from stock_entries'])
      await expect(connection.database.execute(statement)).rejects.toThrow();
  });
});
