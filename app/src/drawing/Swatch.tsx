import type { ConductorColour } from '@harbor-latch/core/schemes/index';
import { View } from 'react-native';
import { insulation } from '@harbor-latch/core/drawing/colours';
import { usePalette } from '../ui/theme';

/** Insulation in its real colour, stripe and all. */
export function Swatch({ colour: { base, stripe } }: { readonly colour: ConductorColour }) {
  const palette = usePalette();
  return (
    <View
      aria-hidden
      style={{
        width: 14,
        minHeight: 44,
        alignSelf: 'stretch',
        borderRadius: 4,
        borderWidth: 1,
        borderColor: palette.muted,
        backgroundColor: insulation[base],
        alignItems: 'center',
      }}
    >
      {stripe ? <View style={{ width: 4, height: '100%', backgroundColor: insulation[stripe] }} /> : null}
    </View>
  );
}
