import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils.js';
import { canonicalize } from 'json-canonicalize';

/**
 * A value as the one text it has: RFC 8785. The same value gives the same text on every device and in every language.
 * @param value plain data that was parsed; what JSON cannot hold is not asked here
 */
export function canonicalText(value: unknown): string {
  return canonicalize(value);
}

export { bytesToHex, hexToBytes };

/** SHA-256 (FIPS 180-4) of a text in UTF-8, or of bytes. @returns 64 hexadecimal digits */
export function sha256Hex(of: string | Uint8Array): string {
  return bytesToHex(sha256(typeof of === 'string' ? utf8ToBytes(of) : of));
}

/** The hash of a value by its canonical text. */
export function hashOf(value: unknown): string {
  return sha256Hex(canonicalText(value));
}
