import type { ReactNode } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';
import { usePalette } from './theme';

/** A quiet surface that holds one thing. */
export function Card({ children, style }: { readonly children: ReactNode; readonly style?: StyleProp<ViewStyle> }) {
  const palette = usePalette();
  return (
    <View
      style={[
        {
          backgroundColor: palette.surface,
          borderColor: palette.line,
          borderWidth: 1,
          borderRadius: 14,
          overflow: 'hidden',
        },
        style,
      ]}
    >
      {children}
    </View>
  );
}
