import type { CircuitSummary } from '@harbor-latch/core/assess/summary';
import { View } from 'react-native';
import { Icon } from './Icon';
import { standingLook } from './Standing';
import { usePalette } from './theme';
import { Words } from './Words';

/** A circuit in one line: its name, and the worst finding in full once it was assessed. */
export function CircuitLine({
  name,
  summary,
}: {
  readonly name: string;
  readonly summary: CircuitSummary | undefined;
}) {
  const palette = usePalette();
  const look = summary ? standingLook[summary.standing] : null;
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
        <Words kind="small" muted>
          {circuitInWords(summary)}
        </Words>
      </View>
      <Icon name="chevron-right" size={24} color={palette.muted} />
    </>
  );
}

/** What a circuit's line says of it. */
export function circuitInWords(summary: CircuitSummary | undefined): string {
  return summary ? inWords(summary) : 'Being worked out';
}

function inWords({ standing, needs, worst, size, ratingA, dropPercent }: CircuitSummary): string {
  if (standing === 'incomplete') return `Survey open: ${needs} ${needs === 1 ? 'figure' : 'figures'} needed`;
  if (worst) return `${standingLook[worst.severity].word}: ${worst.message}`;
  if (ratingA === null || dropPercent === null) return `Good: ${size ?? ''}, its own battery`;
  return `Good: ${size ?? ''}, ${ratingA} A, ${dropPercent.toFixed(1)} % drop`;
}
