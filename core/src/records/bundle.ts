import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { canonicalText, sha256Hex } from './canonical';
import { headSchema, type SignedHead } from './chain';
import type { ToCheck } from './checkBundle';
import { chainedEntrySchema, MAX_ENTRY_BYTES, type ChainedEntry } from './entry';

/** Bounds of a bundle: larger ones are refused. */
export const MAX_BUNDLE_BYTES = 500 * 1024 * 1024;
export const MAX_MEMBER_BYTES = 5 * 1024 * 1024;
export const MOST_BUNDLE_ENTRIES = 20_000;
/** Of all members together, unpacked. */
const MAX_UNPACKED_BYTES = 2 * MAX_BUNDLE_BYTES;

const JOB = 'job.json';
const HEAD = 'head.json';
const RECORDS = 'records.ndjson';
const README = 'read-me.txt';
const photographName = /^photographs\/([0-9a-f]{64})\.jpg$/;

/** What goes into the ZIP of a boat. */
export interface BundleParts {
  /** The job; null where the boat is no more. */
  readonly job: unknown;
  readonly entries: readonly ChainedEntry[];
  readonly head: SignedHead;
  readonly photographs: ReadonlyMap<string, Uint8Array>;
}

const ABOUT = `The records of one boat.
job.json: the boat and her circuits. records.ndjson: one entry a line, in the order of the chain.
head.json: how many entries there are and the hash of the last, signed by the yard. photographs: named by their SHA-256.
An entry's hash is SHA-256 of the RFC 8785 JSON of its "entry"; "signature" is the device's, Ed25519, of these 32 bytes.
chainHash is SHA-256 of previous hash, entry hash, number and receivedAt, a line each; "seal" is the yard's signature of it.
`;

/** Packs a boat, her records and her photographs into one ZIP. */
export function packBundle({ job, entries, head, photographs }: BundleParts): Uint8Array {
  const members: Zippable = {
    [README]: strToU8(ABOUT),
    [HEAD]: strToU8(canonicalText(head)),
    [RECORDS]: strToU8(entries.map((one) => `${canonicalText(one)}\n`).join('')),
    ...(job === null ? {} : { [JOB]: strToU8(JSON.stringify(job, null, 2)) }),
    // A picture does not get smaller.
    ...Object.fromEntries([...photographs].map(([name, bytes]) => [`photographs/${name}.jpg`, [bytes, { level: 0 }]])),
  };
  return zipSync(members, { level: 6 });
}

/** A bundle as it was read, or why it is none. */
export type UnpackedBundle =
  | { readonly ok: true; readonly bundle: ToCheck; readonly photographs: ReadonlyMap<string, Uint8Array> }
  | {
      readonly ok: false;
      readonly code: 'too-large' | 'not-a-bundle';
      readonly message: string;
      readonly path: string;
    };

/** Whether bytes begin as a ZIP does. */
export function looksZipped(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

class Refused extends Error {
  constructor(
    readonly code: 'too-large' | 'not-a-bundle',
    message: string,
    readonly path: string,
  ) {
    super(message);
  }
}

/** Reads a bundle within its bounds; a line that is no entry comes as null, which is for the check to tell. */
export function unpackBundle(bytes: Uint8Array): UnpackedBundle {
  try {
    if (bytes.length > MAX_BUNDLE_BYTES) throw new Refused('too-large', 'The bundle is larger than 500 MiB.', '$');
    const members = membersOf(bytes);
    const head = headOf(members);
    const lines = textOf(members, RECORDS)
      .split('\n')
      .filter((line) => line !== '');
    if (lines.length > MOST_BUNDLE_ENTRIES)
      throw new Refused('too-large', `The bundle holds more than ${MOST_BUNDLE_ENTRIES} entries.`, `$.${RECORDS}`);
    const entries = lines.map(entryOf);
    const photographs = new Map(
      Object.entries(members).flatMap(([name, content]) => {
        const own = photographName.exec(name)?.[1];
        return own === undefined ? [] : [[own, content] as const];
      }),
    );
    const hashes = new Map([...photographs].map(([name, content]) => [name, sha256Hex(content)]));
    return { ok: true, bundle: { entries, head, job: jobOf(members), photographs: hashes }, photographs };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, code: error.code, message: error.message, path: error.path };
    return { ok: false, code: 'not-a-bundle', message: 'This is no bundle of a boat, or it was cut short.', path: '$' };
  }
}

function membersOf(bytes: Uint8Array): Record<string, Uint8Array> {
  let all = 0;
  return unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      const most = name === RECORDS ? MAX_UNPACKED_BYTES : MAX_MEMBER_BYTES;
      if (originalSize > most)
        throw new Refused('too-large', `${name} in the bundle is larger than 5 MiB.`, `$.${name}`);
      all += originalSize;
      if (all > MAX_UNPACKED_BYTES) throw new Refused('too-large', 'The bundle unpacks to more than 1 GiB.', '$');
      return name === JOB || name === HEAD || name === RECORDS || photographName.test(name);
    },
  });
}

function textOf(members: Record<string, Uint8Array>, name: string): string {
  const member = members[name];
  if (!member) throw new Refused('not-a-bundle', `The bundle lacks ${name}.`, `$.${name}`);
  return strFromU8(member);
}

function headOf(members: Record<string, Uint8Array>): SignedHead {
  const read = headSchema.safeParse(parsed(textOf(members, HEAD)));
  if (!read.success) throw new Refused('not-a-bundle', `${HEAD} in the bundle is no signed head.`, `$.${HEAD}`);
  return read.data;
}

function jobOf(members: Record<string, Uint8Array>): unknown {
  if (!members[JOB]) return null;
  const job = parsed(strFromU8(members[JOB]));
  if (job === undefined) throw new Refused('not-a-bundle', `${JOB} in the bundle is not JSON.`, `$.${JOB}`);
  return job;
}

function entryOf(line: string): ChainedEntry | null {
  if (line.length > MAX_ENTRY_BYTES)
    throw new Refused('too-large', 'An entry of the bundle is larger than 5 MiB.', `$.${RECORDS}`);
  const read = chainedEntrySchema.safeParse(parsed(line));
  return read.success ? read.data : null;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
