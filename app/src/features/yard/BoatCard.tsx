import { standingOf, worstStanding, type AssessedCircuit } from '@harbor-latch/core/assess/index';
import { bySeverity } from '@harbor-latch/core/findings/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { assessed as assessedOf } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { Card } from '../../ui/Card';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { StandingBadge, standingLook } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** A boat of the yard: its circuits, each with the worst that was found. */
export function BoatCard({ draft }: { readonly draft: Draft }) {
  const router = useRouter();
  const units = useUnits();
  const palette = usePalette();
  const { boat } = draft.job;
  const assessed = assessedOf(draft.job, units);
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
        <StandingBadge standing={worstStanding(assessed.map(standingOf))} />
      </PressRow>
      {assessed.map((circuit) => (
        <PressRow
          key={circuit.circuit.id}
          role="link"
          label={`Circuit ${circuit.circuit.name} of ${boat.name}`}
          onPress={() =>
            router.navigate(
              `/boat/${draft.id}/${circuit.circuit.id}/${circuit.status === 'incomplete' ? 'survey' : 'size'}`,
            )
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
          <CircuitLine circuit={circuit} />
        </PressRow>
      ))}
    </Card>
  );
}

/** A circuit in one line: its name, and the worst finding in full. */
export function CircuitLine({ circuit }: { readonly circuit: AssessedCircuit }) {
  const palette = usePalette();
  const look = standingLook[standingOf(circuit)];
  return (
    <>
      <Icon name={look.icon} size={24} color={palette[look.ink]} />
      <View style={{ flex: 1, minWidth: 0 }}>
        <Words kind="strong" numberOfLines={2}>
          {circuit.circuit.name}
        </Words>
        <Words kind="small" muted numberOfLines={2}>
          {worstInWords(circuit)}
        </Words>
      </View>
      <Icon name="chevron-right" size={24} color={palette.muted} />
    </>
  );
}

function worstInWords(circuit: AssessedCircuit): string {
  if (circuit.status === 'incomplete') {
    const { length } = circuit.needs;
    return `Survey open: ${length} ${length === 1 ? 'figure' : 'figures'} needed`;
  }
  const [worst] = bySeverity(circuit.findings).filter((finding) => finding.severity !== 'note');
  if (worst) return `${standingLook[worst.severity].word}: ${worst.message}`;
  if (circuit.status === 'alarm') return `Good: ${circuit.facts.conductors[0]?.size ?? ''}, its own battery`;
  const { facts } = circuit;
  return `Good: ${facts.conductors[0]?.size ?? ''}, ${facts.protection.ratingA} A, ${facts.dropPercent.toFixed(1)} % drop`;
}
