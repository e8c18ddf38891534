import type { SheetNode } from './sheetNodes';

/** Every text of a sheet, in order. */
export function textsOf(node: SheetNode | unknown): string[] {
  if (typeof node === 'string') return [node];
  if (Array.isArray(node)) return node.flatMap(textsOf);
  if (typeof node !== 'object' || node === null) return [];
  return Object.entries(node).flatMap(([key, value]) =>
    ['text', 'stack', 'columns', 'table', 'body', 'ul', 'content'].includes(key) ? textsOf(value) : [],
  );
}
