import { memo } from 'react';
import { View } from 'react-native';
import type { JobPath } from '../data/jobPath';
import { ChoiceRow, type Choice } from '../ui/ChoiceRow';
import { Words } from '../ui/Words';
import { useField } from './FieldContext';
import { sameProps } from './sameProps';

function OneChoice<V extends string | number | boolean>({
  path,
  label,
  choices,
  assumed,
  guide,
  nothing,
}: {
  readonly path: JobPath;
  readonly label: string;
  readonly choices: readonly { readonly value: V; readonly label: string }[];
  readonly assumed: V;
  readonly guide?: string;
  /** Choice that leaves the field empty. */
  readonly nothing?: V;
}) {
  const field = useField(path);
  const current = field.value ?? assumed;
  const rows: Choice<string>[] = choices.map((choice) => ({ value: String(choice.value), label: choice.label }));
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline' }}>
        <Words kind="strong">{label}</Words>
        {field.value === undefined ? (
          <Words kind="small" muted>
            default
          </Words>
        ) : null}
      </View>
      <ChoiceRow
        label={label}
        choices={rows}
        value={String(current)}
        onChoose={(chosen) => {
          const value = choices.find((choice) => String(choice.value) === chosen)?.value;
          field.take(value === nothing ? undefined : value);
        }}
      />
      {guide === undefined ? null : (
        <Words kind="small" muted>
          {guide}
        </Words>
      )}
    </View>
  );
}

/** One of a few values of the job; the default is shown as taken, and said to be the default. */
export const ChoiceField = memo(OneChoice, sameProps) as typeof OneChoice;
