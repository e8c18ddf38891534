import { newJob, type Job } from '@harbor-latch/core/job/index';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ActivityIndicator } from 'react-native-paper';
import { useLines } from '../../data/assessment';
import { useDrafts, useYard } from '../../data/boats';
import { ActionBar } from '../../ui/ActionBar';
import { BigButton } from '../../ui/BigButton';
import { Empty } from '../../ui/Empty';
import { Notice } from '../../ui/Notice';
import { Screen } from '../../ui/Screen';
import { useShortcut } from '../../ui/Shortcuts';
import { ToolButton } from '../../ui/ToolButton';
import { Words } from '../../ui/Words';
import { BoatCard } from './BoatCard';
import { FindBar } from './FindBar';
import { foundIn, type Finding } from './find';
import { NewBoatDialog, type NewBoat } from './NewBoatDialog';
import { ImportNotice, useImport } from './useImport';

/** All boats, and the way to add one. */
export function YardScreen() {
  const yard = useYard();
  const drafts = useDrafts();
  const router = useRouter();
  const [naming, setNaming] = useState(false);
  const [finding, setFinding] = useState<Finding>({ text: '', order: 'worst', archived: false });
  const jobs = useMemo(() => yard.boats.map(({ job }) => job), [yard.boats]);
  const lines = useLines(jobs);
  const shown = useMemo(() => foundIn(yard.boats, finding, lines), [yard.boats, finding, lines]);
  const put = yard.boats.filter(({ job }) => job.boat.archived).length;
  const importing = useImport();
  useShortcut({ keys: 'n', shown: 'N', does: 'Add a boat' }, () => setNaming(true));
  const add = ({ name, hullLengthM }: NewBoat) => {
    const job: Job = newJob({ boatId: crypto.randomUUID(), batteryId: crypto.randomUUID() }, name, hullLengthM);
    drafts.add(job);
    setNaming(false);
    router.navigate(`/boat/${job.boat.id}`);
  };
  return (
    <Screen
      title="Yard"
      under={
        <Words kind="small" muted>
          Harbor Latch
        </Words>
      }
      actions={
        <>
          <ToolButton
            icon="book-open-variant"
            label="Tables, rules and cautions"
            onPress={() => router.navigate('/reference')}
          />
          <ToolButton icon="cog-outline" label="Settings" onPress={() => router.navigate('/settings')} />
        </>
      }
      footer={
        <ActionBar>
          <BigButton icon="plus" onPress={() => setNaming(true)}>
            Add a boat
          </BigButton>
          <BigButton icon="file-import-outline" mode="outlined" onPress={importing.choose}>
            Import a file
          </BigButton>
        </ActionBar>
      }
    >
      {yard.away ? (
        <Notice
          tone="caution"
          icon="cloud-off-outline"
          actions={
            <BigButton mode="outlined" onPress={yard.retry}>
              Try again
            </BigButton>
          }
        >
          {yard.boats.length > 0
            ? 'The server is away. You see what this device holds; changes are kept here and saved later.'
            : 'The server is away, and this device holds no boats yet.'}
        </Notice>
      ) : null}
      <ImportNotice importing={importing} />
      {yard.loading && yard.boats.length === 0 ? (
        <ActivityIndicator style={{ marginTop: 64 }} accessibilityLabel="Loading the boats" />
      ) : null}
      {!yard.loading && !yard.away && yard.boats.length === 0 ? (
        <Empty icon="sail-boat" title="No boats yet">
          Add a boat and measure its first bilge-pump circuit: four figures give a first answer.
        </Empty>
      ) : null}
      {yard.boats.length > 0 ? <FindBar finding={finding} onFinding={setFinding} put={put} /> : null}
      {yard.boats.length > 0 && shown.length === 0 ? (
        <Empty icon="magnify" title="No boat like that">
          {finding.archived ? 'None is put away under this name.' : 'Look among those put away, or search for less.'}
        </Empty>
      ) : null}
      {shown.map((draft) => (
        <BoatCard key={draft.id} draft={draft} summary={lines.get(draft.id)} />
      ))}
      {naming ? (
        <NewBoatDialog
          taken={yard.boats.map(({ job }) => job.boat.name)}
          onBoat={add}
          onClose={() => setNaming(false)}
        />
      ) : null}
    </Screen>
  );
}
