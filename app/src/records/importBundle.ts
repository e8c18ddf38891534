import { readJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import { unpackBundle } from '@harbor-latch/core/records/bundle';
import { checkBundle } from '@harbor-latch/core/records/checkBundle';
import { entryHash } from '@harbor-latch/core/records/entry';
import type { Aboard } from '../device/Aboard';
import type { Hand } from '../device/changes';
import { keepRecord } from '../device/recordRows';
import { checks } from './checkSignature';

/** A bundle that was read: its job, and how its records and pictures are taken in. */
export type ReadBundle =
  | { readonly ok: true; readonly job: Job; readonly take: () => Promise<number> }
  | { readonly ok: false; readonly message: string };

const AT_ONCE = 100;

/**
 * Reads a boat's bundle and checks it. Its records are taken in as they were signed, and go to the server piece by piece as
 * any other; one that is there already stays as it is.
 */
export async function readBundle(bytes: Uint8Array, aboard: Aboard, hand: () => Hand): Promise<ReadBundle> {
  const read = unpackBundle(bytes);
  if (!read.ok) return { ok: false, message: read.message };
  const verdict = await checkBundle(read.bundle, checks);
  if (!verdict.ok) return { ok: false, message: `It is not as it was written. ${verdict.words}` };
  if (read.bundle.job === null) return { ok: false, message: 'The file holds records, and no boat that they are of.' };
  const inside = readJob(read.bundle.job);
  if (!inside.ok) return { ok: false, message: inside.problems[0].message };
  const { job } = inside;
  const take = async () => {
    const there = new Set((await aboard.records(job.boat.id)).map(({ id }) => id));
    const fresh = read.bundle.entries.flatMap((link) => (link && !there.has(link.entry.id) ? [link] : []));
    for (let at = 0; at < fresh.length; at += AT_ONCE)
      await aboard.change(async (change) => {
        for (const { entry, signature } of fresh.slice(at, at + AT_ONCE)) {
          const row = {
            id: entry.id,
            boat: entry.boat,
            hash: entryHash(entry),
            signed: { entry, signature },
            link: null,
          };
          await keepRecord(change, row, job.boat.name, hand());
        }
      });
    const here = new Set(await aboard.photoIds());
    for (const [id, content] of read.photographs) {
      if (here.has(id)) continue;
      const { by, now: at, newId } = hand();
      const blob = new Blob([new Uint8Array(content)], { type: 'image/jpeg' });
      await aboard.change(async (change) => {
        await change.photos.put({ id, blob, at, small: false });
        const waits = {
          id: newId(),
          boatId: job.boat.id,
          name: job.boat.name,
          at,
          dueAt: at,
          by,
          refused: null,
          sent: null,
        };
        await change.waiting.put({ ...waits, kind: 'photo', photoIds: [id] });
      });
    }
    return fresh.length;
  };
  return { ok: true, job, take };
}
