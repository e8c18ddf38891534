import { differences, fieldInWords, valueInWords, type Job } from '@harbor-latch/core/job/index';
import { View } from 'react-native';
import { useUnits } from '../data/settings';
import { DifferenceRow } from '../ui/DifferenceRow';
import { Words } from '../ui/Words';

const MOST_SHOWN = 12;

/** What changes from one job to the other, field by field. */
export function Differences({ before, after }: { readonly before: Job; readonly after: Job }) {
  const units = useUnits();
  const found = differences(before, after);
  if (found.length === 0) return <Words muted>Nothing differs.</Words>;
  return (
    <View>
      {found.slice(0, MOST_SHOWN).map(({ path, before: was, after: is }) => (
        <DifferenceRow key={path.join('/')} what={fieldInWords(path, [after, before])}>
          <Words>{`${valueInWords(path, was, units)} → ${valueInWords(path, is, units)}`}</Words>
        </DifferenceRow>
      ))}
      {found.length > MOST_SHOWN ? <Words muted>{`And ${found.length - MOST_SHOWN} more.`}</Words> : null}
    </View>
  );
}
