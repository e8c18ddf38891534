import { createPrivateKey, createPublicKey, generateKeyPairSync, sign, type KeyObject } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';

/** The key under which the yard seals its records. */
export interface YardKey {
  /** Ed25519, 64 hexadecimal digits. */
  readonly publicKey: string;
  /** Seals a hash of 64 hexadecimal digits. @returns 128 hexadecimal digits */
  seal(hash: string): string;
}

/** The yard's key by a private key of Node's. */
function yardKeyOf(key: KeyObject): YardKey {
  const { x } = createPublicKey(key).export({ format: 'jwk' });
  if (x === undefined) throw new Error('This is no Ed25519 key.');
  return {
    publicKey: Buffer.from(x, 'base64url').toString('hex'),
    seal: (hash) => sign(null, Buffer.from(hash, 'hex'), key).toString('hex'),
  };
}

/** A key that is kept nowhere. */
export const freshYardKey = (): YardKey => yardKeyOf(generateKeyPairSync('ed25519').privateKey);

/**
 * The yard's key from its file, which only its owner may read; made when it is not there. Several processes that begin at
 * once take the one that was written first.
 */
export function yardKeyIn(file: string): YardKey {
  const { privateKey } = generateKeyPairSync('ed25519');
  try {
    const pem = privateKey.export({ format: 'pem', type: 'pkcs8' });
    writeFileSync(file, pem, { mode: 0o600, flag: 'wx' });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  }
  return yardKeyOf(createPrivateKey(readFileSync(file, 'utf8')));
}
