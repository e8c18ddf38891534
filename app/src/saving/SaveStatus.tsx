import { memo, useCallback } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../data/boats';
import type { Draft, SaveState } from '../data/draft';
import { Icon, type IconName } from '../ui/Icon';
import { usePalette } from '../ui/theme';
import { Words } from '../ui/Words';
import { useWhileSeen } from '../useWhileSeen';

interface Look {
  readonly icon: IconName;
  readonly words: string;
}

const looks: Readonly<Record<SaveState['kind'], Look>> = {
  saved: { icon: 'check', words: 'Saved' },
  unsaved: { icon: 'dots-horizontal', words: 'Changed' },
  saving: { icon: 'dots-horizontal', words: 'Saving' },
  away: { icon: 'cloud-off-outline', words: 'Kept here, server away' },
  refused: { icon: 'alert-octagon', words: 'Not saved' },
  conflict: { icon: 'call-split', words: 'Changed elsewhere' },
};

const unkept: Look = { icon: 'alert-octagon', words: 'Not kept: no room on this device' };

function lookOf(draft: Draft | undefined): Look {
  return draft?.unkept ? unkept : looks[draft?.save.kind ?? 'saved'];
}

/** How a boat stands against the server, in a few words under her title. It follows by itself: nothing else is shown anew. */
export const SaveStatus = memo(function SaveStatus({ boat }: { readonly boat: string }) {
  const palette = usePalette();
  const drafts = useDrafts();
  const pending = useWhileSeen(drafts, () => Object.keys(drafts.all().get(boat)?.typed ?? {}).length);
  const lookNow = useCallback(() => lookOf(drafts.all().get(boat)), [drafts, boat]);
  // That it is not saved yet is said at once; that it is comes after all that follows from the change.
  const settles = useCallback(() => lookNow() === looks.saved || lookNow() === looks.saving, [lookNow]);
  const look = useWhileSeen(drafts, lookNow, settles);
  const words = pending === 0 ? look.words : `${pending} ${pending === 1 ? 'entry' : 'entries'} to correct`;
  return (
    <View role="status" style={{ flexDirection: 'row', gap: 4, alignItems: 'center' }}>
      <Icon name={pending === 0 ? look.icon : 'alert-octagon'} size={16} color={palette.muted} />
      <Words kind="small" muted numberOfLines={1}>
        {words}
      </Words>
    </View>
  );
});
