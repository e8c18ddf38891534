import { wrap, type Remote } from 'comlink';
import type { Made, PhotoWork } from '../workers/photoWork';
import { spawnPhoto } from './spawnPhoto';

let work: Remote<PhotoWork> | undefined;

/** A chosen file made fit to be kept: upright, small, and nothing in it but the picture. */
export async function madePicture(file: File): Promise<Made> {
  try {
    work ??= wrap<PhotoWork>(spawnPhoto());
    return await work.make(file);
  } catch (error) {
    const why = error instanceof Error ? error.message : '';
    return { ok: false, message: `${file.name} could not be made ready. ${why}` };
  }
}
