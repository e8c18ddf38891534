import type { Standing } from '@harbor-latch/core/assess/standing';
import { View } from 'react-native';
import { Icon, type IconName } from './Icon';
import type { Palette } from './palette';
import { usePalette } from './theme';
import { Words } from './Words';

interface Look {
  readonly word: string;
  readonly icon: IconName;
  readonly ink: keyof Palette;
  readonly ground: keyof Palette;
}

/** Shape, word and colour of each standing: never colour alone. */
export const standingLook: Readonly<Record<Standing, Look>> = {
  stop: { word: 'Stop', icon: 'alert-octagon', ink: 'stop', ground: 'stopSoft' },
  caution: { word: 'Caution', icon: 'alert', ink: 'caution', ground: 'cautionSoft' },
  incomplete: { word: 'Survey open', icon: 'progress-pencil', ink: 'muted', ground: 'raised' },
  note: { word: 'Note', icon: 'information', ink: 'muted', ground: 'raised' },
  good: { word: 'Good', icon: 'check-circle', ink: 'good', ground: 'goodSoft' },
};

/** A standing as a small badge. */
export function StandingBadge({ standing, word }: { readonly standing: Standing; readonly word?: string }) {
  const palette = usePalette();
  const look = standingLook[standing];
  const ink = palette[look.ink];
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        alignSelf: 'flex-start',
        gap: 6,
        paddingVertical: 4,
        paddingHorizontal: 10,
        borderRadius: 999,
        backgroundColor: palette[look.ground],
      }}
    >
      <Icon name={look.icon} size={18} color={ink} />
      <Words kind="small" color={ink} style={{ fontFamily: 'AtkinsonMedium' }}>
        {word ?? look.word}
      </Words>
    </View>
  );
}
