import { release, useReleaseWaiting } from '../data/release';
import { BigButton } from '../ui/BigButton';
import { Notice } from '../ui/Notice';

/** Says that a newer version lies ready, where one does. */
export function ReleaseNotice() {
  if (!useReleaseWaiting()) return null;
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
