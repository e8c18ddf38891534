import { useMemo, useSyncExternalStore } from 'react';
import { isAsItIs, type Trouble, type Waiting } from '../device/rows';
import { useYardOnDevice } from './yardOnDevice';

/** Something that is on this device and not on the server yet. */
export interface WaitingThing {
  readonly id: string;
  readonly boatId: string;
  readonly name: string;
  readonly what: Waiting['kind'];
  /** Since when, ms since 1970. */
  readonly at: number;
  readonly by: string;
  /** What it waits for beside a signal: somebody's decision. */
  readonly trouble: Trouble | null;
}

const troubleOf = (message: string | null): Trouble | null => (message === null ? null : { kind: 'refused', message });

/** What waits to be sent, in order. */
export function useWaiting(): readonly WaitingThing[] {
  const { aboard } = useYardOnDevice();
  const waiting = useSyncExternalStore(aboard.subscribe, () => aboard.waiting);
  const boats = useSyncExternalStore(aboard.subscribe, () => aboard.boats);
  return useMemo(() => {
    const things = waiting.map((one) => {
      const { id, boatId, name, kind, at, by } = one;
      const trouble = isAsItIs(one) ? troubleOf(one.refused) : (boats.get(boatId)?.trouble ?? null);
      return { id, boatId, name, what: kind, at, by, trouble };
    });
    // What both sides changed waits for an answer without anything being on its way.
    const asked = [...boats.values()].filter(
      (row) => row.trouble?.kind === 'conflict' && !waiting.some(({ boatId }) => boatId === row.id),
    );
    return [
      ...things,
      ...asked.map(({ id, job, usedAt, trouble }) => {
        return { id, boatId: id, name: job.boat.name, what: 'save' as const, at: usedAt, by: '', trouble };
      }),
    ];
  }, [waiting, boats]);
}
