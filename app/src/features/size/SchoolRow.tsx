import type { Choices } from '@harbor-latch/core/job/index';
import { conductorSizes, dropSchools, type CableFamily, type DropSchool } from '@harbor-latch/core/reference/index';
import { schoolsInWords } from '@harbor-latch/core/explain/index';
import type { Alternative } from '@harbor-latch/core/sizing/alternatives';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useChoicesNow } from '../../data/circuits';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Words } from '../../ui/Words';

const pending = 'What each school takes, and what the pump gets by it, is being worked out …';

/** Drop school and cable family, at hand where their effect shows. */
export function SchoolRow({
  boatId,
  circuitId,
  alternatives,
  onChoices,
}: {
  readonly boatId: string;
  readonly circuitId: string;
  /** What both schools propose; null until it is known. */
  readonly alternatives: readonly Alternative[] | null;
  readonly onChoices: (choices: Choices, said: string) => void;
}) {
  const choices = useChoicesNow(boatId, circuitId);
  const cost = useMemo(
    // About as long as what it will be: nothing below moves when it comes.
    () => (alternatives === null ? pending : schoolsInWords(alternatives)),
    [alternatives],
  );
  return (
    <View style={{ gap: 6 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        <ChoiceRow
          label="Drop school"
          value={choices.dropSchool ?? 'critical'}
          ahead
          choices={Object.entries(dropSchools).map(([value, { percent }]) => ({
            value: value as DropSchool,
            label: `${percent}\u00a0% drop`,
          }))}
          onChoose={(dropSchool) =>
            onChoices({ ...choices, dropSchool }, `${dropSchools[dropSchool].percent} % school`)
          }
        />
        <ChoiceRow
          label="Cable sizes"
          value={choices.family ?? 'awg'}
          ahead
          choices={Object.keys(conductorSizes).map((value) => ({
            value: value as CableFamily,
            label: value === 'awg' ? 'AWG' : 'mm²',
          }))}
          onChoose={(family) => onChoices({ ...choices, family }, family === 'awg' ? 'AWG sizes' : 'mm² sizes')}
        />
      </View>
      {cost === null ? null : (
        <Words kind="small" muted>
          {cost}
        </Words>
      )}
    </View>
  );
}
