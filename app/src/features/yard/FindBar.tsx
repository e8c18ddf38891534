import { View } from 'react-native';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { SearchField } from '../../ui/SearchField';
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
  return (
    <View style={{ gap: 8 }}>
      <SearchField
        label="Search the yard"
        hint="Boat, owner, berth, circuit"
        text={finding.text}
        onText={(text) => onFinding({ ...finding, text })}
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
