import { View } from 'react-native';
import { Searchbar } from 'react-native-paper';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { fonts, usePalette } from '../../ui/theme';
import type { Finding } from './find';

/** Searching the yard and ordering it. */
export function FindBar({
  finding,
  onFinding,
  put,
}: {
  readonly finding: Finding;
  readonly onFinding: (finding: Finding) => void;
  /** How many boats are put away. */
  readonly put: number;
}) {
  const palette = usePalette();
  return (
    <View style={{ gap: 8 }}>
      <Searchbar
        value={finding.text}
        onChangeText={(text) => onFinding({ ...finding, text })}
        placeholder="Boat, owner, berth, circuit"
        accessibilityLabel="Search the yard"
        searchAccessibilityLabel="Search"
        clearAccessibilityLabel="Clear the search"
        inputStyle={{ fontFamily: fonts.regular, fontSize: 17, minHeight: 48 }}
        style={{ backgroundColor: palette.surface, borderWidth: 1, borderColor: palette.line }}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <ChoiceRow
          label="Order"
          value={finding.order}
          choices={[
            { value: 'worst', label: 'Worst first' },
            { value: 'name', label: 'By name' },
          ]}
          onChoose={(order: Finding['order']) => onFinding({ ...finding, order })}
        />
        {put > 0 ? (
          <ChoiceRow
            label="Which boats"
            value={finding.archived ? 'away' : 'here'}
            choices={[
              { value: 'here', label: 'In the yard' },
              { value: 'away', label: `Put away (${put})` },
            ]}
            onChoose={(which) => onFinding({ ...finding, archived: which === 'away' })}
          />
        ) : null}
      </View>
    </View>
  );
}
