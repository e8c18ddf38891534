import { fieldInWords, valueInWords, type Job } from '@harbor-latch/core/job/index';
import type { Sitting } from '@harbor-latch/core/wire/index';
import { format, isSameDay } from 'date-fns';
import { zodResolver } from '@hookform/resolvers/zod';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { z } from 'zod';
import { useBoat, useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { useNameVersion, useVersion, useVersions } from '../../data/versions';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { DialogField } from '../../ui/DialogField';
import { Empty } from '../../ui/Empty';
import { Icon } from '../../ui/Icon';
import { ModalDialog } from '../../ui/ModalDialog';
import { PressRow } from '../../ui/PressRow';
import { useSay } from '../../ui/Said';
import { Screen } from '../../ui/Screen';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { Absent } from '../../saving/Absent';
import { Differences } from '../../saving/Differences';
import { useSayChange } from '../../useSayChange';

/** Every version a boat has, one a sitting, with what each changed, and the way back to any. */
export function VersionsScreen() {
  const { boatId } = useLocalSearchParams<{ boatId: string }>();
  const { draft, yard } = useBoat(boatId);
  return draft ? <Versions draft={draft} /> : <Absent yard={yard} what="boat" back="/" />;
}

function Versions({ draft }: { readonly draft: Draft }) {
  const palette = usePalette();
  const [open, setOpen] = useState<number | null>(null);
  const { data, isPending, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useVersions(
    draft.id,
    draft.basedOn,
  );
  const all = data?.pages.flat() ?? [];
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
      {error && all.length === 0 ? (
        <Empty
          icon="cloud-off-outline"
          title="The versions are on the server"
          action={<BigButton onPress={() => void refetch()}>Try again</BigButton>}
        >
          It cannot be reached just now.
        </Empty>
      ) : null}
      {error && all.length > 0 ? (
        <Words kind="small" muted role="status">
          The server cannot be reached: these are the versions as this device last saw them.
        </Words>
      ) : null}
      {all.length > 0 ? (
        <>
          <Card>
            {all.map((sitting, index) => {
              const { version } = sitting;
              const shown = open === version;
              return (
                <View key={version} style={{ borderTopWidth: index === 0 ? 0 : 1, borderColor: palette.line }}>
                  <PressRow
                    label={`Version ${version}, ${whenOf(sitting)}${sitting.savedBy ? `, by ${sitting.savedBy}` : ''}`}
                    expanded={shown}
                    onPress={() => setOpen(shown ? null : version)}
                    style={{ flexDirection: 'row', alignItems: 'center', padding: 14, gap: 10 }}
                  >
                    <OneLine sitting={sitting} current={version === draft.basedOn} job={draft.job} />
                    <Icon name={shown ? 'chevron-up' : 'chevron-down'} size={24} color={palette.muted} />
                  </PressRow>
                  {shown ? <OneVersion draft={draft} sitting={sitting} /> : null}
                </View>
              );
            })}
          </Card>
          {hasNextPage ? (
            <View style={{ alignItems: 'center' }}>
              <BigButton mode="outlined" onPress={() => (isFetchingNextPage ? undefined : void fetchNextPage())}>
                {isFetchingNextPage ? 'Loading' : 'Older versions'}
              </BigButton>
            </View>
          ) : null}
          <Words kind="small" muted>
            A version is what one person changed at one sitting. All of the last thirty days are kept; of older ones the
            last of each day and person, and those with a name or a reason to stay.
          </Words>
        </>
      ) : null}
    </Screen>
  );
}

/** "28 Nov 2026, 14:02 to 14:31". */
function whenOf({ beganAt, savedAt }: Sitting): string {
  const [from, to] = [new Date(beganAt), new Date(savedAt)];
  const day = format(from, 'd MMM yyyy, HH:mm');
  if (to.getTime() - from.getTime() < 60_000) return day;
  return `${day} to ${format(to, isSameDay(from, to) ? 'HH:mm' : 'd MMM, HH:mm')}`;
}

const whyKept = {
  restored: 'Restored from an earlier version',
  named: 'Named',
  conflict: 'Lost against another copy',
  proved: 'Proved',
} as const;

const MOST_TOLD = 3;

/** A version in a few lines: when, who, and what it changed. */
function OneLine({
  sitting,
  current,
  job,
}: {
  readonly sitting: Sitting;
  readonly current: boolean;
  readonly job: Job;
}) {
  const units = useUnits();
  const { version, name, kept, savedBy, changes, moreChanges, first } = sitting;
  const more = moreChanges + Math.max(0, changes.length - MOST_TOLD);
  const marks = [kept && kept !== 'named' ? whyKept[kept] : null, current ? 'the current one' : null].filter(Boolean);
  return (
    <View style={{ flex: 1, minWidth: 0, gap: 2 }}>
      <Words kind="strong">{[name ?? `Version ${version}`, ...marks].join(', ')}</Words>
      <Words kind="small" muted>
        {[whenOf(sitting), savedBy].filter(Boolean).join(' · ')}
      </Words>
      {first ? <Words kind="small">The first version there is</Words> : null}
      {changes.slice(0, MOST_TOLD).map(({ path, before, after }) => (
        <Words kind="small" key={path.join('/')} numberOfLines={2}>
          {`${fieldInWords(path, [job])}: ${valueInWords(path, before, units)} → ${valueInWords(path, after, units)}`}
        </Words>
      ))}
      {more > 0 ? <Words kind="small" muted>{`and ${more} more`}</Words> : null}
    </View>
  );
}

function OneVersion({ draft, sitting }: { readonly draft: Draft; readonly sitting: Sitting }) {
  const drafts = useDrafts();
  const sayChange = useSayChange();
  const [naming, setNaming] = useState(false);
  const { version } = sitting;
  const { data, isPending, error } = useVersion(draft.id, version);
  if (isPending) return <ActivityIndicator style={{ margin: 16 }} accessibilityLabel="Loading the version" />;
  if (error) return <Words style={{ padding: 14 }}>This version cannot be reached just now. Try again later.</Words>;
  const restore = () => {
    drafts.replace(draft.id, data.job, 'restored');
    sayChange(draft.id, `Version ${version} restored`);
  };
  return (
    <View style={{ padding: 14, paddingTop: 0, gap: 12 }}>
      <Words kind="small" muted>
        From that version to now:
      </Words>
      <Differences before={data.job} after={draft.job} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <BigButton mode="outlined" icon="history" onPress={restore}>
          {`Restore version ${version}`}
        </BigButton>
        <BigButton mode="outlined" icon="bookmark-outline" onPress={() => setNaming(true)}>
          Name and keep
        </BigButton>
      </View>
      {naming ? <NameDialog boatId={draft.id} sitting={sitting} onClose={() => setNaming(false)} /> : null}
    </View>
  );
}

/** Names a version, so that it stays. */
function NameDialog({
  boatId,
  sitting,
  onClose,
}: {
  readonly boatId: string;
  readonly sitting: Sitting;
  readonly onClose: () => void;
}) {
  const say = useSay();
  const naming = useNameVersion(boatId);
  const { control, handleSubmit } = useForm({
    resolver: zodResolver(z.object({ name: z.string().trim().min(1, { error: 'Say what it is called.' }).max(80) })),
    defaultValues: { name: sitting.name ?? '' },
  });
  const keep = () =>
    void handleSubmit(({ name }) =>
      naming.mutate(
        { version: sitting.version, name },
        {
          onSuccess: () => {
            say(`Version ${sitting.version} is kept as “${name}”`);
            onClose();
          },
        },
      ),
    )();
  return (
    <ModalDialog title={`Name version ${sitting.version}`} action="Keep" onAction={keep} onClose={onClose}>
      <DialogField
        control={control}
        name="name"
        label="Name of the version"
        hint="As found, before the refit …"
        onSubmit={keep}
        autoFocus
      />
      <Words kind="small">
        {naming.error ? `It was not kept: ${naming.error.message}` : 'A version with a name is never thinned out.'}
      </Words>
    </ModalDialog>
  );
}
