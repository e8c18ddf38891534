import type { ReactNode } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';
import { stylesFor } from './stylesFor';

const useStyles = stylesFor((palette) => ({
  card: {
    backgroundColor: palette.surface,
    borderColor: palette.line,
    borderWidth: 1,
    borderRadius: 14,
    overflow: 'hidden',
  },
}));

/** A quiet surface that holds one thing. */
export function Card({ children, style }: { readonly children: ReactNode; readonly style?: StyleProp<ViewStyle> }) {
  const styles = useStyles();
  return <View style={[styles.card, style]}>{children}</View>;
}
