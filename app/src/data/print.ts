import type { TextTable } from '@harbor-latch/core/documents/index';

/** Prints a table on a page of its own, through the browser. */
export function printTable(title: string, { headings, rows }: TextTable): void {
  const frame = document.createElement('iframe');
  frame.setAttribute('aria-hidden', 'true');
  frame.title = title;
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0;visibility:hidden';
  document.body.append(frame);
  const page = frame.contentDocument;
  const view = frame.contentWindow;
  if (!page || !view) {
    frame.remove();
    return;
  }
  page.title = title;
  const style = page.createElement('style');
  style.textContent =
    'body{font:11pt sans-serif;margin:15mm}h1{font-size:14pt}table{border-collapse:collapse;width:100%}th,td{border:1px solid #666;padding:2mm;text-align:left;vertical-align:top}';
  page.head.append(style);
  const heading = page.createElement('h1');
  heading.textContent = title;
  const table = page.createElement('table');
  const line = (cells: readonly string[], kind: 'th' | 'td') => {
    const row = table.insertRow();
    for (const text of cells) {
      const cell = page.createElement(kind);
      cell.textContent = text;
      row.append(cell);
    }
  };
  line(headings, 'th');
  for (const cells of rows) line(cells, 'td');
  page.body.append(heading, table);
  view.addEventListener('afterprint', () => frame.remove());
  view.print();
}
