import { proofList, sumOf, type Outcome, type ProofSum } from '@harbor-latch/core/prove/proofList';
import { proofNow, type ProofNow } from '@harbor-latch/core/prove/proofNow';
import type { ProvePhase } from '@harbor-latch/core/prove/proveTest';
import type { Voided } from '@harbor-latch/core/prove/voids';
import type { Windows } from '@harbor-latch/core/prove/windows';
import { windowsIn } from '@harbor-latch/core/prove/windowsIn';
import { useMemo } from 'react';
import { useProving } from '../../data/assessment';
import type { Draft } from '../../data/draft';
import { useRecorder, useRecords, type Recorder, type RecordsHere } from '../../records/useRecords';

/** A proof of a circuit as it stands on this device. */
export interface Proof {
  readonly ready: boolean;
  readonly now: ProofNow;
  readonly list: readonly Outcome[];
  readonly sum: ProofSum;
  readonly voided: readonly Voided[];
  /** Whether the circuit was changed since the open proof was begun. */
  readonly changedSince: boolean;
  readonly testsHash: string;
  /** Windows that were set for this boat. */
  readonly windows: Windows;
  readonly records: RecordsHere;
  readonly record: Recorder;
  /** The fingerprint of an entry by its id. */
  readonly hashOf: (id: string) => string;
}

/** The proof of a circuit in a phase: what was recorded, and what the circuit must show. */
export function useProof({ job }: Draft, circuitId: string, phase: ProvePhase): Proof {
  const records = useRecords(job.boat.id);
  const record = useRecorder(job.boat);
  const hashOf = useMemo(() => {
    const hashes = new Map(records.rows.map(({ id, hash }) => [id, hash]));
    return (id: string) => hashes.get(id) ?? '';
  }, [records.rows]);
  const now = useMemo(
    () => proofNow(records.entries, circuitId, phase, hashOf),
    [records.entries, circuitId, phase, hashOf],
  );
  const signed = now.signed?.body ?? null;
  // The same until one is set: what follows from them is heavy.
  const set = JSON.stringify(windowsIn(records.entries));
  const windows = useMemo(() => JSON.parse(set) as Windows, [set]);
  const proving = useProving({ job, circuitId, phase, battery: now.battery, signed, windows });
  return useMemo(() => {
    const list = proving ? proofList(now, proving.tests, proving.voided) : [];
    const testsHash = proving?.testsHash ?? '';
    return {
      ready: records.ready && proving !== null,
      now,
      list,
      sum: sumOf(list),
      voided: proving?.voided ?? [],
      changedSince: testsHash !== '' && now.begun.some(({ body }) => body.testsHash !== testsHash),
      testsHash,
      windows,
      records,
      record,
      hashOf,
    };
  }, [records, now, proving, record, hashOf, windows]);
}
