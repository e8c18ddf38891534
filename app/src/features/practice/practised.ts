import { z } from 'zod';

const doneSchema = z.array(
  z.object({
    seed: z.number(),
    level: z.number(),
    score: z.number(),
    fault: z.string(),
    named: z.string(),
    by: z.string(),
  }),
);

/** A drill that was played on this device. */
export type Practised = z.infer<typeof doneSchema>[number];

const KEY = 'latch.practised';
const MOST = 300;

/** What was played on this device, the latest last. */
export function practisedHere(): readonly Practised[] {
  try {
    return doneSchema.parse(JSON.parse(window.localStorage.getItem(KEY) ?? '[]'));
  } catch {
    return [];
  }
}

/** Keeps what was played; where nothing may be stored it is known while the page is open. */
export function keepPractised(one: Practised): void {
  try {
    window.localStorage.setItem(KEY, JSON.stringify([...practisedHere(), one].slice(-MOST)));
  } catch {
    // No room: the score was seen.
  }
}

const DAY_MS = 86_400_000;

/** The fault of the day: the same for everybody. */
export const seedOfDay = (nowMs: number): number => Math.floor(nowMs / DAY_MS);
