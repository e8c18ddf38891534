import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { request, type IncomingHttpHeaders } from 'node:http';
import type { AddressInfo } from 'node:net';
import fc from 'fast-check';
import { app, boat, create } from './boatsApi.fixture';

/** So many bad requests are sent; a drill sends more. */
const REQUESTS = Math.round(2500 * Number(process.env['SHARE_OF_RUNS'] ?? 1));

const ending: (() => void)[] = [];
afterAll(() => ending.forEach((end) => end()));

interface Answer {
  readonly status: number;
  readonly text: string;
  readonly headers: IncomingHttpHeaders;
}

/** Whoever waits so long thinks that it hangs; how fast it is, a benchmark measures. */
const HANGS_MS = 20_000;

it('a bad request of any kind is told what is wrong, and neither hangs nor ends in a server error', async () => {
  const job = boat();
  await create(job);
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  ending.push(() => {
    server.close();
    server.closeAllConnections();
  });
  const { port } = server.address() as AddressInfo;
  const ask = (method: string, path: string, headers: Record<string, string>, body: string): Promise<Answer> =>
    new Promise((resolve, reject) => {
      const framed = { ...headers, 'Content-Length': Buffer.byteLength(body) };
      const sent = request({ port, host: '127.0.0.1', method, path, headers: framed }, (answer) => {
        let text = '';
        answer.setEncoding('utf8');
        answer.on('data', (piece: string) => (text += piece));
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text, headers: answer.headers }));
      });
      sent.setTimeout(HANGS_MS, () => sent.destroy(new Error(`No answer to ${method} ${path}`)));
      sent.on('error', reject);
      sent.end(body);
    });
  const segment = fc.oneof(
    fc.constantFrom(
      job.boat.id,
      randomUUID(),
      'revisions',
      'asides',
      '1',
      '-1',
      '%00',
      '%ff',
      '..%2f..',
      '%',
      'x'.repeat(3000),
    ),
    fc.string({ unit: 'grapheme', maxLength: 20 }).map(encodeURIComponent),
  );
  const path = fc
    .tuple(
      fc.constantFrom('boats', 'changes', 'photos', 'openapi.json', 'health', 'nothing'),
      fc.array(segment, { maxLength: 3 }),
      fc.option(
        fc.tuple(
          fc.constantFrom('after', 'limit', 'ids', 'before', 'jobs', '__proto__', 'a[b]'),
          fc.oneof(segment, fc.constantFrom('-1', '1e9', '99999999999999999999', ',', 'all', `${randomUUID()}.1.x`)),
        ),
      ),
    )
    .map(([root, rest, query]) => `/api/${[root, ...rest].join('/')}${query ? `?${query[0]}=${query[1]}` : ''}`);
  const name = fc.constantFrom(
    'If-Match',
    'If-None-Match',
    'Idempotency-Key',
    'X-Person',
    'X-Device',
    'X-Kept',
    'Content-Type',
    'Content-Encoding',
    'Accept',
  );
  const value = fc.oneof(
    fc.constantFrom(
      '"1"',
      '"-1"',
      '*',
      'seven',
      '',
      '%zz',
      randomUUID(),
      'application/json',
      'image/jpeg',
      'gzip',
      'br',
      'restored',
    ),
    fc.string({ unit: fc.constantFrom(...'abc "=;,/*%0'), maxLength: 30 }),
  );
  const headers = fc.dictionary(name, value, { maxKeys: 4 });
  const body = fc.oneof(
    fc.constantFrom(
      '',
      'null',
      '[]',
      '{"half":',
      '"\\ud800"',
      '{"__proto__":{}}',
      '\u00ff\u00d8\u00ff\u00d9',
      '['.repeat(20_000),
    ),
    fc.json(),
    fc.constant(JSON.stringify({ ...job, circuits: [{}] })),
  );
  const seen = new Map<number, number>();
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom('GET', 'PUT', 'POST', 'DELETE', 'PATCH', 'HEAD'),
      path,
      headers,
      body,
      async (...parts) => {
        const [method, address, sent, text] = parts;
        const answer = await ask(method, address, sent, method === 'GET' || method === 'HEAD' ? '' : text);
        seen.set(answer.status, (seen.get(answer.status) ?? 0) + 1);
        expect([answer.status < 500, parts]).toEqual([true, parts]);
        expect(answer.text).not.toMatch(/node_modules|\n\s+at |postgres|select /);
        if (answer.status >= 400 && method !== 'HEAD')
          expect(answer.headers['content-type']).toContain('application/problem+json');
      },
    ),
    { numRuns: REQUESTS },
  );
  expect(seen.get(400)).toBeGreaterThan(REQUESTS / 20);
}, 900_000);
