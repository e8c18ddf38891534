import type { BoatSummary } from '@harbor-latch/core/assess/summary';
import type { Standing } from '@harbor-latch/core/assess/standing';
import type { ExampleBoatKey } from '@harbor-latch/core/schemes/exampleBoats';
import { useRouter } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { FlatList } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useLines } from '../../data/assessment';
import { judgedIn, useYard, type YardBoat } from '../../data/boats';
import { useUnits } from '../../data/settings';
import { ReleaseNotice } from '../../saving/ReleaseNotice';
import { UnreadNotice } from '../../saving/UnreadNotice';
import { WaitingNotice } from '../../saving/WaitingNotice';
import { ActionBar } from '../../ui/ActionBar';
import { BigButton } from '../../ui/BigButton';
import { Empty } from '../../ui/Empty';
import { Notice } from '../../ui/Notice';
import { pageContent, Screen } from '../../ui/Screen';
import { useShortcut } from '../../ui/Shortcuts';
import { useNextPage } from '../../ui/nextPage';
import { DialogComing, lazily, PartComing } from '../../ui/lazily';
import { ToolButton } from '../../ui/ToolButton';
import { Words } from '../../ui/Words';
import { BoatCard } from './BoatCard';
import { FindBar } from './FindBar';
import { foundIn, type Finding } from './find';
import type { FirstBoatProps } from './FirstBoat';
import type { NewBoatProps } from './NewBoatDialog';
import { ImportNotice, useImport } from './useImport';

/** What makes a boat is not part of the first screen. */
const NewBoatDialog = lazily<NewBoatProps>(
  () => import('../laterPages').then(({ NewBoatDialog: dialog }) => dialog),
  DialogComing,
);
const FirstBoat = lazily<FirstBoatProps>(
  () => import('../laterPages').then(({ FirstBoat: examples }) => examples),
  PartComing,
);

/** A yard of more boats is folded to a line each until one is opened. */
const MOST_OPEN = 12;
/** So many boats are laid out at first; the others as one comes near. */
const FIRST_BOATS = 8;

/** Where the boat is that was opened last of those shown, or the first of them; only what is on this device is made ready. */
function likelyBoat(shown: readonly YardBoat[]): string | null {
  const here = shown.filter(({ job }) => job !== null);
  const [first, ...others] = here;
  if (!first) return null;
  return `/boat/${others.reduce((last, boat) => (boat.usedAt > last.usedAt ? boat : last), first).id}`;
}

const everything: Finding = { text: '', order: 'worst', archived: false, standing: null };

