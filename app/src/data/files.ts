import { MAX_JOB_BYTES, readJobText, writeJobText, type ReadJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';

/** Hands a text to the browser as a file to keep. */
export function downloadText(name: string, text: string, type: string): void {
  downloadBlob(name, new Blob([text], { type }));
}

/** Hands bytes to the browser as a file to keep. */
export function downloadBytes(name: string, bytes: Uint8Array, type: string): void {
  downloadBlob(name, new Blob([new Uint8Array(bytes)], { type }));
}

/** Hands a file to the browser to keep. */
export function downloadBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** Exports a boat's job file. */
export function exportJob(job: Job): void {
  downloadText(`${fileName(job.boat.name, 'boat')}.json`, writeJobText(job), 'application/json');
}

/** Exports a drawing. */
export function exportSvg(name: string, svg: string): void {
  downloadText(`${fileName(name, 'drawing')}.svg`, svg, 'image/svg+xml');
}

/** A name as part of a file's name; letters and digits of any script. */
export function fileName(name: string, otherwise: string): string {
  return (
    name
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 80) || otherwise
  );
}

/** Lets the user choose files. @returns none where the choice was given up */
export function chooseFiles(accept: string, several = false): Promise<readonly File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.multiple = several;
    input.addEventListener('cancel', () => resolve([]));
    input.addEventListener('change', () => resolve([...(input.files ?? [])]));
    input.click();
  });
}

/** Reads a job file that was chosen. */
export async function readChosen(file: File): Promise<ReadJob> {
  // A file far too large is refused by its size alone, before it is read into memory.
  if (file.size > MAX_JOB_BYTES) {
    return {
      ok: false,
      code: 'too-large',
      problems: [
        {
          path: '$',
          message: `${file.name} is larger than 5 MiB. A job file holds one boat and is a few kilobytes long.`,
        },
      ],
    };
  }
  return readJobText(await file.text());
}
