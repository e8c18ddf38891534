import { batteryTooLow } from '@harbor-latch/core/prove/verdict';
import { Notice } from '../../ui/Notice';
import type { Proof } from './useProof';

/** What stands in the way of an open proof. */
export function ProofNotices({ proof }: { readonly proof: Proof }) {
  const { now, list, changedSince, records } = proof;
  const low = batteryTooLow(
    list.map(({ test }) => test),
    now.battery.restingV,
  );
  const refused = [...now.readings.values()].flatMap(({ id }) => records.refused.get(id) ?? []);
  return (
    <>
      {low === null ? null : (
        <Notice tone="stop" icon="battery">
          {low}
        </Notice>
      )}
      {changedSince ? (
        <Notice tone="caution" icon="alert">
          The circuit was changed since this proof was begun. What is expected is that of the circuit as it now is.
        </Notice>
      ) : null}
      {refused.map((reason) => (
        <Notice key={reason} tone="stop" icon="alert-octagon">
          {reason}
        </Notice>
      ))}
    </>
  );
}
