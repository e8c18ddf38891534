import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Icon, type IconName } from './Icon';
import { usePalette } from './theme';
import { Words } from './Words';

/** A message in place: what happened, and the buttons that answer it. */
export function Notice({
  tone,
  icon,
  children,
  actions,
}: {
  readonly tone: 'stop' | 'caution' | 'note';
  readonly icon: IconName;
  readonly children: ReactNode;
  readonly actions?: ReactNode;
}) {
  const palette = usePalette();
  const [ink, ground] =
    tone === 'stop'
      ? [palette.stop, palette.stopSoft]
      : tone === 'caution'
        ? [palette.caution, palette.cautionSoft]
        : [palette.text, palette.accentSoft];
  return (
    <View
      role={tone === 'stop' ? 'alert' : 'status'}
      style={{ backgroundColor: ground, borderRadius: 12, padding: 12, gap: 8 }}
    >
      <View style={{ flexDirection: 'row', gap: 10 }}>
        <Icon name={icon} color={ink} />
        <Words color={ink} style={{ flex: 1, minWidth: 0 }}>
          {children}
        </Words>
      </View>
      {actions === undefined ? null : <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>{actions}</View>}
    </View>
  );
}
