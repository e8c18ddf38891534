import { proofStands, type ProofStands } from '@harbor-latch/core/prove/proofStands';
import { standing, type KnownEntry } from '@harbor-latch/core/records/known';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { useYardOnDevice } from '../data/yardOnDevice';
import { whenIdle } from '../whenIdle';
import { useWhileSeen } from '../useWhileSeen';

/** How the proof of a circuit stands, by what this device has; null where nothing was begun, or until that was read. */
export function useProofStands(boat: string, circuit: string): ProofStands | null {
  const { aboard } = useYardOnDevice();
  const written = useWhileSeen(aboard, () => aboard.recordsWritten);
  const [read, setRead] = useState<{ readonly boat: string; readonly entries: readonly KnownEntry[] } | null>(null);
  useEffect(() => {
    let wanted = true;
    // Years of records take long to be read: what was asked for is painted first.
    const stop = whenIdle(() => {
      void aboard.entries(boat).then((entries) => {
        if (wanted) startTransition(() => setRead({ boat, entries: standing(entries) }));
      });
    });
    return () => {
      wanted = false;
      stop();
    };
  }, [aboard, boat, written]);
  return useMemo(() => (read?.boat === boat ? proofStands(read.entries, circuit) : null), [read, boat, circuit]);
}
