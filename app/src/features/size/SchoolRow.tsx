import type { Choices } from '@harbor-latch/core/job/index';
import { conductorSizes, dropSchools, type CableFamily, type DropSchool } from '@harbor-latch/core/reference/index';
import { View } from 'react-native';
import { ChoiceRow } from '../../ui/ChoiceRow';

/** Drop school and cable family, at hand where their effect shows. */
export function SchoolRow({
  choices,
  onChoices,
}: {
  readonly choices: Choices;
  readonly onChoices: (choices: Choices, said: string) => void;
}) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
      <ChoiceRow
        label="Drop school"
        value={choices.dropSchool ?? 'critical'}
        choices={Object.entries(dropSchools).map(([value, { percent }]) => ({
          value: value as DropSchool,
          label: `${percent}\u00a0% drop`,
        }))}
        onChoose={(dropSchool) => onChoices({ ...choices, dropSchool }, `${dropSchools[dropSchool].percent} % school`)}
      />
      <ChoiceRow
        label="Cable sizes"
        value={choices.family ?? 'awg'}
        choices={Object.keys(conductorSizes).map((value) => ({
          value: value as CableFamily,
          label: value === 'awg' ? 'AWG' : 'mm²',
        }))}
        onChoose={(family) => onChoices({ ...choices, family }, family === 'awg' ? 'AWG sizes' : 'mm² sizes')}
      />
    </View>
  );
}
