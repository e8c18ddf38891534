import { useYardState } from '../data/boats';
import { release, useReleaseWaiting } from '../data/release';
import { BigButton } from '../ui/BigButton';
import { Notice } from '../ui/Notice';

/** Says that a newer version lies ready, where one does. */
export function ReleaseNotice() {
  const waiting = useReleaseWaiting();
  const { newer } = useYardState();
  if (newer) {
    return (
      <Notice
        tone="stop"
        icon="progress-download"
        actions={<BigButton onPress={() => void release.renew()}>Load the newer version</BigButton>}
      >
        The yard holds boats written by a newer version of Harbor Latch, which this one cannot read. Load it to go on.
        What you entered here stays, and is sent then.
      </Notice>
    );
  }
  if (!waiting) return null;
  return (
    <Notice
      tone="note"
      icon="progress-download"
      actions={
        <BigButton mode="outlined" onPress={release.begin}>
          Begin the new version
        </BigButton>
      }
    >
      A newer version of Harbor Latch is on this device. What you entered stays.
    </Notice>
  );
}
