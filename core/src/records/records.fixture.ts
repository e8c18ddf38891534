import { ed25519 } from '@noble/curves/ed25519.js';
import { bytesToHex, hexToBytes } from '@noble/hashes/utils.js';
import { canonicalText, hashOf } from './canonical';
import { chainHash, CHAIN_BEGIN, headHash, type SignedHead } from './chain';
import type { CheckSignature, ToCheck } from './checkBundle';
import { entryHash, THE_YARD, type ChainedEntry, type Entry, type SignedEntry } from './entry';

/** A key pair that is the same in every run. */
export function pairOf(seed: number) {
  const secret = new Uint8Array(32).fill(seed);
  return {
    key: bytesToHex(ed25519.getPublicKey(secret)),
    sign: (hash: string) => bytesToHex(ed25519.sign(hexToBytes(hash), secret)),
  };
}

export const phone = pairOf(1);
export const otherPhone = pairOf(2);
export const yardKey = pairOf(3);
export const BOAT = '6d1f0f6e-0d5c-4a55-9a0e-0000000000a1';

const uuidOf = (index: number) => `01900000-0000-7000-8000-${String(index).padStart(12, '0')}`;

/** An entry of a device, signed. */
export function signedBy(device: ReturnType<typeof pairOf>, index: number, more: Partial<Entry> = {}): SignedEntry {
  const entry: Entry = {
    id: uuidOf(index),
    yard: THE_YARD,
    boat: BOAT,
    circuit: 'main',
    kind: 'note',
    body: { words: `Note ${index}` },
    madeAt: `2026-05-01T08:${String(index % 60).padStart(2, '0')}:00.000Z`,
    by: 'Wren',
    device: device.key,
    ...more,
  };
  return { entry, signature: device.sign(entryHash(entry)) };
}

/** Entries as a yard takes them, one after the other. */
export function chained(entries: readonly SignedEntry[], yard = yardKey): ChainedEntry[] {
  let previous = CHAIN_BEGIN;
  return entries.map((signed, index) => {
    const number = index + 1;
    const receivedAt = `2026-05-02T08:${String(index % 60).padStart(2, '0')}:00.000Z`;
    const own = chainHash(previous, { entryHash: entryHash(signed.entry), number, receivedAt });
    previous = own;
    return { ...signed, number, receivedAt, chainHash: own, sealedBy: yard.key, seal: yard.sign(own) };
  });
}

/** The head of a chain, signed. */
export function headOf(entries: readonly ChainedEntry[], job: unknown = null, yard = yardKey): SignedHead {
  const end = entries[entries.length - 1];
  const head = {
    boat: BOAT,
    count: entries.length,
    chainHash: end?.chainHash ?? CHAIN_BEGIN,
    at: '2026-05-03T08:00:00.000Z',
    job: job === null ? null : hashOf(job),
  };
  return { ...head, key: yard.key, earlier: [], seal: yard.sign(headHash(head)) };
}

/** A bundle of some entries. */
export function bundleOf(entries: readonly ChainedEntry[], more: Partial<ToCheck> = {}): ToCheck {
  return { entries, head: headOf(entries), job: null, photographs: new Map(), ...more };
}

export const checks: CheckSignature = (key, message, signature) => ed25519.verify(signature, message, key);

/** What came back from text, as a bundle carries it. */
export const throughText = <T>(value: T): T => JSON.parse(canonicalText(value)) as T;
