import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Words } from '../../ui/Words';

/** A choice under its name. */
export function Labelled({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <View style={{ gap: 4 }}>
      <Words kind="strong">{label}</Words>
      {children}
    </View>
  );
}
