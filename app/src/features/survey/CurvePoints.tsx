import type { Pump } from '@harbor-latch/core/job/index';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Words } from '../../ui/Words';
import { useField } from '../../fields/FieldContext';
import { NumberField } from '../../fields/NumberField';

/** Points of the maker's curve: flow at head. */
export function CurvePoints({ path }: { readonly path: readonly (string | number)[] }) {
  const field = useField(path);
  const points = (field.value as Pump['curve']) ?? [];
  const replace = (next: typeof points) => field.replace(next.length === 0 ? undefined : next);
  return (
    <View style={{ gap: 14 }}>
      <View>
        <Words kind="strong">Points of the maker’s curve</Words>
        <Words kind="small" muted>
          Where the leaflet gives flow at several heads. A point at head 0 stands in for the open flow.
        </Words>
      </View>
      {points.map((_point, index) => (
        <View key={index} style={{ gap: 10 }}>
          <NumberField
            path={[...path, index, 'headM']}
            label={`Point ${index + 1}, head`}
            quantity="head"
            step={{ metric: 0.5, us: 1 }}
            needed
          />
          <NumberField
            path={[...path, index, 'flowLPerH']}
            label={`Point ${index + 1}, flow`}
            quantity="flow"
            step={{ metric: 100, us: 50 }}
            needed
          />
          <BigButton
            mode="text"
            icon="delete-outline"
            onPress={() => replace(points.filter((_other, other) => other !== index))}
          >
            {`Remove point ${index + 1}`}
          </BigButton>
        </View>
      ))}
      {points.length < 20 ? (
        <BigButton
          mode="outlined"
          icon="plus"
          onPress={() => replace([...points, { headM: points.length, flowLPerH: 1000 }])}
        >
          Add a point
        </BigButton>
      ) : null}
    </View>
  );
}
