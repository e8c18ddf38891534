/** Starts the worker that draws papers. */
export function spawnPdf(): Worker {
  return new Worker(new URL('../workers/pdf.worker', import.meta.url));
}
