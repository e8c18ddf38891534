import { useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { BigButton } from '../../ui/BigButton';
import { Notice } from '../../ui/Notice';

/** What stands between this device's copy and the server's, with the ways out. Nothing is lost by either. */
export function SaveNotices({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const { save } = draft;
  if (save.kind === 'refused') {
    return (
      <Notice
        tone="stop"
        icon="alert-octagon"
        actions={<BigButton onPress={() => drafts.saveAll()}>Try again</BigButton>}
      >
        {`The server did not take this: ${save.message} What you entered is kept on this device.`}
      </Notice>
    );
  }
  if (save.kind !== 'conflict') return null;
  const { current } = save;
  return (
    <Notice
      tone="caution"
      icon="call-split"
      actions={
        <>
          <BigButton onPress={() => drafts.keepMine(draft.id)}>Keep mine</BigButton>
          {current ? (
            <BigButton mode="outlined" onPress={() => drafts.takeTheirs(draft.id)}>
              Take the other
            </BigButton>
          ) : null}
        </>
      }
    >
      {current
        ? `${draft.job.boat.name} was changed elsewhere at ${new Date(current.savedAt).toLocaleTimeString()} while you worked on it. Yours is kept here. Keep mine writes it over the other; take the other can be undone.`
        : `${draft.job.boat.name} was removed elsewhere. Yours is kept here. Keep mine adds it again.`}
    </Notice>
  );
}
