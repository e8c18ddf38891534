import { newJob, type Job } from '@harbor-latch/core/job/index';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { ActivityIndicator, IconButton } from 'react-native-paper';
import { useDrafts, useYard } from '../../data/boats';
import { BigButton } from '../../ui/BigButton';
import { Empty } from '../../ui/Empty';
import { NameDialog } from '../../ui/NameDialog';
import { Notice } from '../../ui/Notice';
import { Screen } from '../../ui/Screen';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { BoatCard } from './BoatCard';
import { ImportNotice, useImport } from './useImport';

/** All boats, and the way to add one. */
export function YardScreen() {
  const yard = useYard();
  const drafts = useDrafts();
  const router = useRouter();
  const palette = usePalette();
  const [naming, setNaming] = useState(false);
  const importing = useImport();
  const add = (name: string) => {
    const job: Job = newJob({ boatId: crypto.randomUUID(), batteryId: crypto.randomUUID() }, name);
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
        <IconButton
          icon="cog-outline"
          size={26}
          style={{ width: 48, height: 48 }}
          accessibilityLabel="Settings"
          onPress={() => router.navigate('/settings')}
        />
      }
      footer={
        <View
          style={{
            backgroundColor: palette.surface,
            borderTopWidth: 1,
            borderColor: palette.line,
            padding: 10,
            flexDirection: 'row',
            justifyContent: 'center',
            gap: 10,
          }}
        >
          <BigButton icon="plus" onPress={() => setNaming(true)}>
            Add a boat
          </BigButton>
          <BigButton icon="file-import-outline" mode="outlined" onPress={importing.choose}>
            Import a file
          </BigButton>
        </View>
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
      {yard.boats.map((draft) => (
        <BoatCard key={draft.id} draft={draft} />
      ))}
      {naming ? (
        <NameDialog
          title="Add a boat"
          label="Name of the boat"
          action="Add"
          onName={add}
          onClose={() => setNaming(false)}
        />
      ) : null}
    </Screen>
  );
}
