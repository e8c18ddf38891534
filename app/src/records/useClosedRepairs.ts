import { closedRepairs } from '@harbor-latch/core/log/storyOf';
import { standing } from '@harbor-latch/core/records/known';
import type { Closed } from '@harbor-latch/core/reference/faultShares';
import { useEffect, useState } from 'react';
import { useYardOnDevice } from '../data/yardOnDevice';
import { useWhileSeen } from '../useWhileSeen';

/** What the hunts of all boats on this device found, by group; null until they were looked through. */
export function useClosedRepairs(): Closed | null {
  const { aboard } = useYardOnDevice();
  const written = useWhileSeen(aboard, () => aboard.recordsWritten);
  const [closed, setClosed] = useState<Closed | null>(null);
  useEffect(() => {
    let wanted = true;
    void aboard.records(null).then((rows) => {
      if (!wanted) return;
      const own = rows
        .map(({ signed }) => signed.entry)
        .filter(({ kind }) => kind === 'traceEnded' || kind === 'withdrawn');
      const found = closedRepairs(standing(own));
      // The same counts are the same answer: a hunt that goes on is not reckoned anew.
      setClosed((before) => (JSON.stringify(before) === JSON.stringify(found) ? before : found));
    });
    return () => {
      wanted = false;
    };
  }, [aboard, written]);
  return closed;
}
