import { z } from 'zod';
import { freeText } from '../job/fields';
import { id } from '../job/ids';
import { hashOf } from './canonical';

/** The one yard there is until people have accounts. */
export const THE_YARD = '00000000-0000-4000-8000-000000000001';

/** So large may one entry be, as text; a signed proof holds the whole job. */
export const MAX_ENTRY_BYTES = 5 * 1024 * 1024;
/** So many are sent at once. */
export const MOST_ENTRIES = 100;

const hex = (digits: number, what: string) =>
  z
    .string()
    .regex(new RegExp(`^[0-9a-f]{${digits}}$`), { error: `${what} is written in ${digits} hexadecimal digits.` });

export const hashText = hex(64, 'A SHA-256');
export const keyText = hex(64, 'An Ed25519 key');
export const signatureText = hex(128, 'An Ed25519 signature');

/** As PostgreSQL writes it: a hash is made of it. */
const uuid = (what: string) =>
  z
    .uuid({ error: `${what} is a UUID.` })
    .refine((text) => text === text.toLowerCase(), { error: `${what} is written in small letters.` });

/**
 * One entry of a boat's records, as it was written on a device: nothing of it is ever changed. Its body is kept as it is,
 * also of a kind that this release does not know.
 */
export const entrySchema = z.strictObject({
  id: uuid('The id of an entry'),
  yard: uuid('The id of a yard'),
  boat: uuid('The id of a boat'),
  circuit: id.nullable().describe('Null for what is of the whole boat.'),
  kind: z.string().regex(/^[a-z][A-Za-z]{1,39}$/, { error: 'A kind is one word of letters.' }),
  body: z.record(z.string(), z.json()),
  madeAt: z.iso
    .datetime({ error: 'A time is written like 2026-05-01T09:30:00Z.' })
    .describe('By the device’s own clock.'),
  by: freeText(80).describe('The name set on the device; empty where none is.'),
  device: keyText.describe('The device’s public key, by which its signature is checked.'),
});

/** An entry and the device’s signature of its hash. */
export const signedEntrySchema = z.strictObject({
  entry: entrySchema,
  signature: signatureText.describe('Ed25519, RFC 8032, of the 32 bytes of the entry’s hash.'),
});

/** A link of a boat's chain: an entry as the yard took it. */
export const chainedEntrySchema = signedEntrySchema.extend({
  number: z.int().min(1).describe('In the boat’s chain, from 1.'),
  receivedAt: z.iso.datetime().describe('By the server’s clock.'),
  chainHash: hashText,
  sealedBy: keyText.describe('The server’s public key.'),
  seal: signatureText.describe('Of the 32 bytes of the chain hash.'),
});

export type Entry = Readonly<z.infer<typeof entrySchema>>;
export type SignedEntry = Readonly<z.infer<typeof signedEntrySchema>>;
export type ChainedEntry = Readonly<z.infer<typeof chainedEntrySchema>>;

/** The fingerprint of an entry: SHA-256 of its canonical JSON. It is the same aboard and ashore. @returns 64 hexadecimal digits */
export function entryHash(entry: Entry): string {
  const { id: own, yard, boat, circuit, kind, body, madeAt, by, device } = entry;
  return hashOf({ id: own, yard, boat, circuit, kind, body, madeAt, by, device });
}
