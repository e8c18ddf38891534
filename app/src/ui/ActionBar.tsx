import type { ReactNode } from 'react';
import { View } from 'react-native';
import { usePalette } from './theme';

/** The main actions of a page, in thumb reach under it. */
export function ActionBar({ children }: { readonly children: ReactNode }) {
  const palette = usePalette();
  return (
    <View
      style={{
        backgroundColor: palette.surface,
        borderTopWidth: 1,
        borderColor: palette.line,
        padding: 10,
        flexDirection: 'row',
        flexWrap: 'wrap',
        justifyContent: 'center',
        gap: 10,
      }}
    >
      {children}
    </View>
  );
}
