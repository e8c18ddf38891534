import type { ReactNode } from 'react';
import { Pressable, type StyleProp, type ViewStyle } from 'react-native';
import { usePalette } from './theme';

/** A surface that can be pressed, at least 48 px high, with a visible focus. */
export function PressRow({
  onPress,
  label,
  selected,
  expanded,
  style,
  role = 'button',
  children,
}: {
  readonly onPress: () => void;
  readonly label?: string;
  readonly selected?: boolean;
  readonly expanded?: boolean;
  readonly role?: 'button' | 'link' | 'radio' | 'tab';
  readonly style?: StyleProp<ViewStyle>;
  readonly children: ReactNode;
}) {
  const palette = usePalette();
  const state = role === 'radio' ? { 'aria-checked': selected } : role === 'tab' ? { 'aria-selected': selected } : {};
  return (
    <Pressable
      role={role}
      {...state}
      aria-label={label}
      aria-expanded={expanded}
      onPress={onPress}
      style={({ pressed }) => [{ minHeight: 48 }, style, pressed ? { backgroundColor: palette.accentSoft } : null]}
    >
      {children}
    </Pressable>
  );
}
