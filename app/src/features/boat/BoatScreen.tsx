import { newCircuit } from '@harbor-latch/core/job/index';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { assessed as assessedOf, useBoat, useDrafts } from '../../data/boats';
import { exportJob } from '../../data/files';
import type { Draft } from '../../data/draft';
import { useSettings } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Empty } from '../../ui/Empty';
import { NameDialog } from '../../ui/NameDialog';
import { PressRow } from '../../ui/PressRow';
import { useSay } from '../../ui/Said';
import { Screen } from '../../ui/Screen';
import { usePalette } from '../../ui/theme';
import { BoatForm } from '../survey/BoatForm';
import { NumberField } from '../survey/NumberField';
import { TextField } from '../survey/TextField';
import { CircuitLine } from '../yard/BoatCard';
import { Absent } from './Absent';
import { SaveNotices } from './SaveNotices';
import { SaveStatus } from './SaveStatus';

/** A boat: its circuits, what kind of craft it is, and its job file. */
export function BoatScreen() {
  const { boatId } = useLocalSearchParams<{ boatId: string }>();
  const { draft, yard } = useBoat(boatId);
  return draft ? <Boat draft={draft} /> : <Absent yard={yard} what="boat" back="/" />;
}

function Boat({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const router = useRouter();
  const palette = usePalette();
  const { settings } = useSettings();
  const [naming, setNaming] = useState(false);
  const remove = useRemoveBoat(draft);
  const { job } = draft;
  const addCircuit = (name: string) => {
    const circuit = newCircuit(crypto.randomUUID(), name, 'three-way-float', job.batteries[0]?.id ?? '');
    drafts.replace(draft.id, {
      ...job,
      circuits: [...job.circuits, { ...circuit, choices: { family: settings.family } }],
    });
    setNaming(false);
    router.navigate(`/boat/${draft.id}/${circuit.id}/survey`);
  };
  return (
    <Screen
      title={job.boat.name}
      under={<SaveStatus draft={draft} />}
      back="/"
      actions={
        <>
          <IconButton
            icon="undo"
            size={26}
            style={{ width: 48, height: 48 }}
            accessibilityLabel="Undo the last change"
            disabled={draft.past.length === 0}
            onPress={() => drafts.undo(draft.id)}
          />
          <IconButton
            icon="file-export-outline"
            size={26}
            style={{ width: 48, height: 48 }}
            accessibilityLabel="Export the job file"
            onPress={() => exportJob(job)}
          />
        </>
      }
      footer={
        <View
          style={{
            backgroundColor: palette.surface,
            borderTopWidth: 1,
            borderColor: palette.line,
            padding: 10,
            alignItems: 'center',
          }}
        >
          <BigButton icon="plus" onPress={() => setNaming(true)}>
            Add a circuit
          </BigButton>
        </View>
      }
    >
      <SaveNotices draft={draft} />
      {job.circuits.length === 0 ? (
        <Card>
          <Empty icon="water-pump" title="No circuits yet">
            A circuit is one pump with its feed, its switch and its float.
          </Empty>
        </Card>
      ) : (
        <Circuits draft={draft} />
      )}
      <BoatForm draft={draft}>
        <Card>
          <View style={{ padding: 14, gap: 16 }}>
            <TextField path={['boat', 'name']} label="Name of the boat" needed />
            <TextField path={['boat', 'craft']} label="Craft" />
            <NumberField
              path={['boat', 'hullLengthM']}
              label="Hull length"
              quantity="length"
              step={{ metric: 0.1, us: 0.5 }}
            />
            <TextField path={['boat', 'owner']} label="Owner" />
            <TextField path={['boat', 'berth']} label="Berth" />
            <TextField path={['boat', 'note']} label="Note" lines={3} />
          </View>
        </Card>
      </BoatForm>
      <View style={{ alignItems: 'center' }}>
        <BigButton mode="text" icon="delete-outline" onPress={remove}>
          Remove this boat
        </BigButton>
      </View>
      {naming ? (
        <NameDialog
          title="Add a circuit"
          label="Name of the circuit"
          action="Add"
          onName={addCircuit}
          onClose={() => setNaming(false)}
        />
      ) : null}
    </Screen>
  );
}

function Circuits({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const router = useRouter();
  const palette = usePalette();
  const say = useSay();
  const { job } = draft;
  const removeCircuit = (id: string, name: string) => {
    drafts.replace(draft.id, { ...job, circuits: job.circuits.filter((circuit) => circuit.id !== id) });
    say(`Removed ${name}`, () => drafts.undo(draft.id));
  };
  return (
    <Card>
      {assessedOf(job).map((circuit, index) => (
        <View
          key={circuit.circuit.id}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            borderTopWidth: index === 0 ? 0 : 1,
            borderColor: palette.line,
          }}
        >
          <PressRow
            role="link"
            label={`Circuit ${circuit.circuit.name}`}
            onPress={() =>
              router.navigate(
                `/boat/${draft.id}/${circuit.circuit.id}/${circuit.status === 'sized' ? 'size' : 'survey'}`,
              )
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
            <CircuitLine circuit={circuit} />
          </PressRow>
          <IconButton
            icon="delete-outline"
            size={24}
            style={{ width: 48, height: 48 }}
            accessibilityLabel={`Remove circuit ${circuit.circuit.name}`}
            onPress={() => removeCircuit(circuit.circuit.id, circuit.circuit.name)}
          />
        </View>
      ))}
    </Card>
  );
}

/** Removing a boat, with the way back. */
function useRemoveBoat(draft: Draft): () => void {
  const drafts = useDrafts();
  const router = useRouter();
  const say = useSay();
  const remove = async () => {
    try {
      const job = await drafts.remove(draft.id);
      router.navigate('/');
      if (job) say(`Removed ${job.boat.name}`, () => drafts.add(job));
    } catch (error) {
      say(`${draft.job.boat.name} was not removed. ${error instanceof Error ? error.message : ''}`);
    }
  };
  return () => void remove();
}
