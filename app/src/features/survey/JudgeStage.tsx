import { conductorSizes, dropSchools, ruleSets } from '@harbor-latch/core/reference/index';
import type { Choices, Circuit } from '@harbor-latch/core/job/index';
import { memo } from 'react';
import { ChoiceField } from '../../fields/ChoiceField';
import { sameCircuitParts } from './sameCircuitParts';
import { Stage } from './Stage';
import { TextField } from '../../fields/TextField';

/** The rules and the school a circuit is judged by, and its name. */
export const JudgeStage = memo(function JudgeStage({
  index,
  circuit,
}: {
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const path = ['circuits', index, 'choices'] as const;
  return (
    <Stage of={path} title="Judged by" summary={inWords(circuit.choices)} conductors={[]}>
      <ChoiceField
        path={[...path, 'dropSchool']}
        label="Drop school"
        assumed="critical"
        choices={Object.entries(dropSchools).map(([value, { percent }]) => ({ value, label: `${percent}\u00a0%` }))}
        guide={dropSchools.critical.reason}
      />
      <ChoiceField
        path={[...path, 'family']}
        label="Cable sizes"
        assumed="awg"
        choices={Object.keys(conductorSizes).map((value) => ({ value, label: value === 'awg' ? 'AWG' : 'mm²' }))}
        guide="Sizes you have chosen yourself stay as they are."
      />
      <ChoiceField
        path={[...path, 'rules']}
        label="Rule set"
        assumed="us"
        choices={Object.entries(ruleSets).map(([value, { name }]) => ({ value, label: name }))}
        guide="Check the edition in force where the boat is."
      />
      <TextField path={['circuits', index, 'name']} label="Name of this circuit" needed />
      <TextField path={['circuits', index, 'note']} label="Note" lines={3} />
    </Stage>
  );
}, sameCircuitParts('choices'));

function inWords({ dropSchool = 'critical', family = 'awg', rules = 'us' }: Choices = {}): string {
  return `${dropSchools[dropSchool].percent}\u00a0% drop, ${family === 'awg' ? 'AWG' : 'mm²'}, ${ruleSets[rules].name}. Name and note`;
}
