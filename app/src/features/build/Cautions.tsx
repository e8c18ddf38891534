import type { BuildStep } from '@harbor-latch/core/build/steps';
import { cautions } from '@harbor-latch/core/reference/cautions';
import { View } from 'react-native';
import { Icon } from '../../ui/Icon';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** What to heed where the hand is. */
export function Cautions({ step }: { readonly step: BuildStep }) {
  const palette = usePalette();
  return (
    <>
      {step.cautions.map((key) => (
        <View key={key} style={{ flexDirection: 'row', gap: 8 }}>
          <Icon name="alert" size={20} color={palette.caution} />
          <Words style={{ flex: 1, minWidth: 0 }}>{cautions[key]}</Words>
        </View>
      ))}
    </>
  );
}
