import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { logTable } from '@harbor-latch/core/documents/logTable';
import { dueOf } from '@harbor-latch/core/log/routine';
import { loadOf } from '@harbor-latch/core/log/loadOf';
import { pumpCircuits } from '@harbor-latch/core/schemes/index';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { bundleOf, ServerAway } from '../../data/api';
import { useAssessment, useAssessments } from '../../data/assessment';
import { useBoat } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { exportTable } from '../../data/exportTable';
import { downloadBlob, fileName } from '../../data/files';
import { useUnits } from '../../data/settings';
import { useRecorder, useRecords } from '../../records/useRecords';
import { useEntryPhotographs } from '../../records/useEntryPhotographs';
import { Absent } from '../../saving/Absent';
import { ActionBar } from '../../ui/ActionBar';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { useSay } from '../../ui/Said';
import { Screen } from '../../ui/Screen';
import { ToolButton } from '../../ui/ToolButton';
import { ToolTabs } from '../../ui/ToolTabs';
import { Words } from '../../ui/Words';
import { AddEntryDialog, type NewEntry, type PartOfCircuit } from './AddEntryDialog';
import { DuePanel } from './DuePanel';
import { EntryDialog } from './EntryDialog';
import { LogList } from './LogList';
import { TrendsPanel } from './TrendsPanel';

type Tool = 'log' | 'due' | 'trends';
const tools: readonly { readonly key: Tool; readonly name: string }[] = [
  { key: 'log', name: 'Log' },
  { key: 'due', name: 'Due' },
  { key: 'trends', name: 'Trends' },
];

const ALL = 'all';

/** The log of a boat: what was done and read, what is due, and what it shows over time. */
export function LogScreen() {
  const { boatId, tool, circuit } = useLocalSearchParams<{ boatId: string; tool?: string; circuit?: string }>();
  const { draft, yard } = useBoat(boatId);
  const first = tools.find(({ key }) => key === tool)?.key ?? 'log';
  return draft ? (
    <Log key={`${first} ${circuit ?? ''}`} draft={draft} first={first} of={circuit ?? ALL} />
  ) : (
    <Absent yard={yard} what="boat" back="/" />
  );
}

