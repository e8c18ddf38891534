import { memo } from 'react';
import { Icon, type IconName } from './Icon';
import { Press } from './Press';
import { stylesFor } from './stylesFor';
import { usePalette } from './theme';

const useStyles = stylesFor(() => {
  const button = { width: 48, height: 48, borderRadius: 24, alignItems: 'center', justifyContent: 'center' } as const;
  return {
    button,
    disabled: { ...button, opacity: 0.38 },
  };
});

/** A small action in a page's head or at the end of a row: an icon, its name for screen readers, 48 px. */
export const ToolButton = memo(function ToolButton({
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
  const styles = useStyles();
  const palette = usePalette();
  return (
    <Press
      role="button"
      aria-label={label}
      disabled={disabled}
      onPress={onPress}
      style={disabled ? styles.disabled : styles.button}
    >
      <Icon name={icon} size={26} color={palette.muted} />
    </Press>
  );
});
