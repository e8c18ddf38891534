import type { ReactNode } from 'react';
import { View } from 'react-native';
import { usePalette } from './theme';
import { Words } from './Words';

/** A field that differs: what it is, and both values or the choice between them. */
export function DifferenceRow({ what, children }: { readonly what: string; readonly children: ReactNode }) {
  const palette = usePalette();
  return (
    <View style={{ gap: 4, paddingVertical: 8, borderTopWidth: 1, borderColor: palette.line }}>
      <Words kind="strong">{what}</Words>
      {children}
    </View>
  );
}
