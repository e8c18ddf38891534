import { dueEvents } from '@harbor-latch/core/documents/dueEvents';
import { dueOf, routines, type Due } from '@harbor-latch/core/log/routine';
import { standing } from '@harbor-latch/core/records/known';
import { pumpCircuits } from '@harbor-latch/core/schemes/index';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { useYard } from '../../data/boats';
import { exportCalendar } from '../../data/exportCalendar';
import { useYardOnDevice } from '../../data/yardOnDevice';
import type { RecordRow } from '../../device/rows';
import { dueWords } from '../../records/dueWords';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Empty } from '../../ui/Empty';
import { PressRow } from '../../ui/PressRow';
import { Screen } from '../../ui/Screen';
import { StandingBadge } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { YardAlarms, type LoggedBoat } from './YardAlarms';

type Reach = 'now' | 'fortnight' | 'all';
const reaches = [
  { value: 'now', label: 'Now' },
  { value: 'fortnight', label: 'In two weeks' },
  { value: 'all', label: 'All' },
] as const;
const FORTNIGHT_MS = 14 * 86_400_000;
const MOST = 60;

interface YardDue extends Due {
  readonly boat: string;
  readonly boatName: string;
  readonly circuitName: string | null;
}

/** What is due over the whole yard, the earliest first, and what is out of the usual in its logs. */
export function DueScreen() {
  const router = useRouter();
  const palette = usePalette();
  const yard = useYard();
  const { aboard } = useYardOnDevice();
  const written = useSyncExternalStore(aboard.subscribe, () => aboard.recordsWritten);
  const [rows, setRows] = useState<readonly RecordRow[] | null>(null);
  const [reach, setReach] = useState<Reach>('fortnight');
  const [nowMs] = useState(() => Date.now());
  useEffect(() => {
    let wanted = true;
    void aboard.records(null).then((all) => (wanted ? setRows(all) : undefined));
    return () => {
      wanted = false;
    };
  }, [aboard, written]);
  const boats = useMemo(() => {
    const of = new Map<string, RecordRow[]>();
    for (const row of rows ?? []) of.set(row.boat, [...(of.get(row.boat) ?? []), row]);
    return yard.boats.flatMap(({ id, line, job }): LoggedBoat[] => {
      const own = of.get(id);
      if (!job || !own || line.archived) return [];
      return [{ name: line.name, job, entries: standing(own.map(({ signed }) => signed.entry)) }];
    });
  }, [rows, yard.boats]);
  const due = useMemo(
    () =>
      boats
        .flatMap(({ name, job, entries }) =>
          dueOf({ entries, circuits: pumpCircuits(job).map(({ id }) => id), kept: job.boat.kept }).map(
            (one): YardDue => ({
              ...one,
              boat: job.boat.id,
              boatName: name,
              circuitName: job.circuits.find((circuit) => circuit.id === one.circuit)?.name ?? null,
            }),
          ),
        )
        .sort((a, b) => a.dueMs - b.dueMs),
    [boats],
  );
  const until = reach === 'now' ? nowMs : reach === 'fortnight' ? nowMs + FORTNIGHT_MS : Infinity;
  const shown = due.filter(({ dueMs }) => dueMs <= until);
  const whose = ({ boatName, circuitName }: YardDue) =>
    circuitName === null ? boatName : `${boatName}, ${circuitName}`;
  const calendar = () =>
    void exportCalendar(
      'Yard',
      dueEvents(shown, (one) => whose(one as YardDue), nowMs),
      'due',
    );
  return (
    <Screen
      title="Due"
      back="/"
      under={
        <Words kind="small" muted>
          Over the whole yard
        </Words>
      }
    >
      <YardAlarms boats={boats} nowMs={nowMs} />
      <ChoiceRow label="How far ahead" choices={reaches} value={reach} onChoose={setReach} />
      {rows === null ? (
        <Words role="status" muted>
          Reading the logs …
        </Words>
      ) : shown.length === 0 ? (
        <Empty icon="check" title="Nothing is due">
          {due.length === 0
            ? 'A boat’s calendar begins when one of her circuits is proved, or with the first entry of her log.'
            : 'Look further ahead.'}
        </Empty>
      ) : (
        <Card>
          {shown.slice(0, MOST).map((one, index) => {
            const look = dueWords(one.dueMs, nowMs);
            return (
              <PressRow
                key={`${one.boat} ${one.routine} ${one.circuit ?? ''}`}
                role="link"
                label={`${routines[one.routine].name}, ${whose(one)}: ${look.word}`}
                onPress={() => router.navigate(`/boat/${one.boat}/log`)}
                style={{
                  flexDirection: 'row',
                  flexWrap: 'wrap',
                  alignItems: 'center',
                  gap: 8,
                  padding: 14,
                  borderTopWidth: index === 0 ? 0 : 1,
                  borderColor: palette.line,
                }}
              >
                <View style={{ flex: 1, minWidth: 160 }}>
                  <Words kind="strong">{routines[one.routine].name}</Words>
                  <Words kind="small">{whose(one)}</Words>
                </View>
                <StandingBadge standing={look.standing} word={look.word} />
              </PressRow>
            );
          })}
        </Card>
      )}
      {shown.length > MOST ? <Words kind="small" muted>{`And ${shown.length - MOST} more.`}</Words> : null}
      {shown.length > 0 ? (
        <View style={{ alignItems: 'flex-start' }}>
          <BigButton mode="outlined" icon="calendar-export" onPress={calendar}>
            Into the calendar
          </BigButton>
        </View>
      ) : null}
    </Screen>
  );
}
