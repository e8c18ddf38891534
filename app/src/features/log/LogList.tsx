import { entryInWords } from '@harbor-latch/core/records/known';
import { isKnownKind, recordKinds } from '@harbor-latch/core/records/kinds/index';
import { format } from 'date-fns';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { RecordRow } from '../../device/rows';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Empty } from '../../ui/Empty';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { iconOf, logFilters, type LogFilter } from './logKinds';

const FIRST = 30;
const filters = (Object.keys(logFilters) as LogFilter[]).map((value) => ({ value, label: logFilters[value].name }));

/** The entries of a boat, newest first, by kind and circuit. */
export function LogList({
  rows,
  circuits,
  circuit,
  refused,
  onOpen,
}: {
  readonly rows: readonly RecordRow[];
  readonly circuits: readonly { readonly id: string; readonly name: string }[];
  /** The circuit asked for; null: all of the boat. */
  readonly circuit: string | null;
  readonly refused: ReadonlyMap<string, string>;
  readonly onOpen: (row: RecordRow) => void;
}) {
  const palette = usePalette();
  const [filter, setFilter] = useState<LogFilter>('all');
  const [most, setMost] = useState(FIRST);
  const shown = useMemo(() => {
    const kinds: readonly string[] | null = logFilters[filter].kinds;
    return rows
      .filter(({ signed: { entry } }) => kinds === null || kinds.includes(entry.kind))
      .filter(({ signed: { entry } }) => circuit === null || entry.circuit === circuit || entry.circuit === null)
      .sort((a, b) => (a.signed.entry.madeAt < b.signed.entry.madeAt ? 1 : -1));
  }, [rows, filter, circuit]);
  const gone = useMemo(
    () =>
      new Set(
        rows.flatMap(({ signed: { entry } }) => (entry.kind === 'withdrawn' ? [String(entry.body['entry'])] : [])),
      ),
    [rows],
  );
  const nameOf = (id: string | null) =>
    id === null ? 'Boat' : (circuits.find((one) => one.id === id)?.name ?? 'A circuit that is no more');
  return (
    <>
      <ChoiceRow label="Which entries" choices={filters} value={filter} onChoose={setFilter} />
      {shown.length === 0 ? (
        <Empty icon="clipboard-list-outline" title="Nothing here yet">
          Proofs, checks, counts and repairs come here, each signed by the device it was made on.
        </Empty>
      ) : (
        <Card>
          {shown.slice(0, most).map((row, index) => {
            const { entry } = row.signed;
            const day = format(new Date(entry.madeAt), 'd MMM yyyy');
            const before = shown[index - 1];
            const heads = !before || format(new Date(before.signed.entry.madeAt), 'd MMM yyyy') !== day;
            const words = entryInWords(entry);
            const kind = isKnownKind(entry.kind) ? recordKinds[entry.kind].name : entry.kind;
            const state = refused.has(row.id)
              ? 'not taken by the server'
              : row.link === null
                ? 'waits for a signal'
                : gone.has(row.id)
                  ? 'taken back'
                  : null;
            return (
              <View key={row.id}>
                {heads ? (
                  <View style={{ paddingHorizontal: 14, paddingTop: 12, paddingBottom: 2 }}>
                    <Words kind="small" muted level={2}>
                      {day}
                    </Words>
                  </View>
                ) : null}
                <PressRow
                  label={`${kind}, ${nameOf(entry.circuit)}: ${words}${state === null ? '' : `, ${state}`}`}
                  onPress={() => onOpen(row)}
                  style={{
                    flexDirection: 'row',
                    gap: 10,
                    paddingHorizontal: 14,
                    paddingVertical: 8,
                    borderTopWidth: heads ? 0 : 1,
                    borderColor: palette.line,
                  }}
                >
                  <Icon name={iconOf(entry.kind)} color={palette.muted} />
                  <View style={{ flex: 1, minWidth: 0 }}>
                    <Words
                      style={gone.has(row.id) ? { textDecorationLine: 'line-through' } : undefined}
                      numberOfLines={3}
                    >
                      {words}
                    </Words>
                    <Words kind="small" muted>
                      {[nameOf(entry.circuit), format(new Date(entry.madeAt), 'HH:mm'), entry.by, state]
                        .filter((part) => part !== null && part !== '')
                        .join(' · ')}
                    </Words>
                  </View>
                </PressRow>
              </View>
            );
          })}
        </Card>
      )}
      {shown.length > most ? (
        <BigButton mode="outlined" onPress={() => setMost(most + 2 * FIRST)}>
          {`Show more of ${shown.length}`}
        </BigButton>
      ) : null}
    </>
  );
}