function Log({
  draft,
  first,
  of,
}: {
  readonly draft: Draft;
  /** What of it is shown first, and of which circuit. */
  readonly first: Tool;
  readonly of: string;
}) {
  const { job } = draft;
  const router = useRouter();
  const say = useSay();
  const units = useUnits();
  const assessments = useAssessments();
  const { rows, entries, refused, ready } = useRecords(job.boat.id);
  const record = useRecorder(job.boat);
  const photographs = useEntryPhotographs(draft);
  const [tool, setTool] = useState<Tool>(first);
  const [circuit, setCircuit] = useState<string>(of);
  const [opened, setOpened] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const [nowMs] = useState(() => Date.now());
  const circuits = useMemo(() => job.circuits.map(({ id, name }) => ({ id, name })), [job.circuits]);
  const pumps = useMemo(() => pumpCircuits(job).map(({ id }) => id), [job]);
  const [only] = pumps;
  const own = circuit !== ALL ? circuit : tool === 'trends' || job.circuits.length === 1 ? (only ?? null) : null;
  const { known } = useAssessment(job);
  const load = useMemo(
    () =>
      loadOf(
        job,
        known?.circuits.find((one) => one.circuit.id === own),
      ),
    [job, known, own],
  );
  const due = useMemo(
    () =>
      dueOf({ entries, circuits: pumps, kept: job.boat.kept }).filter(
        (one) => own === null || one.circuit === null || one.circuit === own,
      ),
    [entries, pumps, job.boat.kept, own],
  );
  const shown = opened === null ? undefined : rows.find(({ id }) => id === opened);
  const takeBack = (entry: string, of: string | null) => void record('withdrawn', of, { entry });
  const add = async (entry: NewEntry) => {
    setAdding(false);
    const kept = entry.kind === 'repair' ? await withTests(entry) : entry;
    const row = await record(kept.kind, kept.circuit, kept.body as never);
    say('Into the log', () => takeBack(row.id, entry.circuit));
  };
  const withTests = async (entry: Extract<NewEntry, { kind: 'repair' }>) => {
    if (entry.circuit === null) return entry;
    const testsDue = await assessments
      .touched({ job, circuitId: entry.circuit, units, at: entry.body.at })
      .catch((): string[] => []);
    return { ...entry, body: { ...entry.body, testsDue: [...testsDue] } };
  };
  const asTable = () =>
    exportTable(
      `${job.boat.name} log`,
      logTable(
        rows.map(({ signed: { entry }, link }) => ({ entry, number: link?.number ?? null })),
        (id) => circuits.find((one) => one.id === id)?.name ?? id,
      ),
    );
  const asBundle = async () => {
    try {
      downloadBlob(`${fileName(job.boat.name, 'boat')}.zip`, await bundleOf(job.boat.id));
    } catch (error) {
      say(
        error instanceof ServerAway
          ? 'The records with the yard’s seal come from the server: try again with a signal.'
          : `They could not be brought. ${error instanceof Error ? error.message : ''}`,
      );
    }
  };
  return (
    <Screen
      title="Log"
      back={`/boat/${draft.id}`}
      under={
        <Words kind="small" muted>
          {job.boat.name}
        </Words>
      }
      actions={
        <>
          <ToolButton icon="table-arrow-down" label="Export the log as a table" onPress={asTable} />
          <ToolButton
            icon="file-export-outline"
            label="Export boat and records as one file"
            onPress={() => void asBundle()}
          />
        </>
      }
      footer={
        <ActionBar>
          <BigButton icon="plus" onPress={() => setAdding(true)}>
            Add an entry
          </BigButton>
          <BigButton
            icon="camera-plus-outline"
            mode="outlined"
            onPress={() => photographs.choose((ids) => void record('photograph', own, { photographs: ids }))}
          >
            Photograph
          </BigButton>
        </ActionBar>
      }
    >
      <Card>
        <View style={{ flexDirection: 'row' }}>
          <ToolTabs label="What of the log" tools={tools} chosen={tool} onChoose={setTool} />
        </View>
      </Card>
      {circuits.length > 1 ? (
        <ChoiceRow
          label="Which circuit"
          choices={[
            ...(tool === 'trends' ? [] : [{ value: ALL, label: 'All' }]),
            ...circuits
              .filter(({ id }) => tool !== 'trends' || pumps.includes(id))
              .map(({ id, name }) => ({ value: id, label: name })),
          ]}
          value={own ?? ALL}
          onChoose={setCircuit}
        />
      ) : null}
      {!ready ? (
        <Words role="status" muted>
          Reading the log …
        </Words>
      ) : null}
      {ready && tool === 'log' ? (
        <LogList rows={rows} circuits={circuits} circuit={own} refused={refused} onOpen={({ id }) => setOpened(id)} />
      ) : null}
      {ready && tool === 'due' ? (
        <DuePanel job={job} due={due} entries={entries} nowMs={nowMs} record={record} />
      ) : null}
      {ready && tool === 'trends' && own !== null ? (
        <TrendsPanel
          entries={entries}
          circuit={own}
          load={load}
          onOpen={setOpened}
          onTrace={() => router.navigate(`/boat/${draft.id}/${own}/trace`)}
        />
      ) : null}
      {tool === 'log' ? (
        <View style={{ alignItems: 'flex-start' }}>
          <BigButton mode="text" onPress={() => router.navigate('/check')}>
            Check a file of records
          </BigButton>
        </View>
      ) : null}
      {shown ? (
        <EntryDialog
          row={shown}
          refused={refused.get(shown.id) ?? null}
          withdrawn={shown.signed.entry.kind === 'withdrawn' || !entries.some(({ id }) => id === shown.id)}
          onWithdraw={() => {
            setOpened(null);
            takeBack(shown.id, shown.signed.entry.circuit);
            say('Taken back');
          }}
          onClose={() => setOpened(null)}
        />
      ) : null}
      {adding ? (
        <AddEntryDialog
          circuit={own ?? only ?? null}
          parts={mendable(known?.circuits.find((one) => one.circuit.id === (own ?? only)))}
          onEntry={(entry) => void add(entry)}
          onClose={() => setAdding(false)}
        />
      ) : null}
    </Screen>
  );
}

/** What can be mended of a circuit: the parts and conductors of its plan. */
function mendable(assessed: AssessedCircuit | undefined): readonly PartOfCircuit[] {
  if (!assessed || assessed.status === 'incomplete') return [];
  return [
    ...assessed.plan.parts.map(({ part, name }) => ({ id: part.id, name })),
    ...assessed.plan.conductors.map(({ id, name }) => ({ id, name: `Conductor: ${name}` })),
  ];
}
