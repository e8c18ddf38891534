import { boatWith } from '../testing/page.fixture';
import {
  changesSince,
  deleteBoat,
  listVersions,
  putBoat,
  ServerAway,
  ServerNewer,
  ServerProblem,
  someBoats,
  versionOf,
} from './api';

const job = boatWith();
const stored = { id: job.boat.id, version: 3, savedAt: '2026-01-01T10:00:00Z', savedBy: 'Wren', job };
const sent = { key: '0190a1b2-0000-7000-8000-000000000001', by: 'Åse Wren', kept: null };

/** A server that gives one answer to everything. @returns what it was asked */
function answering(status: number, body: unknown): jest.Mock {
  const fetched = jest.fn(async () => ({
    ok: status < 400,
    status,
    json: async () => {
      if (body === undefined) throw new SyntaxError('no JSON');
      return body;
    },
  }));
  globalThis.fetch = fetched as unknown as typeof fetch;
  return fetched;
}

const before = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = before;
});

const failure = (work: Promise<unknown>) => work.then(() => null).catch((error: unknown) => error);

const problem = { type: 'about:blank', title: 'Precondition Failed', status: 412 };

describe('the server', () => {
  it('is asked for boats, and for what they were', async () => {
    const asked = answering(200, { boats: [stored] });
    expect(await someBoats([stored.id])).toEqual([stored]);
    expect(asked).toHaveBeenCalledWith(`/api/boats?ids=${stored.id}`, { signal: expect.any(AbortSignal) });
    const since = answering(200, { whole: false, boats: 1, changes: [], next: 'point', more: false });
    expect(await changesSince('a.1.b', false)).toMatchObject({ next: 'point' });
    expect(since.mock.calls[0]?.[0]).toBe('/api/changes?stock=all&after=a.1.b');
    const sitting = { beganAt: stored.savedAt, kept: null, name: null, changes: [], moreChanges: 0, first: true };
    const { job: _job, ...version } = stored;
    answering(200, { revisions: [{ ...version, ...sitting, version: 2 }] });
    expect((await listVersions(stored.id, null)).map((one) => one.version)).toEqual([2]);
    const once = answering(200, stored);
    expect(await versionOf(stored.id, 2)).toEqual(stored);
    expect(once.mock.calls[0]?.[0]).toBe(`/api/boats/${stored.id}/revisions/2`);
  });

  it('that hands out what a newer version wrote is told apart from one that refuses, wherever a boat comes', async () => {
    const newer = { ...stored, job: { ...job, version: job.version + 1 } };
    const change = { kind: 'boat', line: {}, job: newer.job };
    answering(200, { whole: false, boats: 1, changes: [change], next: 'point', more: false });
    expect(await failure(changesSince(null, true))).toBeInstanceOf(ServerNewer);
    answering(200, { boats: [newer] });
    expect(await failure(someBoats([stored.id]))).toBeInstanceOf(ServerNewer);
    answering(200, newer);
    expect(await failure(versionOf(stored.id, 2))).toBeInstanceOf(ServerNewer);
    answering(412, { ...problem, code: 'stale', detail: 'Changed.', current: newer });
    expect(await failure(putBoat(job, 2, sent))).toBeInstanceOf(ServerNewer);
  });

  it('takes a boat on the version it was changed from, or as new', async () => {
    const asked = answering(200, stored);
    await putBoat(job, 2, sent);
    expect(asked.mock.calls[0]?.[1]).toMatchObject({
      method: 'PUT',
      headers: { 'If-Match': '"2"', 'Idempotency-Key': sent.key, 'X-Person': '%C3%85se%20Wren' },
    });
    await putBoat(job, null, { ...sent, kept: 'restored' });
    expect(asked.mock.calls[1]?.[1]).toMatchObject({ headers: { 'If-None-Match': '*', 'X-Kept': 'restored' } });
    await deleteBoat(stored.id, 3, sent);
    expect(asked.mock.calls[2]?.[1]).toMatchObject({ method: 'DELETE', headers: { 'If-Match': '"3"' } });
  });

  it('that refuses says why, and gives its own copy of what was stale', async () => {
    answering(412, { ...problem, code: 'stale', detail: 'It was changed meanwhile.', current: stored });
    const refused = await failure(putBoat(job, 1, sent));
    expect(refused).toBeInstanceOf(ServerProblem);
    expect(refused).toMatchObject({
      status: 412,
      code: 'stale',
      message: 'It was changed meanwhile.',
      current: stored,
    });
    answering(412, { ...problem, code: 'stale', detail: 'It is gone.', current: null });
    expect(await failure(putBoat(job, 1, sent))).toMatchObject({ current: null });
  });

  it.each([
    ['is not reached', () => (globalThis.fetch = () => Promise.reject(new TypeError('no route')))],
    ['answers with something that is none of its own', () => answering(502, undefined)],
    ['has no database just now', () => answering(503, { code: 'database-away', detail: 'Later.' })],
    ['has too much to do', () => answering(429, { code: 'too-many', detail: 'Later.' })],
  ])('counts as away where it %s', async (_what, set) => {
    set();
    expect(await failure(someBoats([stored.id]))).toBeInstanceOf(ServerAway);
  });
});

describe('a server that does not answer', () => {
  it('is not waited for longer than half a minute', async () => {
    jest.useFakeTimers();
    globalThis.fetch = ((_path: string, { signal }: RequestInit) =>
      new Promise((_resolve, reject) => {
        signal?.addEventListener('abort', () => reject(new Error('aborted')));
      })) as typeof fetch;
    const waiting = failure(someBoats([stored.id]));
    await jest.advanceTimersByTimeAsync(30_001);
    expect(await waiting).toBeInstanceOf(ServerAway);
    jest.useRealTimers();
  });
});
