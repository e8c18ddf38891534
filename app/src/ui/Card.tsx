import type { ReactNode } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';
import { stylesFor } from './stylesFor';
import { useOnceInSight } from './useOnceInSight';

/**
 * What lies outside the window is laid out and painted only when it comes near: a long
 * page stands as soon as a short one. Until then it takes the room it last took.
 */
const away = { contentVisibility: 'auto', containIntrinsicSize: 'auto 200px' } as object;

/** Those in sight keep their layout while the page rests (`atRest.ts`). */
const marked = { dataSet: { card: '' } } as object;

const useStyles = stylesFor((palette) => ({
  card: {
    backgroundColor: palette.surface,
    borderColor: palette.line,
    borderWidth: 1,
    borderRadius: 14,
    overflow: 'hidden',
    ...away,
  },
}));

/** A quiet surface that holds one thing. */
export function Card({ children, style }: { readonly children: ReactNode; readonly style?: StyleProp<ViewStyle> }) {
  const styles = useStyles();
  const { root, shown } = useOnceInSight(children);
  return (
    <View ref={root} style={[styles.card, style]} {...marked}>
      {shown}
    </View>
  );
}
