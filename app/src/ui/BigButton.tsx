import { Button } from 'react-native-paper';
import type { IconName } from './Icon';

/** A button of at least 48 px, for a wet or gloved hand. */
export function BigButton({
  children,
  icon,
  mode = 'contained',
  onPress,
  label,
}: {
  readonly children: string;
  readonly icon?: IconName;
  readonly mode?: 'contained' | 'outlined' | 'text';
  readonly onPress: () => void;
  readonly label?: string;
}) {
  return (
    <Button
      mode={mode}
      {...(icon === undefined ? {} : { icon })}
      onPress={onPress}
      accessibilityLabel={label ?? children}
      contentStyle={{ minHeight: 48 }}
      // Long labels go over several lines: nothing of what a touch does is cut off.
      labelStyle={[{ fontSize: 16, flexShrink: 1 }, { whiteSpace: 'normal' } as object]}
      style={{ maxWidth: '100%' }}
    >
      {children}
    </Button>
  );
}
