import type { Pump } from '@harbor-latch/core/job/index';
import {
  pumpCatalogue,
  pumpClassInWords,
  pumpClassKeys,
  type PumpClass,
  type PumpClassKey,
} from '@harbor-latch/core/reference/index';
import { useUnits } from '../../data/settings';
import { View } from 'react-native';
import type { JobPath } from '../../data/jobPath';
import { useField } from '../../fields/FieldContext';
import { BigButton } from '../../ui/BigButton';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Notice } from '../../ui/Notice';
import { Words } from '../../ui/Words';

/** No class is taken until one is chosen. */
const NONE = '' as PumpClassKey;

/** Classes of pumps to begin with; their figures are typical and say so. */
export function Catalogue({ path }: { readonly path: JobPath }) {
  const field = useField(path);
  const units = useUnits();
  const pump = (field.value as Pump | undefined) ?? {};
  const choose = (key: PumpClassKey) => {
    const { name: _name, ...figures }: PumpClass = pumpCatalogue[key];
    field.replace({ ...pump, ...figures, catalogue: key });
  };
  const { catalogue: _class, ...own } = pump;
  if (pump.catalogue !== undefined) {
    return (
      <Notice
        tone="note"
        icon="book-open-variant"
        actions={
          <BigButton mode="outlined" onPress={() => field.replace(own)}>
            These are the label’s figures now
          </BigButton>
        }
      >
        {`Estimate: figures typical of the class “${pumpClassInWords(pump.catalogue, units)}”. Replace them by the label’s.`}
      </Notice>
    );
  }
  if (pump.currentA !== undefined) return null;
  return (
    <View style={{ gap: 6 }}>
      <Words kind="small" muted>
        No label at hand? Begin with a class:
      </Words>
      <ChoiceRow
        label="Class of pump"
        value={NONE}
        choices={pumpClassKeys.map((key) => ({ value: key, label: pumpClassInWords(key, units) }))}
        onChoose={choose}
      />
    </View>
  );
}
