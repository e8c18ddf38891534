import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Icon } from '../../ui/Icon';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** The reading taken last, which was as expected. */
export interface LastRead {
  readonly entry: string;
  readonly test: string;
  readonly words: string;
}

/** Says it, with the way back. */
export function LastStrip({ last, onUndo }: { readonly last: LastRead; readonly onUndo: () => void }) {
  const palette = usePalette();
  return (
    <View
      role="status"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 8,
        paddingLeft: 12,
        borderRadius: 12,
        backgroundColor: palette.goodSoft,
      }}
    >
      <Icon name="check-circle" color={palette.good} />
      <Words kind="small" color={palette.good} numberOfLines={1} style={{ flex: 1, minWidth: 0 }}>
        {`As expected: ${last.words}`}
      </Words>
      <BigButton mode="text" label="Take the last reading back" onPress={onUndo}>
        Undo
      </BigButton>
    </View>
  );
}
