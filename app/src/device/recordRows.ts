import { entryHash, THE_YARD, type ChainedEntry, type Entry, type SignedEntry } from '@harbor-latch/core/records/entry';
import type { BodyOf, RecordKind } from '@harbor-latch/core/records/kinds/index';
import type { RecordResult } from '@harbor-latch/core/wire/index';
import type { Hand } from './changes';
import type { DeviceKey } from './deviceKey';
import type { RecordRow } from './rows';
import type { Change } from './tables';

/** A link of a chain as this device keeps it. */
export function linkOf({ number, receivedAt, chainHash, entry, signature }: ChainedEntry): RecordRow {
  const link = { number, receivedAt, chainHash };
  // Its fingerprint is worked out when somebody looks: a yard has many.
  return { id: entry.id, boat: entry.boat, hash: '', signed: { entry, signature }, link };
}

/** Something to be recorded. */
export interface ToRecord<K extends RecordKind = RecordKind> {
  readonly boat: { readonly id: string; readonly name: string };
  /** Null for what is of the whole boat. */
  readonly circuit: string | null;
  readonly kind: K;
  readonly body: BodyOf<K>;
}

/** An entry of this device, with its fingerprint and signature. */
export async function signedRow<K extends RecordKind>(
  { boat, circuit, kind, body }: ToRecord<K>,
  key: DeviceKey,
  hand: Hand,
): Promise<RecordRow> {
  const entry: Entry = {
    id: hand.newId(),
    yard: THE_YARD,
    boat: boat.id,
    circuit,
    kind,
    // What is left out is not there: a hash is made of it.
    body: JSON.parse(JSON.stringify(body)) as Entry['body'],
    madeAt: new Date(hand.now).toISOString(),
    by: hand.by.slice(0, 80),
    device: key.publicKey,
  };
  const hash = entryHash(entry);
  return { id: entry.id, boat: boat.id, hash, signed: { entry, signature: await key.sign(hash) }, link: null };
}

/** Keeps an entry, and has it sent. */
export async function keepRecord(change: Change, row: RecordRow, boatName: string, hand: Hand): Promise<void> {
  const { by, now } = hand;
  await change.records.put(row);
  const waits = { id: row.id, boatId: row.boat, name: boatName, at: now, dueAt: now, by, refused: null, sent: null };
  await change.waiting.put({ ...waits, kind: 'record' });
  if (row.signed.entry.kind === 'proof') await keepAsProved(change, row);
}

/** The job that is proved and waits to be sent stays as a version for good; where it was sent, the server sees to it. */
async function keepAsProved(change: Change, { boat, signed }: RecordRow): Promise<void> {
  if (signed.entry.body['result'] !== 'proved') return;
  const saves = (await change.waiting.all()).filter((one) => one.kind === 'save' && one.boatId === boat);
  const last = saves[saves.length - 1];
  if (last?.kind === 'save' && last.sent === null) await change.waiting.put({ ...last, kept: last.kept ?? 'proved' });
}

/** Entries that wait, as they were signed. */
export async function entriesOf(change: Change, ids: readonly string[]): Promise<SignedEntry[]> {
  const entries: SignedEntry[] = [];
  for (const id of ids) {
    const row = await change.records.get(id);
    if (row) entries.push(row.signed);
    else await change.waiting.delete(id);
  }
  return entries;
}

/** Takes note of what became of entries that were sent; what was refused stays, with the reason. */
export async function recordsAnswered(change: Change, results: readonly RecordResult[]): Promise<void> {
  for (const result of results) {
    const waiting = await change.waiting.get(result.id);
    if (waiting?.kind !== 'record') continue;
    if (result.kind === 'taken') await change.waiting.delete(result.id);
    else await change.waiting.put({ ...waiting, refused: `The server did not take this: ${result.message}` });
  }
}

/** Puts links on the device that came for a boat by herself. */
export async function linksBrought(change: Change, links: readonly ChainedEntry[]): Promise<void> {
  await Promise.all(links.map((link) => change.records.put(linkOf(link))));
}
