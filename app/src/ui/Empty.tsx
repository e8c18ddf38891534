import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Icon, type IconName } from './Icon';
import { usePalette } from './theme';
import { Words } from './Words';

/** What a page says when there is nothing to show yet, or when something is in the way. */
export function Empty({
  icon,
  title,
  children,
  action,
}: {
  readonly icon: IconName;
  readonly title: string;
  readonly children: ReactNode;
  readonly action?: ReactNode;
}) {
  const palette = usePalette();
  return (
    <View style={{ alignItems: 'center', gap: 10, paddingVertical: 48, paddingHorizontal: 24 }}>
      <Icon name={icon} size={48} color={palette.muted} />
      <Words kind="heading" level={2} style={{ textAlign: 'center' }}>
        {title}
      </Words>
      <Words muted style={{ textAlign: 'center', maxWidth: 420 }}>
        {children}
      </Words>
      {action}
    </View>
  );
}
