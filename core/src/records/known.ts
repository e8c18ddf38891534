import { entryHash, type Entry, type SignedEntry } from './entry';
import { isKnownKind, kindNamed, recordKinds, type BodyOf, type RecordKind } from './kinds';

/** An entry whose body was read: of a known kind, or of one that a later release brings. */
export type KnownEntry = {
  readonly [K in RecordKind]: Omit<Entry, 'kind' | 'body'> & { readonly kind: K; readonly body: BodyOf<K> };
}[RecordKind];

/** An entry of one kind. */
export type EntryOf<K extends RecordKind> = Extract<KnownEntry, { readonly kind: K }>;

export function isOf<K extends RecordKind>(kind: K): (entry: KnownEntry) => entry is EntryOf<K> {
  return (entry): entry is EntryOf<K> => entry.kind === kind;
}

/** What is wrong with an entry's body, by the path in it; nothing where it is good or of a kind that is not known. */
export function bodyProblems({
  kind,
  body,
}: Pick<Entry, 'kind' | 'body'>): readonly { readonly path: readonly PropertyKey[]; readonly message: string }[] {
  const read = kindNamed(kind)?.schema.safeParse(body);
  return read?.success === false
    ? read.error.issues.map(({ path, message }) => ({ path: ['body', ...path], message }))
    : [];
}

/** An entry as what it says; null where it is of a kind of a later release, or not as its kind must be. */
export function knownEntry(entry: Entry): KnownEntry | null {
  if (!isKnownKind(entry.kind)) return null;
  const read = recordKinds[entry.kind].schema.safeParse(entry.body);
  return read.success ? ({ ...entry, body: read.data } as KnownEntry) : null;
}

/** One line for a log. */
export function entryInWords(entry: Entry): string {
  const known = knownEntry(entry);
  if (!known) return `An entry of a newer release (${entry.kind})`;
  return kindNamed(known.kind)?.inWords(known.body) ?? '';
}

/** The photographs that hang on an entry. */
export function photographsOf(entry: Entry): readonly string[] {
  const known = knownEntry(entry);
  return known ? (kindNamed(known.kind)?.photographs(known.body) ?? []) : [];
}

/** An entry with its fingerprint, as lists of records hold it. */
export interface Recorded {
  readonly entry: Entry;
  readonly hash: string;
}

/**
 * Entries of a boat as they count: those that were taken back are left out, and so are those that took back. In the order
 * in which they were made.
 */
export function standing(entries: readonly Entry[]): KnownEntry[] {
  const known = entries.flatMap((entry) => knownEntry(entry) ?? []);
  const gone = new Set(known.flatMap((one) => (one.kind === 'withdrawn' ? [one.body.entry] : [])));
  return known
    .filter((one) => one.kind !== 'withdrawn' && !gone.has(one.id))
    .sort((a, b) => (a.madeAt === b.madeAt ? compare(a.id, b.id) : compare(a.madeAt, b.madeAt)));
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

/** A signed entry with its fingerprint. */
export const recordedOf = ({ entry }: SignedEntry): Recorded => ({ entry, hash: entryHash(entry) });
