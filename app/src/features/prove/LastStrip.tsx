import { View, type ViewStyle } from 'react-native';
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

/** Neither seen nor reached, but there. */
const hidden = { visibility: 'hidden' } as ViewStyle;

/**
 * Says it, with the way back. Before there is one its room is kept: a reading is written down after the touch that
 * took it, and an answer that moved then would be touched for another.
 */
export function LastStrip({ last, onUndo }: { readonly last: LastRead | null; readonly onUndo: () => void }) {
  const palette = usePalette();
  return (
    <View
      role="status"
      style={{
        ...(last ? null : hidden),
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
        {last ? `As expected: ${last.words}` : ''}
      </Words>
      <BigButton mode="text" label="Take the last reading back" onPress={onUndo}>
        Undo
      </BigButton>
    </View>
  );
}
