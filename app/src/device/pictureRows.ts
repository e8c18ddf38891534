import type { Hand } from './changes';
import type { PhotoRow } from './rows';
import type { Change } from './tables';

/** A picture ready to be kept: whole and small, each under the SHA-256 of what it holds. */
export interface MadePicture {
  readonly large: { readonly id: string; readonly blob: Blob };
  readonly small: { readonly id: string; readonly blob: Blob };
}

/** So many pictures stay whole on a device that has room; those looked at or made last. */
export const MOST_WHOLE = 200;

/** Keeps a picture on the device, whole and small. */
export async function keepPicture(change: Change, { large, small }: MadePicture, at: number): Promise<void> {
  await change.photos.put({ ...large, at, small: false });
  await change.photos.put({ ...small, at, small: true });
}

/** Has a picture that is kept here sent to the server. */
export async function sendPicture(
  change: Change,
  boat: { readonly id: string; readonly name: string },
  { large, small }: MadePicture,
  hand: Hand,
): Promise<void> {
  const { by, now: at } = hand;
  await change.waiting.put({
    id: hand.newId(),
    boatId: boat.id,
    kind: 'photo',
    name: boat.name,
    at,
    dueAt: at,
    by,
    photoIds: [small.id, large.id],
    refused: null,
    sent: null,
  });
}

/** Lets whole pictures go that are on the server too, oldest first, until at most `most` are left. */
export async function thinPictures(change: Change, most: number): Promise<void> {
  const waiting = new Set((await change.waiting.all()).flatMap((one) => (one.kind === 'photo' ? one.photoIds : [])));
  const whole = (await change.photos.all()).filter(({ id, small }) => !small && !waiting.has(id));
  const over = whole.sort((a: PhotoRow, b: PhotoRow) => b.at - a.at).slice(most);
  for (const { id } of over) await change.photos.delete(id);
}
