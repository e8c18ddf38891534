import { useDrafts } from '../data/boats';
import type { Draft } from '../data/draft';
import { exportJob } from '../data/files';
import { BigButton } from '../ui/BigButton';
import { Notice } from '../ui/Notice';
import { ConflictCard } from './ConflictCard';

/** What stands between this device's copy and the server's, with the ways out. Nothing is lost by either. */
export function SaveNotices({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const { save } = draft;
  if (draft.unkept) {
    return (
      <Notice
        tone="stop"
        icon="alert-octagon"
        actions={<BigButton onPress={() => exportJob(draft.job)}>Export the job file</BigButton>}
      >
        This device has no room to keep what you entered. It is held while this page stays open, and saved to the server
        when that answers. To be sure of it, export the boat as a file.
      </Notice>
    );
  }
  if (save.kind === 'refused') {
    return (
      <Notice
        tone="stop"
        icon="alert-octagon"
        actions={
          <>
            <BigButton onPress={() => drafts.saveAll()}>Try again</BigButton>
            <BigButton mode="outlined" onPress={() => drafts.addCopy(draft.id)}>
              Save as a copy
            </BigButton>
            <BigButton mode="outlined" onPress={() => exportJob(draft.job)}>
              Export the job file
            </BigButton>
          </>
        }
      >
        {`${save.message} What you entered is kept on this device.`}
      </Notice>
    );
  }
  if (save.kind !== 'conflict') return null;
  if (save.current) return <ConflictCard draft={draft} current={save.current} />;
  return (
    <Notice
      tone="caution"
      icon="call-split"
      actions={<BigButton onPress={() => drafts.keepMine(draft.id)}>Keep mine</BigButton>}
    >
      {`${draft.job.boat.name} was removed elsewhere. Yours is kept here. Keep mine adds it again.`}
    </Notice>
  );
}
