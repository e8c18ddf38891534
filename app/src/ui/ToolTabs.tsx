import { memo, useContext } from 'react';
import { View } from 'react-native';
import { PressRow } from './PressRow';
import { roving } from './roving';
import { fonts, usePalette } from './theme';
import { TextScaleContext, Words } from './Words';

/** The tools of a station as tabs side by side. */
export const ToolTabs = memo(Tabs) as typeof Tabs;

function Tabs<Key extends string>({
  label,
  tools,
  chosen,
  onChoose,
}: {
  readonly label: string;
  readonly tools: readonly { readonly key: Key; readonly name: string }[];
  readonly chosen: Key;
  readonly onChoose: (key: Key) => void;
}) {
  const palette = usePalette();
  const scale = useContext(TextScaleContext);
  return (
    <View role="tablist" aria-label={label} style={{ flex: 1, flexDirection: 'row', flexWrap: 'wrap' }} {...roving}>
      {tools.map(({ key, name }) => (
        <PressRow
          key={key}
          role="tab"
          selected={key === chosen}
          label={name}
          onPress={() => onChoose(key)}
          style={{
            flexGrow: 1,
            // Larger text goes over two rows.
            flexBasis: 48 * scale,
            alignItems: 'center',
            justifyContent: 'center',
            borderBottomWidth: 3,
            borderColor: key === chosen ? palette.accent : palette.surface,
          }}
        >
          <Words
            kind="small"
            color={key === chosen ? palette.accent : palette.text}
            style={{ fontFamily: fonts.medium }}
          >
            {name}
          </Words>
        </PressRow>
      ))}
    </View>
  );
}
