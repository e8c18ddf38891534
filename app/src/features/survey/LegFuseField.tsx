import { protectionFamilies } from '@harbor-latch/core/reference/index';
import { View } from 'react-native';
import type { JobPath } from '../../data/jobPath';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Words } from '../../ui/Words';
import { useField } from '../../fields/FieldContext';

interface LegFuses {
  readonly kind: 'blade';
  readonly manualA: number;
  readonly autoA: number;
}

/** One common fuse, or one in each leg as found on some boats. */
export function LegFuseField({ path }: { readonly path: JobPath }) {
  const field = useField(path);
  const fuses = field.value as LegFuses | undefined;
  const ratings = protectionFamilies.blade.ratingsA.map((ratingA) => ({
    value: String(ratingA),
    label: `${ratingA}\u00a0A`,
  }));
  return (
    <View style={{ gap: 6 }}>
      <Words kind="strong">Fuses of the two legs</Words>
      <ChoiceRow
        label="Fuses of the two legs"
        value={fuses ? 'apart' : 'common'}
        choices={[
          { value: 'common', label: 'One common fuse' },
          { value: 'apart', label: 'One in each leg, as found' },
        ]}
        onChoose={(chosen) => field.take(chosen === 'common' ? undefined : { kind: 'blade', manualA: 7.5, autoA: 7.5 })}
      />
      {fuses
        ? (['manualA', 'autoA'] as const).map((leg) => (
            <View key={leg} style={{ gap: 4 }}>
              <Words kind="small">{leg === 'manualA' ? 'Manual leg' : 'Auto leg'}</Words>
              <ChoiceRow
                label={leg === 'manualA' ? 'Manual leg’s fuse' : 'Auto leg’s fuse'}
                value={String(fuses[leg])}
                choices={ratings}
                onChoose={(ratingA) => field.take({ ...fuses, [leg]: Number(ratingA) })}
              />
            </View>
          ))
        : null}
    </View>
  );
}
