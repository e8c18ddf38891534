import { formatDistanceStrict } from 'date-fns';

const SOON_MS = 14 * 86_400_000;

/** When something is due, in words. */
export function dueWords(
  dueMs: number,
  nowMs: number,
): { readonly word: string; readonly standing: 'caution' | 'note' | 'good' } {
  const far = formatDistanceStrict(dueMs, nowMs, { unit: 'day' });
  if (dueMs <= nowMs) return { word: `Due for ${far}`, standing: 'caution' };
  return { word: `In ${far}`, standing: dueMs - nowMs < SOON_MS ? 'note' : 'good' };
}
