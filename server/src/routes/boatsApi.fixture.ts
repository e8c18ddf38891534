import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { newCircuit, newJob, type Job } from '@harbor-latch/core/job/index';
import type { Changes, Sitting } from '@harbor-latch/core/wire/index';
import { pino } from 'pino';
import request from 'supertest';
import { createApp } from '../app';
import { applyMigrations, connect } from '../db/connect';
import { storesOn } from '../stores';

export const connection = connect(process.env['TEST_DATABASE_URL'] ?? '', () => undefined);
export const stores = storesOn(connection.database);
export const app = createApp({
  stores,
  ping: connection.ping,
  logger: pino({ level: 'silent' }),
  requestsPerMinute: 1_000_000,
});

/** As the owner of the tables comes in. */
export const owner = connect(process.env['TEST_DATABASE_OWNER_URL'] ?? '', () => undefined);

beforeAll(() => applyMigrations(owner, join(__dirname, '../../migrations'), 'latch_server'));
afterAll(() => owner.close());
afterAll(() => connection.close());

export function boat(name = 'Tern', id: string = randomUUID()): Job {
  const job = newJob({ boatId: id, batteryId: 'house' }, name);
  return { ...job, circuits: [newCircuit('main', 'Main', 'three-way-float', 'house')] };
}

export const put = (job: unknown, id: string) =>
  request(app).put(`/api/boats/${id}`).set('Content-Type', 'application/json').send(JSON.stringify(job));
export const create = (job: Job) => put(job, job.boat.id).set('If-None-Match', '*');
export const renamed = (job: Job, name: string): Job => ({ ...job, boat: { ...job.boat, name } });

/** A device, and who works with it. */
const device = randomUUID();
export const by = (person: string, from = device) => ({ 'X-Person': encodeURIComponent(person), 'X-Device': from });
/** Saves a boat over a version. */
export const save = (job: Job, version: number, headers: Record<string, string> = by('Wren')) =>
  put(job, job.boat.id).set('If-Match', `"${version}"`).set(headers);
export const sittingsOf = async (id: string) =>
  (await request(app).get(`/api/boats/${id}/revisions`).expect(200)).body.revisions as Sitting[];

/** Everything after a point, page by page. */
export async function changesAfter(point: string, jobs = false): Promise<{ all: Changes['changes']; next: string }> {
  const all: Changes['changes'][number][] = [];
  for (let next = point; ;) {
    const { body }: { body: Changes } = await request(app)
      .get('/api/changes')
      .query({ ...(next === '' ? {} : { after: next }), ...(jobs ? { jobs: 'all' } : {}) })
      .expect(200);
    const page = body;
    all.push(...page.changes);
    next = page.next;
    if (!page.more) return { all, next };
  }
}

export function idOf(change: Changes['changes'][number]): string {
  switch (change.kind) {
    case 'removed':
      return change.id;
    case 'boat':
      return change.line.id;
    case 'stock':
      return change.entry.id;
    case 'record':
      return change.record.entry.id;
    default:
      return change satisfies never;
  }
}
