import { format } from 'date-fns';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useBoat, useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useVersion, useVersions } from '../../data/versions';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Empty } from '../../ui/Empty';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { useSay } from '../../ui/Said';
import { Screen } from '../../ui/Screen';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { Absent } from '../../saving/Absent';
import { Differences } from '../../saving/Differences';

/** Every version a boat ever had, what changed since, and the way back to any. */
export function VersionsScreen() {
  const { boatId } = useLocalSearchParams<{ boatId: string }>();
  const { draft, yard } = useBoat(boatId);
  return draft ? <Versions draft={draft} /> : <Absent yard={yard} what="boat" back="/" />;
}

function Versions({ draft }: { readonly draft: Draft }) {
  const palette = usePalette();
  const [open, setOpen] = useState<number | null>(null);
  const { data, isPending, error, refetch } = useVersions(draft.id, draft.basedOn);
  return (
    <Screen
      title="Versions"
      under={
        <Words kind="small" muted numberOfLines={1}>
          {draft.job.boat.name}
        </Words>
      }
      back={`/boat/${draft.id}`}
    >
      {isPending ? <ActivityIndicator style={{ marginTop: 48 }} accessibilityLabel="Loading the versions" /> : null}
      {error ? (
        <Empty
          icon="cloud-off-outline"
          title="The versions are on the server"
          action={<BigButton onPress={() => void refetch()}>Try again</BigButton>}
        >
          It cannot be reached just now.
        </Empty>
      ) : null}
      {data ? (
        <Card>
          {data.map(({ version, savedAt }, index) => (
            <View key={version} style={{ borderTopWidth: index === 0 ? 0 : 1, borderColor: palette.line }}>
              <PressRow
                label={`Version ${version}, ${format(new Date(savedAt), 'd MMM yyyy, HH:mm:ss')}`}
                expanded={open === version}
                onPress={() => setOpen(open === version ? null : version)}
                style={{ flexDirection: 'row', alignItems: 'center', padding: 14, gap: 10 }}
              >
                <View style={{ flex: 1, minWidth: 0 }}>
                  <Words kind="strong">{`Version ${version}${version === draft.basedOn ? ', the current one' : ''}`}</Words>
                  <Words kind="small" muted>
                    {format(new Date(savedAt), 'd MMM yyyy, HH:mm:ss')}
                  </Words>
                </View>
                <Icon name={open === version ? 'chevron-up' : 'chevron-down'} size={24} color={palette.muted} />
              </PressRow>
              {open === version ? <OneVersion draft={draft} version={version} /> : null}
            </View>
          ))}
        </Card>
      ) : null}
    </Screen>
  );
}

function OneVersion({ draft, version }: { readonly draft: Draft; readonly version: number }) {
  const drafts = useDrafts();
  const say = useSay();
  const { data, isPending, error } = useVersion(draft.id, version);
  if (isPending) return <ActivityIndicator style={{ margin: 16 }} accessibilityLabel="Loading the version" />;
  if (error) return <Words style={{ padding: 14 }}>This version cannot be reached just now. Try again later.</Words>;
  const restore = () => {
    drafts.replace(draft.id, data.job);
    say(`Version ${version} restored`, () => drafts.undo(draft.id));
  };
  return (
    <View style={{ padding: 14, paddingTop: 0, gap: 12 }}>
      <Words kind="small" muted>
        From that version to now:
      </Words>
      <Differences before={data.job} after={draft.job} />
      <View style={{ alignItems: 'flex-start' }}>
        <BigButton mode="outlined" icon="history" onPress={restore}>
          {`Restore version ${version}`}
        </BigButton>
      </View>
    </View>
  );
}
