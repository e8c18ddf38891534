import { View } from 'react-native';
import type { JobPath } from '../../../data/jobPath';
import { BigButton } from '../../../ui/BigButton';
import { Notice } from '../../../ui/Notice';
import { useField } from '../../../fields/FieldContext';

/** Says that figures are typical ones, until somebody has measured them. */
export function Measured({ path }: { readonly path: JobPath }) {
  const field = useField([...path, 'guessed']);
  if (field.value !== true) return null;
  return (
    <View>
      <Notice
        tone="note"
        icon="help-circle-outline"
        actions={
          <BigButton mode="outlined" onPress={() => field.take(undefined)}>
            These are measured now
          </BigButton>
        }
      >
        Estimate: figures typical of the hull’s length, not of this boat.
      </Notice>
    </View>
  );
}
