import type { StockEntry } from '@harbor-latch/core/wire/index';
import { useCallback, useMemo, useState, useSyncExternalStore } from 'react';
import { v7 } from 'uuid';
import { z } from 'zod';
import { readSettings } from '../../data/settings';
import { useYardOnDevice } from '../../data/yardOnDevice';
import { noteStock } from '../../device/stockRows';

type PractisedChange = Extract<StockEntry['change'], { kind: 'practised' }>;

/** A drill that somebody of the yard played. */
export interface Practised {
  readonly by: string;
  readonly level: number;
  readonly score: number;
  /** The kind of fault, in words. */
  readonly group: string;
}

/** Drills of an earlier release, kept on this device alone. */
const beforeSchema = z.array(z.object({ level: z.number(), score: z.number(), fault: z.string(), by: z.string() }));
const KEY = 'latch.practised';

function practisedBefore(): Practised[] {
  try {
    return beforeSchema
      .parse(JSON.parse(window.localStorage.getItem(KEY) ?? '[]'))
      .map(({ by, level, score, fault }) => ({ by, level, score, group: fault }));
  } catch {
    return [];
  }
}

/** Every drill that people of the yard played, as far as this device knows, the latest last. */
export function usePractised(): readonly Practised[] {
  const { aboard } = useYardOnDevice();
  const entries = useSyncExternalStore(aboard.subscribe, () => aboard.stock);
  const [before] = useState(practisedBefore);
  return useMemo(() => {
    const own = [...entries].sort((a, b) => (a.id < b.id ? -1 : 1));
    return [
      ...before,
      ...own.flatMap(({ by, change }): Practised[] =>
        change.kind === 'practised' ? [{ by, level: change.level, score: change.score, group: change.group }] : [],
      ),
    ];
  }, [entries, before]);
}

/** Keeps what was played, for the whole yard: sent when there is a signal. What it gives is done once it is kept. */
export function useKeepPractised(): (played: Omit<PractisedChange, 'kind'>) => Promise<void> {
  const { aboard } = useYardOnDevice();
  return useCallback(
    async (played) => {
      const hand = { by: readSettings().person, now: Date.now(), newId: () => v7() };
      await aboard.change((change) => noteStock(change, { kind: 'practised', ...played }, hand));
    },
    [aboard],
  );
}

const DAY_MS = 86_400_000;

/** The fault of the day: the same for everybody. */
export const seedOfDay = (nowMs: number): number => Math.floor(nowMs / DAY_MS);
