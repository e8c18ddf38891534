import { createPublicKey, verify } from 'node:crypto';
import { jsonPath } from '@harbor-latch/core/file/index';
import {
  bodyProblems,
  entryHash,
  photographsOf,
  THE_YARD,
  type ChainedEntry,
  type SignedEntry,
} from '@harbor-latch/core/records/index';
import { hashOf, packBundle } from '@harbor-latch/core/records/index';
import { recordKinds } from '@harbor-latch/core/records/kinds/index';
import { recordsSchema, type RecordResult } from '@harbor-latch/core/wire/index';
import { Router } from 'express';
import { z } from 'zod';
import type { Taken } from '../db/recordStore';
import { Problem } from '../problem';
import type { Stores } from '../stores';

/** So many links are handed out at once. */
const LINKS_AT_ONCE = 200;

/** What a raw Ed25519 key begins with as SubjectPublicKeyInfo, RFC 8410. */
const SPKI = Buffer.from('302a300506032b6570032100', 'hex');

function isSigned({ entry, signature }: SignedEntry): boolean {
  try {
    const key = createPublicKey({
      key: Buffer.concat([SPKI, Buffer.from(entry.device, 'hex')]),
      format: 'der',
      type: 'spki',
    });
    return verify(null, Buffer.from(entryHash(entry), 'hex'), key, Buffer.from(signature, 'hex'));
  } catch {
    return false;
  }
}

/** Why an entry is not taken, or nothing. */
function problemOf(signed: SignedEntry): RecordResult | null {
  const { entry } = signed;
  const refused = (code: string, path: string, message: string): RecordResult => ({
    id: entry.id,
    kind: 'refused',
    code,
    path,
    message,
  });
  if (entry.yard !== THE_YARD) return refused('other-yard', '$.entry.yard', 'It is of another yard.');
  const [wrong] = bodyProblems(entry);
  if (wrong) return refused('bad-entry', jsonPath(['entry', ...wrong.path]), wrong.message);
  if (!isSigned(signed))
    return refused('bad-signature', '$.signature', 'The device did not sign this entry as it stands.');
  return null;
}

/** Fingerprints of the jobs that entries sign as proved. */
function provedJobs(entries: readonly SignedEntry[]): string[] {
  return entries.flatMap(({ entry: { kind, body } }) => {
    const read = kind === 'proof' ? recordKinds.proof.schema.safeParse(body) : null;
    return read?.success && read.data.result === 'proved' ? [read.data.jobHash] : [];
  });
}

/** Records of boats: entries that are added, and handed out as they are. */
export function recordRoutes({
  records,
  boats,
  photos,
  versions,
}: Pick<Stores, 'records' | 'boats' | 'photos' | 'versions'>): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    const read = recordsSchema.safeParse(request.body);
    if (!read.success) {
      const errors = read.error.issues.slice(0, 20).map(({ path, message }) => ({ path: jsonPath(path), message }));
      const [first] = errors;
      throw new Problem(400, 'bad-entry', `${first?.path ?? '$'}: ${first?.message ?? 'Not an entry.'}`, { errors });
    }
    const results = new Map<string, RecordResult>();
    const good = new Map<string, SignedEntry[]>();
    for (const signed of read.data.entries) {
      const refused = problemOf(signed);
      if (refused) results.set(signed.entry.id, refused);
      else good.set(signed.entry.boat, [...(good.get(signed.entry.boat) ?? []), signed]);
    }
    for (const [boat, entries] of good) {
      for (const one of await records.add(boat, entries)) results.set(one.id, resultOf(one));
      for (const hash of provedJobs(entries)) await versions.keepProved(boat, hash);
    }
    response.json({ results: read.data.entries.map(({ entry }) => results.get(entry.id)) });
  });
  router.get('/', async (request, response) => {
    const boat = boatIn(request.query['boat']);
    const after = z.coerce
      .number()
      .int()
      .min(0)
      .safeParse(request.query['after'] ?? '0');
    if (!after.success) throw bad('after', 'A number of the chain, or left out.');
    const links = await records.after(boat, after.data, LINKS_AT_ONCE + 1);
    response.json({ records: links.slice(0, LINKS_AT_ONCE), more: links.length > LINKS_AT_ONCE });
  });
  router.get('/bundle', async (request, response) => {
    const boat = boatIn(request.query['boat']);
    const links: ChainedEntry[] = [];
    for (let more = true; more;) {
      const page = await records.after(boat, links.length, LINKS_AT_ONCE);
      links.push(...page);
      more = page.length === LINKS_AT_ONCE;
    }
    const job = (await boats.find(boat))?.job ?? null;
    if (!job && links.length === 0)
      throw new Problem(404, 'no-such-boat', 'There is no such boat, nor any record of one.');
    const names = new Set([
      ...links.flatMap(({ entry }) => photographsOf(entry)),
      ...(job?.photographs ?? []).map(({ photo }) => photo),
    ]);
    const photographs = new Map<string, Uint8Array>();
    for (const name of names) {
      const bytes = await photos.find(name);
      if (bytes) photographs.set(name, bytes);
    }
    const head = await records.head(boat, links, job ? hashOf(job) : null);
    response
      .set('Content-Type', 'application/zip')
      .set('Content-Disposition', 'attachment; filename="boat.zip"')
      .send(Buffer.from(packBundle({ job, entries: links, head, photographs })));
  });
  return router;
}

function resultOf(taken: Taken): RecordResult {
  if (taken.kind === 'taken') return taken;
  return {
    id: taken.id,
    kind: 'refused',
    code: 'other-entry',
    path: '$.entry.id',
    message: 'Another entry is kept under this id.',
  };
}

function boatIn(value: unknown): string {
  const id = z.uuid().safeParse(value);
  if (!id.success) throw bad('boat', 'The id of a boat, a UUID, is wanted.');
  return id.data.toLowerCase();
}

const bad = (name: string, message: string) =>
  new Problem(400, `bad-${name}`, `"${name}": ${message}`, { errors: [{ path: `$.${name}`, message }] });
