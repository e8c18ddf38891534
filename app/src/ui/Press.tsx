import type { ReactNode } from 'react';
import { StyleSheet, View, type StyleProp, type ViewProps, type ViewStyle } from 'react-native';

/** How a surface shows that a finger is on it: its ground in the accent's soft colour, or all of it paler. */
export type PressLook = 'soft' | 'dim';

interface PressEvent {
  stopPropagation(): void;
}

interface PressKey extends PressEvent {
  readonly key: string;
  readonly repeat?: boolean;
  readonly currentTarget: unknown;
  preventDefault(): void;
}

const { pressable } = StyleSheet.create({
  pressable: { cursor: 'pointer', touchAction: 'manipulation' } as ViewStyle,
});

/**
 * A surface that can be pressed. That it is hovered, focused or under a finger is left to the browser’s own styles
 * (`pageStyle.ts`): kept as state, as the library’s does, each would be painted by itself before the press is answered.
 */
export function Press({
  onPress,
  disabled = false,
  look = 'soft',
  tabIndex = disabled ? -1 : 0,
  style,
  children,
  ...rest
}: Omit<ViewProps, 'style' | 'tabIndex' | 'onClick'> & {
  readonly onPress: () => void;
  readonly disabled?: boolean;
  readonly look?: PressLook;
  readonly tabIndex?: 0 | -1;
  readonly style?: StyleProp<ViewStyle>;
  readonly children?: ReactNode;
}) {
  const press = (event: PressEvent) => {
    event.stopPropagation();
    onPress();
  };
  const key = (event: PressKey) => {
    // A button of the browser’s own hears its keys by itself.
    if (event.key !== 'Enter' || event.currentTarget instanceof HTMLButtonElement) return;
    event.preventDefault();
    if (event.repeat !== true) press(event);
  };
  const handlers = disabled ? {} : { onClick: press, onKeyDown: key, dataSet: { press: look } };
  return (
    <View
      {...rest}
      aria-disabled={disabled ? true : undefined}
      {...({ ...handlers, tabIndex } as object)}
      style={[disabled ? null : pressable, style]}
    >
      {children}
    </View>
  );
}
