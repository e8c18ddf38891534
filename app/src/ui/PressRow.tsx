import type { ReactNode } from 'react';
import { Pressable, StyleSheet, type StyleProp, type ViewStyle } from 'react-native';
import { stylesFor } from './stylesFor';

const { row } = StyleSheet.create({ row: { minHeight: 48 } });
const usePressed = stylesFor(({ accentSoft }) => ({ pressed: { backgroundColor: accentSoft } }));

/** A surface that can be pressed, at least 48 px high, with a visible focus. */
export function PressRow({
  onPress,
  label,
  selected,
  expanded,
  tabStop = selected ?? false,
  style,
  role = 'button',
  children,
}: {
  readonly onPress: () => void;
  readonly label?: string;
  readonly selected?: boolean;
  readonly expanded?: boolean;
  /** Of a radio or tab: whether the tab key stops here; arrow keys reach the others of its group. */
  readonly tabStop?: boolean;
  readonly role?: 'button' | 'link' | 'radio' | 'tab' | 'checkbox';
  readonly style?: StyleProp<ViewStyle>;
  readonly children: ReactNode;
}) {
  const styles = usePressed();
  const state =
    role === 'radio' || role === 'checkbox'
      ? { 'aria-checked': selected }
      : role === 'tab'
        ? { 'aria-selected': selected }
        : {};
  return (
    <Pressable
      role={role}
      {...state}
      {...(role === 'radio' || role === 'tab' ? { tabIndex: tabStop ? 0 : -1 } : {})}
      aria-label={label}
      aria-expanded={expanded}
      onPress={onPress}
      style={({ pressed }) => (pressed ? [row, style, styles.pressed] : [row, style])}
    >
      {children}
    </Pressable>
  );
}
