import type { TextTable } from '@harbor-latch/core/documents/index';
import Papa from 'papaparse';
import { downloadText, fileName } from './files';

/**
 * What a spreadsheet takes for a formula, full-width signs and what begins with something unseen among it; the package's
 * own pattern misses these and cells of several lines.
 */
const FORMULA = /^[\s\p{Cf}\p{Zs}]*[=+\-@\t\r＝＋－＠]/u;

/** Exports a table as CSV that a spreadsheet shows as text: nothing in it is taken for a formula. */
export function exportTable(name: string, { headings, rows }: TextTable): void {
  const text = Papa.unparse({ fields: [...headings], data: rows.map((row) => [...row]) }, { escapeFormulae: FORMULA });
  // The mark tells spreadsheets that the file is UTF-8.
  downloadText(`${fileName(name, 'conductors')}.csv`, `\uFEFF${text}\r\n`, 'text/csv');
}
