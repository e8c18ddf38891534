import type { WorkingStep } from '@harbor-latch/core/explain/index';
import { View } from 'react-native';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** Arithmetic, step by step, with the table or rule each step comes from. */
export function WorkingList({ steps }: { readonly steps: readonly WorkingStep[] }) {
  const palette = usePalette();
  return (
    <View style={{ backgroundColor: palette.raised, borderRadius: 10, padding: 12, gap: 8 }}>
      <Words kind="strong" level={3}>
        Working
      </Words>
      {steps.map((step) => (
        <View key={step.what}>
          <Words kind="small" style={{ fontFamily: fonts.medium }}>
            {step.what}
          </Words>
          <Words kind="small" style={{ fontVariant: ['tabular-nums'] }}>
            {step.sum}
          </Words>
          <Words kind="small" muted>
            {step.source}
          </Words>
        </View>
      ))}
    </View>
  );
}
