import type { AssessedAlarm } from '@harbor-latch/core/assess/assessed';
import { standingOf } from '@harbor-latch/core/assess/standing';
import { formatAmps } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { StandingBadge } from '../../ui/Standing';
import { Words } from '../../ui/Words';
import { Figure } from './AnswerCard';

/** The answer for an alarm with a battery of its own: there is little to size, and that is said. */
export function AlarmCard({ assessed }: { readonly assessed: AssessedAlarm }) {
  const { conductors } = assessed.facts;
  const standing = standingOf(assessed);
  const loopA = Math.max(...conductors.map(({ designA }) => designA));
  return (
    <Card>
      <View style={{ padding: 16, gap: 12 }}>
        <StandingBadge standing={standing} word={standing === 'good' ? 'Good' : 'See below'} />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 24, rowGap: 8 }}>
          <Figure name="Conductors" value={[...new Set(conductors.map(({ size }) => size))].join(', ')} />
          <Figure name="While it sounds" value={formatAmps(loopA)} />
        </View>
        <Words kind="small">
          No fuse and no drop to reckon with: the alarm’s own battery gives a few hundredths of an ampere. The size is
          the least that stands the vibration.
        </Words>
      </View>
    </Card>
  );
}
