import { generateKeyPairSync, sign } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  CHAIN_BEGIN,
  chainHash,
  entryHash,
  hashOf,
  headHash,
  packBundle,
  THE_YARD,
  type ChainedEntry,
  type Entry,
} from '@harbor-latch/core/records/index';
import { folder, latch, refusal, root } from './latch.fixture';

const pair = () => {
  const { privateKey, publicKey } = generateKeyPairSync('ed25519');
  return {
    key: Buffer.from(publicKey.export({ format: 'jwk' }).x ?? '', 'base64url').toString('hex'),
    sign: (hash: string) => sign(null, Buffer.from(hash, 'hex'), privateKey).toString('hex'),
  };
};
const [phone, yard] = [pair(), pair()];
const job = JSON.parse(readFileSync(join(root, 'examples/alder-wren.json'), 'utf8')) as { boat: { id: string } };
const circuit = 'a1de0000-3e4e-4c1a-9b0a-0000000000c1';

function chain(count: number): ChainedEntry[] {
  let previous = CHAIN_BEGIN;
  return Array.from({ length: count }, (_, index) => {
    const entry: Entry = {
      id: `01900000-0000-7000-8000-${String(index).padStart(12, '0')}`,
      yard: THE_YARD,
      boat: job.boat.id,
      circuit,
      kind: 'note',
      body: { words: `Note ${index + 1}` },
      madeAt: '2026-05-01T08:00:00.000Z',
      by: 'Wren',
      device: phone.key,
    };
    const hash = entryHash(entry);
    const receivedAt = '2026-05-01T09:00:00.000Z';
    const own = chainHash(previous, { entryHash: hash, number: index + 1, receivedAt });
    previous = own;
    return {
      entry,
      signature: phone.sign(hash),
      number: index + 1,
      receivedAt,
      chainHash: own,
      sealedBy: yard.key,
      seal: yard.sign(own),
    };
  });
}
const links = chain(4);
const last = links[3]?.chainHash ?? '';

function file(name: string, entries: readonly ChainedEntry[]): string {
  const head = { boat: job.boat.id, count: 4, chainHash: last, at: '2026-05-02T08:00:00.000Z', job: hashOf(job) };
  const signed = { ...head, key: yard.key, earlier: [], seal: yard.sign(headHash(head)) };
  const path = join(folder, name);
  writeFileSync(path, packBundle({ job, entries, head: signed, photographs: new Map() }));
  return path;
}
const answer = async (...args: readonly string[]) => {
  const { status, stdout } = await latch('verify', ...args);
  return {
    status,
    ...(JSON.parse(stdout) as { ok: boolean; key: string; first?: { number: number; what: string }; words: string }),
  };
};

describe('verify', () => {
  it('says under which key a bundle is consistent, and that it agrees with what was written down', async () => {
    const good = file('good.zip', links);
    expect(await answer(good)).toMatchObject({ status: 0, ok: true, entries: 4, key: yard.key, head: last });
    expect((await answer(good)).words).toContain('compare it with the one written down');
    const spaced = (entryHash(links[1]?.entry as Entry).match(/.{8}/g) ?? []).join(' ');
    expect(await answer(good, '--key', yard.key, '--head', spaced)).toMatchObject({ status: 0, ok: true });
    expect(await answer(good, '--key', phone.key)).toMatchObject({ status: 1, ok: false });
    expect(await answer(good, '--head', 'ab'.repeat(32))).toMatchObject({ status: 1, ok: false });
  });

  it('names the first entry that was altered or removed, with exit 1', async () => {
    const altered = links.map((one, at) => (at === 2 ? { ...one, entry: { ...one.entry, by: 'Heron' } } : one));
    expect(await answer(file('altered.zip', altered))).toMatchObject({ status: 1, ok: false, first: { number: 3 } });
    expect(
      await answer(
        file(
          'removed.zip',
          links.filter((_, at) => at !== 1),
        ),
      ),
    ).toMatchObject({ status: 1, first: { number: 2, what: 'it was removed.' } });
  });

  it('refuses what is no bundle, or no hash', async () => {
    expect(await refusal('verify', join(root, 'examples/alder-wren.json'))).toMatchObject({ code: 'not-a-bundle' });
    expect(await refusal('verify', join(folder, 'none.zip'))).toMatchObject({ code: 'unreadable' });
    const short = join(folder, 'short.zip');
    writeFileSync(short, readFileSync(file('whole.zip', links)).subarray(0, 200));
    expect(await refusal('verify', short)).toMatchObject({ code: 'not-a-bundle' });
    expect(await refusal('verify', file('good.zip', links), '--head', 'ab')).toMatchObject({
      code: 'bad-head',
      path: '$.head',
    });
  });
});

describe('a bundle in place of a job', () => {
  it('is proved and assessed by the job in it', async () => {
    const good = file('good.zip', links);
    const { status, stdout } = await latch('prove', good, '--circuit', circuit, '--phase', 'bench');
    expect(status).toBe(0);
    const { tests } = JSON.parse(stdout) as { tests: { id: string; phase: string }[] };
    expect(tests[0]).toMatchObject({ id: 'look-pump', phase: 'bench' });
    expect(JSON.parse((await latch('assess', good)).stdout)).toMatchObject({ circuits: [{ id: circuit }] });
    expect(await refusal('prove', good, '--circuit', circuit, '--phase', 'dock')).toMatchObject({ code: 'bad-phase' });
  });
});
