import type { Circuit } from '@harbor-latch/core/job/index';
import type { EntryOf } from '@harbor-latch/core/records/known';
import { format } from 'date-fns';
import { useState } from 'react';
import type { Draft } from '../../data/draft';
import { makeCertificate } from '../../data/papers';
import { useUnits } from '../../data/settings';
import type { RecordRow } from '../../device/rows';

/** Makes certificates of a circuit's proofs, on this device. */
export function useCertificate({ job }: Draft, circuit: Circuit) {
  const units = useUnits();
  const [problem, setProblem] = useState<string | null>(null);
  const make = async (proof: EntryOf<'proof'>, row: RecordRow | null) => {
    setProblem(null);
    try {
      const message = await makeCertificate(`${job.boat.name} ${circuit.name} certificate`, {
        proof,
        fingerprint: row?.hash ?? '',
        link: row?.link ?? null,
        boatName: job.boat.name,
        circuitName: circuit.name,
        paper: units === 'us' ? 'letter' : 'a4',
        address: `${window.location.origin}/check`,
        times: { [proof.madeAt]: format(new Date(proof.madeAt), 'd MMM yyyy, HH:mm') },
      });
      setProblem(message);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'The certificate could not be made.');
    }
  };
  return { make, problem };
}
