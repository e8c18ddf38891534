import type { Circuit } from '@harbor-latch/core/job/index';
import type { Draft } from '../../data/draft';
import { Notice } from '../../ui/Notice';
import { SignedPanel } from './SignedPanel';
import { useCertificate } from './useCertificate';
import type { Proof } from './useProof';

/** The last proof that was signed, with its certificate. */
export function SignedProof({
  proof,
  draft,
  circuit,
  onAgain,
}: {
  readonly proof: Proof;
  readonly draft: Draft;
  readonly circuit: Circuit;
  readonly onAgain: () => void;
}) {
  const { now, list, voided, records, hashOf } = proof;
  const certificate = useCertificate(draft, circuit);
  const { signed } = now;
  if (!signed) return null;
  const row = records.rows.find(({ id }) => id === signed.id);
  return (
    <>
      <SignedPanel
        signed={signed}
        fingerprint={hashOf(signed.id)}
        inChain={row?.link?.number ?? null}
        list={list}
        voided={voided}
        late={now.afterSigning.length}
        onAgain={onAgain}
        onCertificate={() => void certificate.make(signed, row ?? null)}
      />
      {certificate.problem === null ? null : (
        <Notice tone="stop" icon="alert-octagon">
          {certificate.problem}
        </Notice>
      )}
    </>
  );
}
