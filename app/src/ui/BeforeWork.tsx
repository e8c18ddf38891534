import type { Statement } from '@harbor-latch/core/findings/index';
import { memo } from 'react';
import { View } from 'react-native';
import { Icon } from './Icon';
import { usePalette } from './theme';
import { Words } from './Words';

/** What to know before hands go near it. */
export const BeforeWork = memo(function BeforeWork({ statements }: { readonly statements: readonly Statement[] }) {
  const palette = usePalette();
  return (
    <>
      {statements
        .filter(({ beforeWork }) => beforeWork)
        .map(({ code, text }) => (
          <View key={code} style={{ flexDirection: 'row', gap: 8 }}>
            <Icon name="alert" size={20} color={palette.caution} />
            <Words style={{ flex: 1, minWidth: 0 }}>{text}</Words>
          </View>
        ))}
    </>
  );
});
