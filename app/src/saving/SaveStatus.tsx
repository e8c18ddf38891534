import { View } from 'react-native';
import type { Draft, SaveState } from '../data/draft';
import { Icon, type IconName } from '../ui/Icon';
import { usePalette } from '../ui/theme';
import { Words } from '../ui/Words';

const looks: Readonly<Record<SaveState['kind'], { readonly icon: IconName; readonly words: string }>> = {
  saved: { icon: 'check', words: 'Saved' },
  unsaved: { icon: 'dots-horizontal', words: 'Changed' },
  saving: { icon: 'dots-horizontal', words: 'Saving' },
  away: { icon: 'cloud-off-outline', words: 'Kept here, server away' },
  refused: { icon: 'alert-octagon', words: 'Not saved' },
  conflict: { icon: 'call-split', words: 'Changed elsewhere' },
};

const unkept = { icon: 'alert-octagon', words: 'Not kept: no room on this device' } as const;

/** How the boat stands against the server, in a few words under its title. */
export function SaveStatus({ draft }: { readonly draft: Draft }) {
  const palette = usePalette();
  const pending = Object.keys(draft.typed).length;
  const look = draft.unkept ? unkept : looks[draft.save.kind];
  const words = pending === 0 ? look.words : `${pending} ${pending === 1 ? 'entry' : 'entries'} to correct`;
  return (
    <View role="status" style={{ flexDirection: 'row', gap: 4, alignItems: 'center' }}>
      <Icon name={pending === 0 ? look.icon : 'alert-octagon'} size={16} color={palette.muted} />
      <Words kind="small" muted numberOfLines={1}>
        {words}
      </Words>
    </View>
  );
}
