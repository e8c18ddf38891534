import { dueEvents } from '@harbor-latch/core/documents/dueEvents';
import { intervalOf, isAshore, routineKeys, routines, type Due, type RoutineKey } from '@harbor-latch/core/log/routine';
import type { Job } from '@harbor-latch/core/job/index';
import type { KnownEntry } from '@harbor-latch/core/records/known';
import { format } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { exportCalendar } from '../../data/exportCalendar';
import { FoldedCard } from '../../fields/FoldedCard';
import { dueWords } from '../../records/dueWords';
import type { Recorder } from '../../records/useRecords';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Empty } from '../../ui/Empty';
import { FigureDialog } from '../../ui/FigureDialog';
import { PressRow } from '../../ui/PressRow';
import { useSay } from '../../ui/Said';
import { StandingBadge } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** What is due on a boat, with a touch for what was done, and how often each is. */
export function DuePanel({
  job,
  due,
  entries,
  nowMs,
  record,
}: {
  readonly job: Job;
  readonly due: readonly Due[];
  readonly entries: readonly KnownEntry[];
  readonly nowMs: number;
  readonly record: Recorder;
}) {
  const say = useSay();
  const palette = usePalette();
  const [setting, setSetting] = useState<RoutineKey | null>(null);
  const ashore = isAshore(job.boat.kept, entries);
  const nameOf = (id: string | null) =>
    id === null ? job.boat.name : (job.circuits.find((one) => one.id === id)?.name ?? job.boat.name);
  const done = async (one: Due) => {
    const row = await record('check', one.circuit, {
      routine: one.routine,
      words: routines[one.routine].words,
      good: true,
    });
    say(`${routines[one.routine].name}: done`, () => void record('withdrawn', one.circuit, { entry: row.id }));
  };
  const calendar = () =>
    void exportCalendar(
      job.boat.name,
      dueEvents(due, ({ circuit }) => nameOf(circuit), nowMs),
      'due',
    );
  return (
    <>
      {due.length === 0 ? (
        <Empty icon="timer" title="Nothing is due">
          The calendar begins when a circuit is proved, or with the first entry of its log.
        </Empty>
      ) : (
        <Card>
          {due.map((one, index) => {
            const { name, words } = routines[one.routine];
            const look = dueWords(one.dueMs, nowMs);
            return (
              <View
                key={`${one.routine} ${one.circuit ?? ''}`}
                style={{ padding: 14, gap: 4, borderTopWidth: index === 0 ? 0 : 1, borderColor: palette.line }}
              >
                <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8, flexWrap: 'wrap' }}>
                  <Words kind="strong" style={{ flex: 1, minWidth: 120 }}>
                    {`${name}, ${nameOf(one.circuit)}`}
                  </Words>
                  <StandingBadge standing={look.standing} word={look.word} />
                </View>
                <Words kind="small">{words}</Words>
                <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
                  <Words kind="small" muted style={{ flex: 1 }}>
                    {one.lastMs === null ? 'Not since it was proved' : `Last ${format(one.lastMs, 'd MMM yyyy')}`}
                  </Words>
                  <BigButton
                    mode="text"
                    icon="check"
                    label={`${name}, ${nameOf(one.circuit)}: done`}
                    onPress={() => void done(one)}
                  >
                    Done
                  </BigButton>
                </View>
              </View>
            );
          })}
        </Card>
      )}
      {due.length > 0 ? (
        <View style={{ alignItems: 'flex-start' }}>
          <BigButton mode="outlined" icon="calendar-export" onPress={calendar}>
            Into the calendar
          </BigButton>
        </View>
      ) : null}
      <FoldedCard title="How often" summary={ashore ? 'Ashore' : 'Afloat'}>
        {routineKeys.map((key) => {
          const days = intervalOf(key, entries, ashore);
          return (
            <PressRow
              key={key}
              label={`${routines[key].name}: ${days === null ? 'not by the calendar' : `every ${days} days`}. Change`}
              onPress={() => setSetting(key)}
              style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}
            >
              <Words style={{ flex: 1, minWidth: 0 }}>{routines[key].name}</Words>
              <Words kind="small" muted>
                {days === null ? 'not by the calendar' : `every ${days} days`}
              </Words>
            </PressRow>
          );
        })}
      </FoldedCard>
      {setting === null ? null : (
        <FigureDialog
          title={routines[setting].name}
          label="Every so many days"
          first={intervalOf(setting, entries, ashore)}
          most={5000}
          onFigure={(days) => {
            setSetting(null);
            void record('interval', null, {
              routine: setting,
              days: days === null ? null : Math.max(1, Math.round(days)),
            }).then(() => say('Set'));
          }}
          onClose={() => setSetting(null)}
        />
      )}
    </>
  );
}
