import { entryInWords, entryHash, type Entry } from '../records';
import type { TextTable } from './conductorList';

/** The records of a boat, one a line, as they were made. */
export function logTable(
  rows: readonly { readonly entry: Entry; readonly number: number | null }[],
  circuitName: (id: string) => string,
): TextTable {
  return {
    headings: ['Number', 'Made at', 'By', 'Circuit', 'Kind', 'Entry', 'Fingerprint'],
    rows: rows.map(({ entry, number }) => [
      number === null ? '' : String(number),
      entry.madeAt,
      entry.by,
      entry.circuit === null ? '' : circuitName(entry.circuit),
      entry.kind,
      entryInWords(entry),
      entryHash(entry),
    ]),
  };
}
