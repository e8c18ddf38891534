import { z } from 'zod';
import { sha256Hex } from './canonical';
import { hashText, keyText, signatureText, type ChainedEntry } from './entry';

/** What the first entry of a chain follows. */
export const CHAIN_BEGIN = '0'.repeat(64);

/**
 * The hash of a link: of all that was before it, of its entry, and of when it came as which.
 * SHA-256 of UTF-8(previous + "\n" + entry hash + "\n" + number + "\n" + received at).
 */
export function chainHash(
  previous: string,
  link: { readonly entryHash: string } & Pick<ChainedEntry, 'number' | 'receivedAt'>,
): string {
  return sha256Hex([previous, link.entryHash, String(link.number), link.receivedAt].join('\n'));
}

const headFields = {
  boat: z.uuid(),
  count: z.int().min(0).describe('So many entries the chain has.'),
  chainHash: hashText.describe('Of its last link; 64 noughts where it has none.'),
  at: z.iso.datetime(),
  job: hashText.nullable().describe('Hash of the job that goes with it; null where none does.'),
};

/** The end of a chain, as the yard signs it. */
export const headSchema = z.strictObject({
  ...headFields,
  key: keyText.describe('The yard’s public key.'),
  earlier: z.array(keyText).max(100).describe('Keys under which the yard sealed before.'),
  seal: signatureText.describe('Of the 32 bytes of the head’s hash.'),
});

export type SignedHead = Readonly<z.infer<typeof headSchema>>;
export type Head = Pick<SignedHead, keyof typeof headFields>;

/** What is signed of a head: SHA-256 of its fields, a line each. @returns 64 hexadecimal digits */
export function headHash({ boat, count, chainHash: end, at, job }: Head): string {
  return sha256Hex([boat, String(count), end, at, job ?? ''].join('\n'));
}
