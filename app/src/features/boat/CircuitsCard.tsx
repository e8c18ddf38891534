import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { summaryOf } from '@harbor-latch/core/assess/summary';
import { withoutCircuit } from '@harbor-latch/core/job/index';
import { useState } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useOpenPage } from '../../ui/nextPage';
import { Card } from '../../ui/Card';
import { ConfirmDialog } from '../../ui/ConfirmDialog';
import { Empty } from '../../ui/Empty';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { ToolButton } from '../../ui/ToolButton';
import { circuitInWords, CircuitLine } from '../../ui/CircuitLine';
import { circuitPage } from '../../ui/circuitPage';
import { useSayChange } from '../../useSayChange';

/** The circuits of a boat, each with its worst finding; duplicated and removed here. */
export function CircuitsCard({
  draft,
  assessed,
}: {
  readonly draft: Draft;
  /** Those of its circuits that were assessed. */
  readonly assessed: readonly AssessedCircuit[];
}) {
  const drafts = useDrafts();
  const openPage = useOpenPage();
  const palette = usePalette();
  const sayChange = useSayChange();
  const { job } = draft;
  const [asked, setAsked] = useState<{ readonly id: string; readonly name: string } | null>(null);
  const duplicate = (id: string) => {
    setAsked(null);
    const index = job.circuits.findIndex((circuit) => circuit.id === id);
    const original = job.circuits[index];
    if (!original) return;
    const copy = { ...original, id: crypto.randomUUID(), name: `${original.name}, copy`.slice(0, 200) };
    drafts.replace(draft.id, { ...job, circuits: job.circuits.toSpliced(index + 1, 0, copy) });
    sayChange(draft.id, `Duplicated ${original.name}`);
  };
  const remove = (id: string, name: string) => {
    setAsked(null);
    drafts.replace(draft.id, withoutCircuit(job, id));
    sayChange(draft.id, `Removed ${name}`);
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
      {job.circuits.map(({ id, name }, index) => {
        const known = assessed.find(({ circuit }) => circuit.id === id);
        const one = known && summaryOf(known);
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
              label={`Circuit ${name}. ${circuitInWords(one)}`}
              onPress={() => openPage(circuitPage(draft.id, id, one))}
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
              <CircuitLine name={name} summary={one} />
            </PressRow>
            <ToolButton
              icon="dots-vertical"
              label={`More for circuit ${name}`}
              onPress={() => setAsked({ id, name })}
            />
          </View>
        );
      })}
      {asked ? (
        <ConfirmDialog
          title={asked.name}
          text="Both can be undone."
          actions={[
            { label: 'Duplicate', onPress: () => duplicate(asked.id) },
            { label: 'Remove', onPress: () => remove(asked.id, asked.name) },
          ]}
          onClose={() => setAsked(null)}
        />
      ) : null}
    </Card>
  );
}
