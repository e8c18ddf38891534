import { ScrollView, View } from 'react-native';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

const NARROW = 46;
const FIRST = 96;

/** A table of the reference; one with many columns scrolls within itself. */
export function ReferenceTable({
  label,
  heads,
  rows,
}: {
  readonly label: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}) {
  const palette = usePalette();
  const many = heads.length > 5;
  const cell = (index: number) =>
    many ? { width: index === 0 ? FIRST : NARROW } : { flex: index === 0 ? 1.3 : 1, minWidth: 0 };
  const table = (
    <View role="table" aria-label={label} style={many ? null : { width: '100%' }}>
      <View role="row" style={{ flexDirection: 'row', paddingVertical: 4 }}>
        {heads.map((head, index) => (
          <View key={head} role="columnheader" style={cell(index)}>
            <Words kind="small" muted>
              {head}
            </Words>
          </View>
        ))}
      </View>
      {rows.map((row) => (
        <View
          key={row.join('|')}
          role="row"
          style={{ flexDirection: 'row', paddingVertical: 5, borderTopWidth: 1, borderColor: palette.line }}
        >
          {row.map((text, index) => (
            <View key={heads[index]} role="cell" style={cell(index)}>
              <Words
                kind="small"
                style={{ fontVariant: ['tabular-nums'], fontFamily: index === 0 ? fonts.medium : fonts.regular }}
              >
                {text}
              </Words>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
  return many ? (
    <ScrollView horizontal tabIndex={0} accessibilityLabel={label}>
      {table}
    </ScrollView>
  ) : (
    table
  );
}
