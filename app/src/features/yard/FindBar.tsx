import type { Standing } from '@harbor-latch/core/assess/standing';
import { View } from 'react-native';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { SearchField } from '../../ui/SearchField';
import { standingLook } from '../../ui/Standing';
import type { Finding } from './find';

const ALL = 'all';
const standings: readonly Standing[] = ['stop', 'caution', 'incomplete', 'good'];

/** Searching the yard and ordering it. */
export function FindBar({
  finding,
  onFinding,
  put,
  count,
  onFold,
  folded,
}: {
  /** How many boats of those in sight stand so. */
  readonly count: ReadonlyMap<Standing, number>;
  readonly folded: boolean;
  /** Folds every boat to a line, or opens them all. */
  readonly onFold: (folded: boolean) => void;
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
        <ChoiceRow
          label="Circuits"
          value={folded ? 'folded' : 'open'}
          choices={[
            { value: 'open', label: 'Circuits' },
            { value: 'folded', label: 'Folded' },
          ]}
          onChoose={(how) => onFold(how === 'folded')}
        />
        {count.size > 1 ? (
          <ChoiceRow
            label="Show"
            value={finding.standing ?? ALL}
            choices={[
              { value: ALL, label: 'All' },
              ...standings
                .filter((one) => count.has(one))
                .map((one) => ({ value: one, label: `${standingLook[one].word} (${count.get(one) ?? 0})` })),
            ]}
            onChoose={(one) => onFinding({ ...finding, standing: standings.find((known) => known === one) ?? null })}
          />
        ) : null}
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
