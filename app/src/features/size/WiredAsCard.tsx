import type { Statement } from '@harbor-latch/core/findings/index';
import { memo } from 'react';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { Icon } from '../../ui/Icon';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** How the circuit is wired, as somebody decided: nothing is wrong with it, and whoever works on it should know. */
export const WiredAsCard = memo(function WiredAsCard({ statements }: { readonly statements: readonly Statement[] }) {
  if (statements.length === 0) return null;
  return (
    <Card>
      <View style={{ padding: 14, gap: 12 }}>
        <Words kind="heading" level={2}>
          How it is wired
        </Words>
        <Before statements={statements} />
        {statements
          .filter(({ beforeWork }) => !beforeWork)
          .map(({ code, text }) => (
            <Words key={code}>{text}</Words>
          ))}
      </View>
    </Card>
  );
});

/** What to know before hands go near it. */
export function Before({ statements }: { readonly statements: readonly Statement[] }) {
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
}