/** All boats, and the way to add one. */
export function YardScreen() {
  const yard = useYard();
  const router = useRouter();
  const [naming, setNaming] = useState<{ readonly first: ExampleBoatKey | null } | null>(null);
  const [finding, setFinding] = useState<Finding>(everything);
  const { isOpen, folded, foldAll, setOpen } = useFolding(yard.boats.length > MOST_OPEN);
  const lines = useStandings(yard.boats);
  const shown = useMemo(() => foundIn(yard.boats, finding, lines), [yard.boats, finding, lines]);
  const count = useMemo(() => {
    const counts = new Map<Standing, number>();
    for (const { id } of foundIn(yard.boats, { ...finding, standing: null }, lines)) {
      const standing = lines.get(id)?.standing;
      if (standing) counts.set(standing, (counts.get(standing) ?? 0) + 1);
    }
    return counts;
  }, [yard.boats, finding, lines]);
  useNextPage(useMemo(() => likelyBoat(shown), [shown]));
  const put = yard.boats.filter(({ line }) => line.archived).length;
  const importing = useImport();
  useShortcut({ keys: 'n', shown: 'N', does: 'Add a boat' }, () => setNaming({ first: null }));
  const empty = !yard.loading && !yard.away && yard.boats.length === 0;
  return (
    <Screen
      title="Yard"
      scroll={false}
      under={
        <Words kind="small" muted>
          Harbor Latch
        </Words>
      }
      actions={
        <>
          <ToolButton icon="timer" label="What is due" onPress={() => router.navigate('/due')} />
          <ToolButton
            icon="package-variant"
            label="Stock and what to order"
            onPress={() => router.navigate('/stock')}
          />
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
          <BigButton icon="plus" onPress={() => setNaming({ first: null })}>
            Add a boat
          </BigButton>
          <BigButton icon="file-import-outline" mode="outlined" onPress={importing.choose}>
            Import a file
          </BigButton>
        </ActionBar>
      }
    >
      <FlatList
        data={shown}
        keyExtractor={({ id }) => id}
        initialNumToRender={FIRST_BOATS}
        windowSize={7}
        style={{ flex: 1 }}
        contentContainerStyle={pageContent}
        ListHeaderComponentStyle={{ gap: 12 }}
        ListHeaderComponent={
          <>
            <ReleaseNotice />
            <UnreadNotice />
            <WaitingNotice yard={yard} boats={yard.boats.length} />
            {yard.error === null ? null : <Refused message={yard.error} onRetry={yard.retry} />}
            <ImportNotice importing={importing} />
            {yard.loading && yard.boats.length === 0 ? (
              <ActivityIndicator style={{ marginTop: 64 }} accessibilityLabel="Loading the boats" />
            ) : null}
            {empty ? <EmptyYard onExample={(first) => setNaming({ first })} /> : null}
            {yard.boats.length > 0 ? (
              <FindBar
                finding={finding}
                onFinding={setFinding}
                put={put}
                count={count}
                folded={folded}
                onFold={foldAll}
              />
            ) : null}
            {yard.boats.length > 0 && shown.length === 0 ? (
              <Empty
                icon="magnify"
                title="No boat like that"
                action={
                  <BigButton mode="outlined" onPress={() => setFinding(everything)}>
                    Show all of them
                  </BigButton>
                }
              >
                {finding.archived
                  ? 'None is put away under this name.'
                  : 'Look among those put away, or search for less.'}
              </Empty>
            ) : null}
          </>
        }
        renderItem={({ item }: { readonly item: YardBoat }) => (
          <BoatCard
            boat={item}
            marked={!yard.whole}
            summary={lines.get(item.id)}
            open={isOpen(item.id)}
            onOpen={setOpen}
          />
        )}
      />
      {naming ? (
        <NewBoatDialog
          taken={yard.boats.map(({ line }) => line.name)}
          first={naming.first}
          onClose={() => setNaming(null)}
        />
      ) : null}
    </Screen>
  );
}

/** How each boat stands: as the server judged her, or as this device does where she was changed since. */
function useStandings(boats: readonly YardBoat[]): ReadonlyMap<string, BoatSummary> {
  const units = useUnits();
  const own = useMemo(() => boats.flatMap((boat) => (boat.judged || !boat.job ? [] : [boat.job])), [boats]);
  const judgedHere = useLines(own);
  return useMemo(
    () =>
      new Map(
        boats.flatMap((boat) => {
          const summary = judgedIn(boat, units) ?? judgedHere.get(boat.id);
          return summary ? [[boat.id, summary] as const] : [];
        }),
      ),
    [boats, judgedHere, units],
  );
}

/** Which boats are open: all or none of them, and those that were opened or folded by themselves since. */
function useFolding(many: boolean) {
  const [chosen, setChosen] = useState<boolean | null>(null);
  const [others, setOthers] = useState<ReadonlyMap<string, boolean>>(new Map());
  const folded = chosen ?? many;
  const setOpen = useCallback((id: string, open: boolean) => setOthers((before) => new Map(before).set(id, open)), []);
  return {
    folded,
    isOpen: (id: string) => others.get(id) ?? !folded,
    setOpen,
    foldAll: (all: boolean) => {
      setChosen(all);
      setOthers(new Map());
    },
  };
}

/** What the server says where it does not hand out the yard. */
function Refused({ message, onRetry }: { readonly message: string; readonly onRetry: () => void }) {
  return (
    <Notice
      tone="stop"
      icon="alert-octagon"
      actions={
        <BigButton mode="outlined" onPress={onRetry}>
          Try again
        </BigButton>
      }
    >
      {`The server does not hand out the yard: ${message} You see what this device holds.`}
    </Notice>
  );
}

/** A yard without boats: what it waits for, and a first boat of one's own kind of craft at a touch. */
function EmptyYard({ onExample }: { readonly onExample: (example: ExampleBoatKey) => void }) {
  return (
    <Empty icon="sail-boat" title="No boats yet" action={<FirstBoat onExample={onExample} />}>
      Add a boat and measure her first bilge-pump circuit: four figures give a first answer. Or begin from a worked
      example of your kind of craft, every figure marked as an estimate until you measure it:
    </Empty>
  );
}
