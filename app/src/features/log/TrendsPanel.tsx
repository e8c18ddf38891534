import { trendOf, type TrendAlarm } from '@harbor-latch/core/log/alarm';
import type { Load } from '@harbor-latch/core/log/loadTrend';
import type { KnownEntry } from '@harbor-latch/core/records/known';
import { format } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { useTrends } from '../../data/assessment';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Empty } from '../../ui/Empty';
import { StandingBadge } from '../../ui/Standing';
import { Words } from '../../ui/Words';
import { TrendChart } from './TrendChart';

/** What a circuit's log shows: what is out of the usual first, then each trend. */
export function TrendsPanel({
  entries,
  circuit,
  load,
  onOpen,
  onTrace,
}: {
  readonly entries: readonly KnownEntry[];
  readonly circuit: string;
  readonly load: Load;
  readonly onOpen: (entry: string) => void;
  /** Goes to where the fault behind an alarm is hunted. */
  readonly onTrace: () => void;
}) {
  const told = useTrends({ entries, circuit, load });
  const [width, setWidth] = useState(330);
  if (!told)
    return (
      <Words role="status" muted>
        Looking through the log …
      </Words>
    );
  const { trends, alarms } = told;
  if (trends.length === 0)
    return (
      <Empty icon="clipboard-list-outline" title="Nothing to compare yet">
        Trends begin with a proof and with counts: how often the pump ran, and what was read since.
      </Empty>
    );
  // What is out of the usual is seen first.
  const alarming = new Set(alarms.map(({ code }) => trendOf(code)));
  const inOrder = [...trends.filter(({ key }) => alarming.has(key)), ...trends.filter(({ key }) => !alarming.has(key))];
  return (
    <View style={{ gap: 12 }} onLayout={({ nativeEvent }) => setWidth(Math.min(620, nativeEvent.layout.width - 28))}>
      {alarms.length === 0 ? (
        <Card>
          <View style={{ padding: 14, gap: 6 }}>
            <StandingBadge standing="good" word="In order" />
            <Words>Nothing in this log is out of the usual.</Words>
          </View>
        </Card>
      ) : (
        alarms.map((alarm) => <AlarmCard key={alarm.code} alarm={alarm} onOpen={onOpen} onTrace={onTrace} />)
      )}
      {inOrder.map((trend) => (
        <Card key={trend.key}>
          <View style={{ padding: 14, gap: 6 }}>
            <Words kind="heading" level={2}>
              {trend.unit === '' ? trend.name : `${trend.name}, ${trend.unit}`}
            </Words>
            {trend.words === '' ? null : <Words kind="small">{trend.words}</Words>}
            <TrendChart key={circuit} trend={trend} width={width} onOpen={onOpen} />
          </View>
        </Card>
      ))}
    </View>
  );
}

function AlarmCard({
  alarm,
  onOpen,
  onTrace,
}: {
  readonly alarm: TrendAlarm;
  readonly onOpen: (entry: string) => void;
  readonly onTrace: () => void;
}) {
  return (
    <Card>
      <View style={{ padding: 14, gap: 6 }}>
        <StandingBadge standing={alarm.severity} />
        <Words kind="strong">{alarm.words}</Words>
        {alarm.causes.map(({ words, share }) => (
          <View key={words} style={{ flexDirection: 'row', gap: 10 }}>
            <Words kind="small" style={{ width: 44 }}>{`${Math.round(share * 100)} %`}</Words>
            <Words kind="small" style={{ flex: 1, minWidth: 0 }}>
              {words}
            </Words>
          </View>
        ))}
        <Words kind="small">{`Next: ${alarm.next}`}</Words>
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <Words kind="small" muted style={{ flex: 1 }}>
            {`Since ${format(new Date(alarm.atMs), 'd MMM yyyy')}`}
          </Words>
          <BigButton mode="text" label={`Trace it: ${alarm.words}`} onPress={onTrace}>
            Trace
          </BigButton>
          <BigButton mode="text" label={`Open the entry: ${alarm.words}`} onPress={() => onOpen(alarm.entry)}>
            Entry
          </BigButton>
        </View>
      </View>
    </Card>
  );
}
