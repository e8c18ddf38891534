import { memo } from 'react';
import type { TextStyle, ViewStyle } from 'react-native';
import { Icon, type IconName } from './Icon';
import type { Palette } from './palette';
import { Press } from './Press';
import { stylesFor } from './stylesFor';
import { fonts, usePalette } from './theme';
import { Words } from './Words';

type Mode = 'contained' | 'outlined' | 'text';

const frame = (padding: number): ViewStyle => ({
  minHeight: 48,
  minWidth: 64,
  maxWidth: '100%',
  paddingHorizontal: padding,
  borderRadius: 15,
  flexDirection: 'row',
  alignItems: 'center',
  justifyContent: 'center',
  gap: 8,
});

const useStyles = stylesFor(({ accent, muted, surface }) => {
  const contained: ViewStyle = { ...frame(24), backgroundColor: accent };
  const outlined: ViewStyle = { ...frame(22), borderWidth: 1, borderColor: muted, backgroundColor: surface };
  const text = frame(12);
  return {
    contained,
    outlined,
    text,
    // Long labels go over several lines: nothing of what a touch does is cut off.
    label: { fontFamily: fonts.medium, textAlign: 'center', flexShrink: 1, paddingVertical: 8 } satisfies TextStyle,
  };
});

const inkOf = (mode: Mode, palette: Palette) => (mode === 'contained' ? palette.onAccent : palette.accent);

/** A button of at least 48 px, for a wet or gloved hand. */
export const BigButton = memo(function BigButton({
  children,
  icon,
  mode = 'contained',
  onPress,
  label,
}: {
  readonly children: string;
  readonly icon?: IconName;
  readonly mode?: Mode;
  readonly onPress: () => void;
  readonly label?: string;
}) {
  const styles = useStyles();
  const ink = inkOf(mode, usePalette());
  return (
    <Press
      role="button"
      aria-label={label ?? children}
      onPress={onPress}
      look={mode === 'contained' ? 'dim' : 'soft'}
      style={styles[mode]}
    >
      {icon ? <Icon name={icon} size={18} color={ink} /> : null}
      <Words color={ink} style={styles.label}>
        {children}
      </Words>
    </Press>
  );
});
