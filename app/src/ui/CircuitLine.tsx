import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { standingOf } from '@harbor-latch/core/assess/standing';
import { bySeverity } from '@harbor-latch/core/findings/finding';
import { View } from 'react-native';
import { Icon } from './Icon';
import { standingLook } from './Standing';
import { usePalette } from './theme';
import { Words } from './Words';

/** A circuit in one line: its name, and the worst finding in full once it was assessed. */
export function CircuitLine({
  name,
  assessed,
}: {
  readonly name: string;
  readonly assessed: AssessedCircuit | undefined;
}) {
  const palette = usePalette();
  const look = assessed ? standingLook[standingOf(assessed)] : null;
  return (
    <>
      {look ? (
        <Icon name={look.icon} size={24} color={palette[look.ink]} />
      ) : (
        <View style={{ width: 24, height: 24 }} />
      )}
      <View style={{ flex: 1, minWidth: 0 }}>
        <Words kind="strong" numberOfLines={2}>
          {name}
        </Words>
        <Words kind="small" muted numberOfLines={2}>
          {assessed ? worstInWords(assessed) : 'Being worked out'}
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
