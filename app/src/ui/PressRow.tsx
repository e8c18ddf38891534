import type { ReactNode } from 'react';
import { StyleSheet, type StyleProp, type ViewStyle } from 'react-native';
import { Press } from './Press';

const { row } = StyleSheet.create({ row: { minHeight: 48 } });

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
  const state =
    role === 'radio' || role === 'checkbox'
      ? { 'aria-checked': selected }
      : role === 'tab'
        ? { 'aria-selected': selected }
        : {};
  return (
    <Press
      role={role}
      {...state}
      {...(role === 'radio' || role === 'tab' ? { tabIndex: tabStop ? 0 : -1 } : {})}
      aria-label={label}
      aria-expanded={expanded}
      onPress={onPress}
      style={[row, style]}
    >
      {children}
    </Press>
  );
}
