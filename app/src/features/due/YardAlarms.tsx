import type { CircuitAlarm } from '@harbor-latch/core/log/boatAlarms';
import type { Job } from '@harbor-latch/core/job/index';
import type { KnownEntry } from '@harbor-latch/core/records/known';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useAssessments } from '../../data/assessment';
import { useUnits } from '../../data/settings';
import { Card } from '../../ui/Card';
import { PressRow } from '../../ui/PressRow';
import { StandingBadge } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** A boat with a log. */
export interface LoggedBoat {
  readonly name: string;
  readonly job: Job;
  readonly entries: readonly KnownEntry[];
}

interface YardAlarm {
  readonly boat: LoggedBoat;
  readonly alarm: CircuitAlarm;
}

const MOST = 20;

/** What the logs of some boats show, one boat after the other; null until all were looked through. */
function useYardAlarms(boats: readonly LoggedBoat[], nowMs: number): readonly YardAlarm[] | null {
  const assessments = useAssessments();
  const units = useUnits();
  const [found, setFound] = useState<{ readonly of: readonly LoggedBoat[]; readonly alarms: YardAlarm[] } | null>(null);
  useEffect(() => {
    let gone = false;
    const look = async () => {
      const alarms: YardAlarm[] = [];
      for (const boat of boats) {
        if (gone) return;
        const { job, entries } = boat;
        // A boat that cannot be assessed shows nothing, and holds up no other.
        const own = await assessments.alarms({ job, entries, units, nowMs }).catch((): CircuitAlarm[] => []);
        alarms.push(...own.map((alarm) => ({ boat, alarm })));
      }
      if (!gone) setFound({ of: boats, alarms });
    };
    void look();
    return () => {
      gone = true;
    };
  }, [assessments, boats, units, nowMs]);
  return found?.of === boats ? found.alarms : null;
}

/** What is out of the usual over the yard, by the logs; each leads to its trends. */
export function YardAlarms({ boats, nowMs }: { readonly boats: readonly LoggedBoat[]; readonly nowMs: number }) {
  const router = useRouter();
  const palette = usePalette();
  const alarms = useYardAlarms(boats, nowMs);
  const order = { stop: 0, caution: 1, note: 2 } as const;
  const told = [...(alarms ?? [])].sort((a, b) => order[a.alarm.severity] - order[b.alarm.severity]);
  if (told.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Words kind="heading" level={2}>
        Out of the usual
      </Words>
      <Card>
        {told.slice(0, MOST).map(({ boat, alarm }, index) => (
          <PressRow
            key={`${boat.job.boat.id} ${alarm.circuit} ${alarm.code}`}
            role="link"
            label={`${boat.name}, ${alarm.circuitName}: ${alarm.words}`}
            onPress={() => router.navigate(`/boat/${boat.job.boat.id}/log?tool=trends&circuit=${alarm.circuit}`)}
            style={{ gap: 4, padding: 14, borderTopWidth: index === 0 ? 0 : 1, borderColor: palette.line }}
          >
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}>
              <Words kind="strong" style={{ flex: 1, minWidth: 160 }}>
                {`${boat.name}, ${alarm.circuitName}`}
              </Words>
              <StandingBadge standing={alarm.severity} />
            </View>
            <Words kind="small">{alarm.words}</Words>
          </PressRow>
        ))}
      </Card>
    </View>
  );
}
