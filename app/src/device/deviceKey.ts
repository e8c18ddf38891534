import { bytesToHex, hexToBytes } from '@harbor-latch/core/records/canonical';
import type { Aboard } from './Aboard';
import type { KeyRow } from './rows';

/** The key pair by which this device signs what it records. */
export interface DeviceKey {
  /** Ed25519, 64 hexadecimal digits. */
  readonly publicKey: string;
  /** Signs the 32 bytes of a hash. @returns 128 hexadecimal digits */
  sign(hash: string): Promise<string>;
}

const ED25519 = { name: 'Ed25519' };

/** A new pair: of the browser's own where it has them, which no script can read; else a seed. */
async function newKey(): Promise<KeyRow> {
  try {
    const pair = (await crypto.subtle.generateKey(ED25519, false, ['sign', 'verify'])) as CryptoKeyPair;
    const publicKey = bytesToHex(new Uint8Array(await crypto.subtle.exportKey('raw', pair.publicKey)));
    return { key: 'device', publicKey, secret: pair.privateKey };
  } catch {
    const { ed25519 } = await import('@noble/curves/ed25519.js');
    const secret = ed25519.utils.randomSecretKey();
    return { key: 'device', publicKey: bytesToHex(ed25519.getPublicKey(secret)), secret };
  }
}

async function signWith({ secret }: KeyRow, hash: string): Promise<string> {
  const bytes = hexToBytes(hash);
  if (secret instanceof Uint8Array) {
    const { ed25519 } = await import('@noble/curves/ed25519.js');
    return bytesToHex(ed25519.sign(bytes, secret));
  }
  return bytesToHex(new Uint8Array(await crypto.subtle.sign(ED25519, secret, new Uint8Array(bytes))));
}

/** This device's key; made when it is first asked for, and kept as long as what else lies on the device. */
export async function deviceKeyOf(aboard: Aboard): Promise<DeviceKey> {
  const there = await aboard.change((change) => change.keys.get('device'));
  // Made before the change begins: nothing but the tables may be waited for in it.
  const made = there ?? (await newKey());
  const row = await aboard.change(async (change) => {
    const first = await change.keys.get('device');
    if (!first) await change.keys.put(made);
    return first ?? made;
  });
  return { publicKey: row.publicKey, sign: (hash) => signWith(row, hash) };
}
