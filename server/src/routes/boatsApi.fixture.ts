import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { newCircuit, newJob, type Job } from '@harbor-latch/core/job/index';
import { pino } from 'pino';
import request from 'supertest';
import { createApp } from '../app';
import { BoatStore } from '../db/boatStore';
import { applyMigrations, connect } from '../db/connect';

export const connection = connect(process.env['TEST_DATABASE_URL'] ?? '', () => undefined);
export const app = createApp({
  store: new BoatStore(connection.database),
  ping: connection.ping,
  logger: pino({ level: 'silent' }),
  requestsPerMinute: 1_000_000,
});

beforeAll(() => applyMigrations(connection, join(__dirname, '../../migrations')));
afterAll(() => connection.close());

export function boat(name = 'Tern', id: string = randomUUID()): Job {
  const job = newJob({ boatId: id, batteryId: 'house' }, name);
  return { ...job, circuits: [newCircuit('main', 'Main', 'three-way-float', 'house')] };
}

export const put = (job: unknown, id: string) =>
  request(app).put(`/api/boats/${id}`).set('Content-Type', 'application/json').send(JSON.stringify(job));
export const create = (job: Job) => put(job, job.boat.id).set('If-None-Match', '*');
export const renamed = (job: Job, name: string): Job => ({ ...job, boat: { ...job.boat, name } });
