import { createPublicKey, verify } from 'node:crypto';
import { readFile, stat } from 'node:fs/promises';
import {
  checkBundle,
  looksZipped,
  MAX_BUNDLE_BYTES,
  unpackBundle,
  type CheckSignature,
  type KeptElsewhere,
  type UnpackedBundle,
} from '@harbor-latch/core/records/index';

/** What a raw Ed25519 key begins with as SubjectPublicKeyInfo, RFC 8410. */
const SPKI = Buffer.from('302a300506032b6570032100', 'hex');

const checks: CheckSignature = (key, message, signature) =>
  verify(null, message, createPublicKey({ key: Buffer.concat([SPKI, key]), format: 'der', type: 'spki' }), signature);

/** A bundle as it was read, null where the file is none; what is too large is not read at all. */
export async function bundleIn(file: string): Promise<UnpackedBundle | null> {
  const found = await stat(file).catch(() => null);
  if (!found?.isFile()) return null;
  if (found.size > MAX_BUNDLE_BYTES)
    return { ok: false, code: 'too-large', message: `"${file}" is larger than 500 MiB.`, path: '$' };
  const bytes = await readFile(file).catch(() => null);
  return bytes && looksZipped(bytes) ? unpackBundle(new Uint8Array(bytes)) : null;
}

/** Checks a bundle; the first thing that is not as it was written is named. */
export async function verified(bundle: Extract<UnpackedBundle, { ok: true }>, kept: KeptElsewhere): Promise<object> {
  const { ok, entries, key, head, first, words } = await checkBundle(bundle.bundle, checks, kept);
  return { ok, entries, key, head, ...(first ? { first } : {}), words };
}
