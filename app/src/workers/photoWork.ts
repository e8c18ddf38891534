import { barePhoto, PHOTO_BYTES, PHOTO_SIDE_PX } from '@harbor-latch/core/wire/photograph';
import type { MadePicture } from '../device/pictureRows';

export type Made =
  { readonly ok: true; readonly picture: MadePicture } | { readonly ok: false; readonly message: string };

const SMALL_SIDE_PX = 240;
const SMALL_QUALITY = 0.7;
/** Tried one after the other until the picture is small enough. */
const QUALITIES = [0.82, 0.72, 0.6, 0.48];
const SMALLER = [1, 0.8, 0.6, 0.4];
/** A file larger than this is no photograph of a phone, bytes. */
const LARGEST_FILE = 80 * 1024 * 1024;

/** Photographs made fit to be kept: what the worker does. */
export const photoWork = {
  /** Turns a chosen file upright, shrinks it and strips it of everything but the picture. */
  async make(file: File): Promise<Made> {
    if (file.size > LARGEST_FILE) return no(`${file.name} is larger than 80 MB. Choose a photograph.`);
    let whole: ImageBitmap;
    try {
      whole = await createImageBitmap(file, { imageOrientation: 'from-image' });
    } catch {
      return no(`${file.name} cannot be read as a picture here. Save it as JPEG or PNG, then choose it again.`);
    }
    try {
      const large = await withinSize(whole);
      const small = await drawn(whole, SMALL_SIDE_PX, SMALL_QUALITY);
      return { ok: true, picture: { large: await named(large), small: await named(small) } };
    } finally {
      whole.close();
    }
  },
};

const no = (message: string): Made => ({ ok: false, message });

async function withinSize(whole: ImageBitmap): Promise<Blob> {
  for (const share of SMALLER)
    for (const quality of QUALITIES) {
      const made = await drawn(whole, PHOTO_SIDE_PX * share, quality);
      if (made.size <= PHOTO_BYTES) return made;
    }
  throw new Error('The picture cannot be made small enough.');
}

async function drawn(whole: ImageBitmap, sidePx: number, quality: number): Promise<Blob> {
  const scale = Math.min(1, sidePx / Math.max(whole.width, whole.height));
  const [width, height] = [whole.width, whole.height].map((px) => Math.max(1, Math.round(px * scale)));
  const canvas = new OffscreenCanvas(width ?? 1, height ?? 1);
  const pen = canvas.getContext('2d', { alpha: false });
  if (!pen) throw new Error('This browser cannot shrink pictures.');
  pen.imageSmoothingQuality = 'high';
  // What can be seen through is white, not black.
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(whole, 0, 0, canvas.width, canvas.height);
  const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality })).arrayBuffer());
  const bare = barePhoto(bytes);
  if (!bare) throw new Error('This browser does not write JPEG.');
  return new Blob([bare], { type: 'image/jpeg' });
}

async function named(blob: Blob): Promise<{ readonly id: string; readonly blob: Blob }> {
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', await blob.arrayBuffer()));
  return { id: [...hash].map((byte) => byte.toString(16).padStart(2, '0')).join(''), blob };
}

export type PhotoWork = typeof photoWork;
