import type { WorkingStep } from '@harbor-latch/core/explain/index';
import { View } from 'react-native';
import { stylesFor } from '../../ui/stylesFor';
import { fonts } from '../../ui/theme';
import { Words } from '../../ui/Words';

const useStyles = stylesFor(({ raised }) => ({
  list: { backgroundColor: raised, borderRadius: 10, padding: 12, gap: 8 },
  what: { fontFamily: fonts.medium },
  sum: { fontVariant: ['tabular-nums'] },
}));

/** Arithmetic, step by step, with the table or rule each step comes from. */
export function WorkingList({ steps }: { readonly steps: readonly WorkingStep[] }) {
  const styles = useStyles();
  return (
    <View style={styles.list}>
      <Words kind="strong" level={3}>
        Working
      </Words>
      {steps.map((step) => (
        <View key={step.what}>
          <Words kind="small" style={styles.what}>
            {step.what}
          </Words>
          <Words kind="small" style={styles.sum}>
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
