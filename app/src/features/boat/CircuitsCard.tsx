import { withoutCircuit } from '@harbor-latch/core/job/index';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { assessed as assessedOf, useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { Card } from '../../ui/Card';
import { Empty } from '../../ui/Empty';
import { PressRow } from '../../ui/PressRow';
import { useSay } from '../../ui/Said';
import { usePalette } from '../../ui/theme';
import { ToolButton } from '../../ui/ToolButton';
import { CircuitLine } from '../yard/BoatCard';

/** The circuits of a boat, each with its worst finding; duplicated and removed here. */
export function CircuitsCard({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const router = useRouter();
  const palette = usePalette();
  const say = useSay();
  const units = useUnits();
  const { job } = draft;
  const undo = () => drafts.undo(draft.id);
  const duplicate = (id: string) => {
    const index = job.circuits.findIndex((circuit) => circuit.id === id);
    const original = job.circuits[index];
    if (!original) return;
    const copy = { ...original, id: crypto.randomUUID(), name: `${original.name}, copy`.slice(0, 200) };
    drafts.replace(draft.id, { ...job, circuits: job.circuits.toSpliced(index + 1, 0, copy) });
    say(`Duplicated ${original.name}`, undo);
  };
  const remove = (id: string, name: string) => {
    drafts.replace(draft.id, withoutCircuit(job, id));
    say(`Removed ${name}`, undo);
  };
  if (job.circuits.length === 0) {
    return (
      <Card>
        <Empty icon="water-pump" title="No circuits yet">
          A circuit is one pump with its feed, its switch and its float.
        </Empty>
      </Card>
    );
  }
  return (
    <Card>
      {assessedOf(job, units).map((assessed, index) => {
        const { id, name } = assessed.circuit;
        return (
          <View
            key={id}
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              borderTopWidth: index === 0 ? 0 : 1,
              borderColor: palette.line,
            }}
          >
            <PressRow
              role="link"
              label={`Circuit ${name}`}
              onPress={() =>
                router.navigate(`/boat/${draft.id}/${id}/${assessed.status === 'incomplete' ? 'survey' : 'size'}`)
              }
              style={{
                flex: 1,
                minWidth: 0,
                padding: 14,
                paddingRight: 0,
                flexDirection: 'row',
                gap: 10,
                alignItems: 'center',
              }}
            >
              <CircuitLine circuit={assessed} />
            </PressRow>
            <ToolButton icon="content-copy" label={`Duplicate circuit ${name}`} onPress={() => duplicate(id)} />
            <ToolButton icon="delete-outline" label={`Remove circuit ${name}`} onPress={() => remove(id, name)} />
          </View>
        );
      })}
    </Card>
  );
}
