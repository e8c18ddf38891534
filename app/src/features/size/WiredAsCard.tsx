import type { Statement } from '@harbor-latch/core/findings/index';
import { memo } from 'react';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { BeforeWork } from '../../ui/BeforeWork';
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
        <BeforeWork statements={statements} />
        {statements
          .filter(({ beforeWork }) => !beforeWork)
          .map(({ code, text }) => (
            <Words key={code}>{text}</Words>
          ))}
      </View>
    </Card>
  );
});
