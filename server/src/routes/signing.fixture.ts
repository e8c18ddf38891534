import { generateKeyPairSync, randomUUID, sign, verify, createPublicKey } from 'node:crypto';
import {
  entryHash,
  THE_YARD,
  type CheckSignature,
  type Entry,
  type SignedEntry,
} from '@harbor-latch/core/records/index';

/** A device with a key pair of its own. */
export function newDevice() {
  const { privateKey, publicKey } = generateKeyPairSync('ed25519');
  const { x } = publicKey.export({ format: 'jwk' });
  const key = Buffer.from(x ?? '', 'base64url').toString('hex');
  const signed = (entry: Entry): SignedEntry => ({
    entry,
    signature: sign(null, Buffer.from(entryHash(entry), 'hex'), privateKey).toString('hex'),
  });
  const note = (boat: string, more: Partial<Entry> = {}): SignedEntry =>
    signed({
      id: randomUUID(),
      yard: THE_YARD,
      boat,
      circuit: null,
      kind: 'note',
      body: { words: 'Looked at the terminals.' },
      madeAt: '2026-05-01T08:00:00.000Z',
      by: 'Wren',
      device: key,
      ...more,
    });
  return { key, signed, note };
}

const SPKI = Buffer.from('302a300506032b6570032100', 'hex');

export const checks: CheckSignature = (key, message, signature) =>
  verify(null, message, createPublicKey({ key: Buffer.concat([SPKI, key]), format: 'der', type: 'spki' }), signature);
