import type { BoatSummary } from '@harbor-latch/core/assess/summary';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { Card } from '../../ui/Card';
import { CircuitLine } from '../../ui/CircuitLine';
import { PressRow } from '../../ui/PressRow';
import { StandingBadge } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** A boat of the yard: its circuits, each with the worst that was found. */
export const BoatCard = memo(function BoatCard({
  draft,
  summary,
}: {
  readonly draft: Draft;
  /** What is known of it; undefined while it is being worked out. */
  readonly summary: BoatSummary | undefined;
}) {
  const router = useRouter();
  const units = useUnits();
  const palette = usePalette();
  const { boat, circuits } = draft.job;
  const craft = [
    boat.craft,
    boat.hullLengthM === undefined ? undefined : formatQuantity(boat.hullLengthM, 'length', units, 1),
    boat.berth,
  ];
  return (
    <Card>
      <PressRow
        role="link"
        label={`Boat ${boat.name}`}
        onPress={() => router.navigate(`/boat/${draft.id}`)}
        style={{ padding: 14, flexDirection: 'row', gap: 10 }}
      >
        <View style={{ flex: 1, minWidth: 0, gap: 2 }}>
          <Words kind="heading" level={2} numberOfLines={2}>
            {boat.name}
          </Words>
          <Words kind="small" muted numberOfLines={2}>
            {craft.filter(Boolean).join(' · ') || 'No details yet'}
          </Words>
        </View>
        {summary ? <StandingBadge standing={summary.standing} /> : null}
      </PressRow>
      {circuits.map(({ id, name }) => {
        const one = summary?.circuits.find((circuit) => circuit.id === id);
        return (
          <PressRow
            key={id}
            role="link"
            label={`Circuit ${name} of ${boat.name}`}
            onPress={() =>
              router.navigate(`/boat/${draft.id}/${id}/${one?.standing === 'incomplete' ? 'survey' : 'size'}`)
            }
            style={{
              paddingVertical: 10,
              paddingHorizontal: 14,
              flexDirection: 'row',
              gap: 10,
              alignItems: 'center',
              borderTopWidth: 1,
              borderColor: palette.line,
            }}
          >
            <CircuitLine name={name} summary={one} />
          </PressRow>
        );
      })}
    </Card>
  );
});
