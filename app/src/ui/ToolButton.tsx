import { IconButton } from 'react-native-paper';
import type { IconName } from './Icon';

/** A small action in a page's head or at the end of a row: an icon, its name for screen readers, 48 px. */
export function ToolButton({
  icon,
  label,
  onPress,
  disabled = false,
}: {
  readonly icon: IconName;
  readonly label: string;
  readonly onPress: () => void;
  readonly disabled?: boolean;
}) {
  return (
    <IconButton
      icon={icon}
      size={26}
      style={{ width: 48, height: 48, margin: 0 }}
      accessibilityLabel={label}
      disabled={disabled}
      onPress={onPress}
    />
  );
}
