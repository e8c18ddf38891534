import { hexToBytes } from '@noble/hashes/utils.js';
import { hashOf } from './canonical';
import { chainHash, CHAIN_BEGIN, headHash, type SignedHead } from './chain';
import { entryHash, type ChainedEntry } from './entry';

/** Checks an Ed25519 signature (RFC 8032). Bytes: key 32, message 32, signature 64. */
export type CheckSignature = (
  key: Uint8Array,
  message: Uint8Array,
  signature: Uint8Array,
) => boolean | Promise<boolean>;

/** What a bundle holds, to be checked: lines that are no entry are null. */
export interface ToCheck {
  readonly entries: readonly (ChainedEntry | null)[];
  readonly head: SignedHead;
  /** The job that goes with it, as it was parsed; null where none does. */
  readonly job: unknown;
  /** Photographs by the name they have, with the hash of what they hold. */
  readonly photographs: ReadonlyMap<string, string>;
}

/** What is kept elsewhere: the fingerprint of the yard's key, and the hash of an entry or of a chain as it was then. */
export interface KeptElsewhere {
  readonly key?: string;
  readonly head?: string;
}

export interface BundleVerdict {
  readonly ok: boolean;
  readonly entries: number;
  /** The yard's key, by which every link is sealed. */
  readonly key: string;
  readonly head: string;
  /** The first thing that is not as it was written; number null where it is of none. */
  readonly first?: { readonly number: number | null; readonly what: string };
  readonly words: string;
}

interface Failure {
  readonly number: number | null;
  readonly what: string;
}

/**
 * Checks a chain of records without any server: every entry's signature by its device, every link's number, hash and seal,
 * the signed head, the photographs. It names the first thing that was altered, removed, moved or added. A chain that was
 * made anew under another key, or cut before a head was signed again, is consistent in itself: only what is kept elsewhere
 * tells that.
 */
export async function checkBundle(
  bundle: ToCheck,
  check: CheckSignature,
  kept: KeptElsewhere = {},
): Promise<BundleVerdict> {
  const { entries, head } = bundle;
  const common = { entries: entries.length, key: head.key, head: head.chainHash };
  const failure =
    (await failedLink(bundle, check)) ??
    (await failedHead(bundle, check)) ??
    failedJob(bundle) ??
    failedPhotograph(bundle) ??
    failedKept(bundle, kept);
  if (failure)
    return {
      ok: false,
      ...common,
      first: failure,
      words: failure.number === null ? failure.what : `Entry ${failure.number}: ${failure.what}`,
    };
  const words =
    kept.key !== undefined || kept.head !== undefined
      ? `All ${entries.length} entries are as they were written, and agree with what was kept.`
      : `Consistent under key ${head.key}: compare it with the one written down.`;
  return { ok: true, ...common, words };
}

async function signed(check: CheckSignature, key: string, hash: string, signature: string): Promise<boolean> {
  try {
    return await check(hexToBytes(key), hexToBytes(hash), hexToBytes(signature));
  } catch {
    // A key that is no point of the curve signs nothing.
    return false;
  }
}

async function failedLink({ entries, head }: ToCheck, check: CheckSignature): Promise<Failure | null> {
  let previous = CHAIN_BEGIN;
  const seen = new Set<string>();
  for (const [index, link] of entries.entries()) {
    const expected = index + 1;
    if (!link) return { number: expected, what: 'it was altered: it is no entry any more.' };
    const { entry, signature, number } = link;
    const hash = entryHash(entry);
    if (entry.boat !== head.boat) return { number: expected, what: 'it was added: it is of another boat.' };
    if (seen.has(entry.id)) return { number: expected, what: 'it was added: the same entry stands before it.' };
    seen.add(entry.id);
    if (!(await signed(check, entry.device, hash, signature)))
      return { number: expected, what: 'it was altered: its device did not sign this.' };
    if (number > expected)
      return entries.some((other) => other?.number === expected)
        ? { number: expected, what: `it was moved: number ${number} stands in its place.` }
        : { number: expected, what: 'it was removed.' };
    if (number < expected)
      return { number: expected, what: `it was added or moved: it says that it is number ${number}.` };
    const own = chainHash(previous, { entryHash: hash, number, receivedAt: link.receivedAt });
    if (own !== link.chainHash)
      return (await signed(check, link.sealedBy, link.chainHash, link.seal))
        ? { number: expected, what: 'it or its place was altered: it does not follow what stands before it.' }
        : { number: expected, what: 'it was added or altered: the yard never sealed it.' };
    const ownKey = link.sealedBy === head.key || head.earlier.includes(link.sealedBy);
    if (!ownKey || !(await signed(check, link.sealedBy, link.chainHash, link.seal)))
      return { number: expected, what: 'it was added: the yard never sealed it.' };
    previous = link.chainHash;
  }
  return null;
}

async function failedHead({ entries, head }: ToCheck, check: CheckSignature): Promise<Failure | null> {
  if (!(await signed(check, head.key, headHash(head), head.seal)))
    return { number: null, what: 'The head was altered: the yard did not sign it.' };
  if (entries.length < head.count)
    return { number: entries.length + 1, what: `it was removed: the head says that there are ${head.count}.` };
  if (entries.length > head.count)
    return { number: head.count + 1, what: `it was added after the head, which says that there are ${head.count}.` };
  const end = entries[entries.length - 1]?.chainHash ?? CHAIN_BEGIN;
  return end === head.chainHash ? null : { number: null, what: 'The head is of another chain.' };
}

function failedJob({ head, job }: ToCheck): Failure | null {
  const own = job === null ? null : hashOf(job);
  return own === head.job
    ? null
    : { number: null, what: 'The job file is not the one that the yard gave with these entries.' };
}

function failedPhotograph({ photographs }: ToCheck): Failure | null {
  for (const [name, hash] of photographs)
    if (name !== hash) return { number: null, what: `The photograph ${name} was altered.` };
  return null;
}

function failedKept({ entries, head }: ToCheck, kept: KeptElsewhere): Failure | null {
  if (kept.key !== undefined && kept.key !== head.key)
    return { number: null, what: `It is sealed under key ${head.key}, not under the one that was kept.` };
  const wanted = kept.head;
  if (wanted === undefined) return null;
  const there = entries.some((link) => link && (link.chainHash === wanted || entryHash(link.entry) === wanted));
  return there
    ? null
    : { number: null, what: 'What was kept is not in this chain: it was cut off, or the chain is another.' };
}
