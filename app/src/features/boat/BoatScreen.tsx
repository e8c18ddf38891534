import type { Assessment } from '@harbor-latch/core/assess/assessed';
import { summaryOf } from '@harbor-latch/core/assess/summary';
import type { Circuit } from '@harbor-latch/core/job/index';
import { conductorList } from '@harbor-latch/core/documents/conductorList';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { useAssessment, useAssessments } from '../../data/assessment';
import { useBoat, useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { exportTable } from '../../data/exportTable';
import { exportJob } from '../../data/files';
import { useUnits } from '../../data/settings';
import { UnitsButton } from '../../fields/UnitsButton';
import { ActionBar } from '../../ui/ActionBar';
import { BigButton } from '../../ui/BigButton';
import { Gradually } from '../../ui/Gradually';
import { useSay } from '../../ui/Said';
import { undoKey, useShortcut } from '../../ui/Shortcuts';
import { circuitPage } from '../../ui/circuitPage';
import { Screen } from '../../ui/Screen';
import { useNextPage } from '../../ui/nextPage';
import { ToolButton } from '../../ui/ToolButton';
import { PhotographsCard } from '../../photographs/PhotographsCard';
import { WaterDetails } from './water/WaterDetails';
import { Absent } from '../../saving/Absent';
import { BoatDetails } from './BoatDetails';
import { BoatFindings } from './BoatFindings';
import { CircuitsCard } from './CircuitsCard';
import { NewCircuitDialog } from './NewCircuitDialog';
import { ReleaseNotice } from '../../saving/ReleaseNotice';
import { SaveNotices } from '../../saving/SaveNotices';
import { SaveStatus } from '../../saving/SaveStatus';
import { useSayChange } from '../../useSayChange';

/** A boat: its circuits, what kind of craft it is, its batteries, and its job file. */
export function BoatScreen() {
  const { boatId } = useLocalSearchParams<{ boatId: string }>();
  const { draft, yard } = useBoat(boatId);
  return draft ? <Boat key={boatId} draft={draft} /> : <Absent yard={yard} what="boat" back="/" />;
}

/** Before the first answer. */
const NOT_YET: Assessment = { circuits: [], findings: [] };

const Boat = memo(function Boat({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const router = useRouter();
  const [naming, setNaming] = useState(false);
  const { job } = draft;
  const { known } = useAssessment(job);
  const { circuits: assessed, findings } = known ?? NOT_YET;
  useNextPage(firstCircuit(draft, assessed));
  useShortcut({ keys: 'n', shown: 'N', does: 'Add a circuit' }, () => setNaming(true));
  useShortcut(undoKey, () => drafts.undo(draft.id));
  const addCircuit = (circuit: Circuit) => {
    drafts.replace(draft.id, { ...job, circuits: [...job.circuits, circuit] });
    setNaming(false);
    router.navigate(`/boat/${draft.id}/${circuit.id}/survey`);
  };
  return (
    <Screen
      title={job.boat.name}
      under={<SaveStatus boat={draft.id} />}
      back="/"
      actions={
        <>
          <ToolButton
            icon="undo"
            label="Undo the last change"
            disabled={draft.past.length === 0}
            onPress={() => drafts.undo(draft.id)}
          />
          <UnitsButton />
          <ToolButton
            icon="clipboard-list-outline"
            label="Log"
            onPress={() => router.navigate(`/boat/${draft.id}/log`)}
          />
          <ToolButton icon="history" label="Versions" onPress={() => router.navigate(`/boat/${draft.id}/versions`)} />
        </>
      }
      footer={
        <ActionBar>
          <BigButton icon="plus" onPress={() => setNaming(true)}>
            Add a circuit
          </BigButton>
        </ActionBar>
      }
    >
      <ReleaseNotice />
      <SaveNotices draft={draft} />
      <CircuitsCard draft={draft} assessed={assessed} />
      <BoatFindings draft={draft} findings={findings} />
      <Gradually first={0}>
        <WaterDetails draft={draft} />
        <BoatDetails draft={draft} />
        <PhotographsCard
          draft={draft}
          hint="None yet. Worth one before work begins: the whole craft, battery and switches, the bilge."
        />
        <BoatActions draft={draft} />
      </Gradually>
      {naming ? <NewCircuitDialog job={job} onCircuit={addCircuit} onClose={() => setNaming(false)} /> : null}
    </Screen>
  );
});

/** Where its first circuit opens, the likeliest to be opened. */
function firstCircuit({ id, job }: Draft, assessed: Assessment['circuits']): string | null {
  const known = assessed.find(({ circuit }) => circuit.id === job.circuits[0]?.id);
  return known ? circuitPage(id, known.circuit.id, summaryOf(known)) : null;
}

/** What is done with a boat as a whole. */
function BoatActions({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const router = useRouter();
  const say = useSay();
  const sayChange = useSayChange();
  const remove = useRemoveBoat(draft);
  const assessments = useAssessments();
  const units = useUnits();
  const { job } = draft;
  const { archived } = job.boat;
  const duplicate = () => {
    const copy = drafts.addCopy(draft.id);
    if (copy === null) return;
    router.navigate(`/boat/${copy}`);
    say(`Duplicated ${job.boat.name}`, () => {
      void drafts.remove(copy);
      router.navigate(`/boat/${draft.id}`);
    });
  };
  const exportList = async () => {
    const { answer } = await assessments.boats.whenKnown(job, units);
    exportTable(`${job.boat.name} conductors`, conductorList(answer?.circuits ?? []));
  };
  const archive = () => {
    const { archived: _before, ...boat } = job.boat;
    drafts.replace(draft.id, { ...job, boat: archived ? boat : { ...boat, archived: true } });
    sayChange(draft.id, archived ? `${boat.name} is in the yard again` : `${boat.name} was put away`);
  };
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, justifyContent: 'center' }}>
      <BigButton mode="outlined" icon="file-export-outline" label="Export the job file" onPress={() => exportJob(job)}>
        Job file
      </BigButton>
      <BigButton
        mode="outlined"
        icon="file-delimited-outline"
        label="Export the conductor list"
        onPress={() => void exportList()}
      >
        Conductor list
      </BigButton>
      <BigButton mode="outlined" icon="content-copy" label="Duplicate this boat" onPress={duplicate}>
        Duplicate
      </BigButton>
      <BigButton
        mode="outlined"
        icon={archived ? 'archive-arrow-up-outline' : 'archive-arrow-down-outline'}
        label={archived ? 'Back into the yard' : 'Put this boat away'}
        onPress={archive}
      >
        {archived ? 'Back into the yard' : 'Put away'}
      </BigButton>
      <BigButton mode="text" icon="delete-outline" onPress={remove}>
        Remove this boat
      </BigButton>
    </View>
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
