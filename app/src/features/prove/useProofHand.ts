import { signedBody } from '@harbor-latch/core/prove/signOff';
import type { Outcome } from '@harbor-latch/core/prove/proofList';
import type { ProvePhase } from '@harbor-latch/core/prove/proveTest';
import { judged, type Read } from '@harbor-latch/core/prove/verdict';
import { hashOf as jobHashOf } from '@harbor-latch/core/records/canonical';
import type { Draft } from '../../data/draft';
import { useEntryPhotographs } from '../../records/useEntryPhotographs';
import { useSay } from '../../ui/Said';
import type { LastRead } from './LastStrip';
import type { Signing } from './SignPanel';
import type { Proof } from './useProof';
import { figure } from '../../fields/meterUnits';

/** What is done in a proof: each of it a record. */
export function useProofHand({
  draft,
  circuit,
  phase,
  proof,
}: {
  readonly draft: Draft;
  readonly circuit: string;
  readonly phase: ProvePhase;
  readonly proof: Proof;
}) {
  const say = useSay();
  const { now, list, testsHash, record, hashOf } = proof;
  const photographs = useEntryPhotographs(draft);
  const proofId = now.begun[0]?.id ?? null;
  const takeBack = (entry: string) => void record('withdrawn', circuit, { entry });
  const readAnew = ({ test, reading }: Outcome, more: { note?: string; photographs?: string[] }) => {
    if (!reading) return;
    const { replaces: _before, ...body } = reading.body;
    void record('reading', circuit, { ...body, ...more, test: test.id, replaces: reading.id });
  };
  return {
    begin: () => {
      // Once a year everything is done again; after a change or a repair what it touched.
      const anew = now.signed !== null && !list.some(({ due }) => due);
      return record('proofBegun', circuit, {
        phase,
        jobHash: jobHashOf(draft.job),
        testsHash,
        ...(anew ? { anew } : {}),
      });
    },
    read: async ({ test, reading }: Outcome, read: Read): Promise<LastRead | null> => {
      const { verdict } = judged(test, read);
      const row = await record('reading', circuit, {
        proof: proofId,
        test: test.id,
        words: test.text,
        read,
        expect: 'state' in test.expect ? { state: test.expect.state } : test.expect,
        verdict,
        battery: now.battery,
        instrument: test.instrument,
        ...(reading ? { replaces: reading.id } : {}),
      });
      return verdict === 'pass'
        ? { entry: row.id, test: test.id, words: 'said' in read ? read.said : figure(read.value, read.unit) }
        : null;
    },
    leaveOut: async ({ test }: Outcome, reason: string) => {
      if (proofId === null) return;
      const row = await record('skipped', circuit, { proof: proofId, test: test.id, words: test.text, reason });
      say('Left out', () => takeBack(row.id));
    },
    note: async (outcome: Outcome, note: string) => readAnew(outcome, { note }),
    photograph: (outcome: Outcome) =>
      photographs.choose((ids) =>
        readAnew(outcome, { photographs: [...(outcome.reading?.body.photographs ?? []), ...ids] }),
      ),
    sign: async (signing: Signing) => {
      await record('proof', circuit, signedBody({ phase, job: draft.job, now, list, hashOf, ...signing }));
      say(`Signed by ${signing.name}`);
    },
    takeBack,
  };
}
