import { type Netlist, type TruthRow, roles } from '@harbor-latch/core/circuit/index';
import { holdsInWords } from '@harbor-latch/core/documents/index';
import type { Plan } from '@harbor-latch/core/schemes/index';
import { formatAmps, formatVolts } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Notice } from '../../ui/Notice';
import { Words } from '../../ui/Words';
import { useBenchNow } from './useBench';

/** What the circuit does now: figures to see, and one sentence to hear. */
export const Readout = memo(function Readout({ plan }: { readonly plan: Plan }) {
  const bench = useBenchNow();
  const { row, netlist } = bench;
  const { point } = row;
  const has = (id: string) => netlist.parts.some((part) => part.id === id);
  const nameOf = (id: string) => plan.parts.find(({ part }) => part.id === id)?.name ?? id;
  if (!point) {
    return (
      <Notice tone="stop" icon="alert-octagon">
        {row.trouble.message}
      </Notice>
    );
  }
  const figures: readonly Shown[] = [
    ...(has(roles.pump)
      ? [
          { name: 'At the pump', value: formatVolts(point.voltsAcross(roles.pump, 'plus', 'minus')) },
          { name: 'Pump', value: shown(point.partA(roles.pump)) },
        ]
      : []),
    has(roles.battery)
      ? { name: 'Battery', value: shown(point.partA(roles.battery)) }
      : { name: 'Alarm’s loop', value: shown(point.partA(roles.alarm)) },
  ];
  return (
    <View style={styles.readout}>
      <View style={styles.figures}>
        {figures.map((figure) => (
          <Figure key={figure.name} {...figure} />
        ))}
      </View>
      <View role="status" aria-live="polite">
        <Words>{sentence(netlist, row, nameOf)}</Words>
      </View>
    </View>
  );
});

const styles = StyleSheet.create({
  readout: { gap: 6 },
  figures: { flexDirection: 'row', gap: 14, justifyContent: 'space-between' },
  figure: { flexShrink: 1 },
});

interface Shown {
  readonly name: string;
  readonly value: string;
}

/** One figure; shown anew only when it is another. */
const Figure = memo(function Figure({ name, value }: Shown) {
  return (
    <View style={styles.figure}>
      <Words kind="small" muted>
        {name}
      </Words>
      <Words kind="figure">{value}</Words>
    </View>
  );
});

function shown(amps: number): string {
  return Math.abs(amps) < 1e-5 ? '0\u00a0A' : formatAmps(Math.abs(amps));
}

const TELLING: readonly string[] = ['pump', 'alarm', 'lamp', 'relay', 'neighbour', 'shared-load'];

/** "Pump running. Running light lit." */
function sentence({ parts }: Netlist, { point }: TruthRow, nameOf: (id: string) => string): string {
  return parts
    .filter(({ kind }) => TELLING.includes(kind))
    .sort((one, other) => TELLING.indexOf(one.kind) - TELLING.indexOf(other.kind))
    .map(({ id }) => `${nameOf(id)} ${point?.wordOf(id) ?? ''}.`)
    .join(' ');
}

/** Fuses that carry more than their rating: how long they hold, and a way to let them open. */
export const OverRating = memo(function OverRating({ plan }: { readonly plan: Plan }) {
  const bench = useBenchNow();
  const nameOf = (id: string) => plan.parts.find(({ part }) => part.id === id)?.name ?? id;
  const { netlist, row, state } = bench;
  const over = netlist.parts.flatMap((part) => {
    const amps = part.kind === 'fuse' ? Math.abs(row.point?.partA(part.id) ?? 0) : 0;
    return part.kind === 'fuse' && amps > part.ratingA * (1 + 1e-9) ? [{ part, amps }] : [];
  });
  return (
    <>
      {over.map(({ part, amps }) => {
        return (
          <Notice
            key={part.id}
            tone="caution"
            icon="fuse-alert"
            actions={
              <BigButton
                mode="outlined"
                label={`Let ${nameOf(part.id)} open`}
                onPress={() => bench.change({ open: [...state.open, part.id] })}
              >
                Let it open
              </BigButton>
            }
          >
            {`${nameOf(part.id)}, ${part.ratingA}\u00a0A, carries ${formatAmps(amps)}: ${holdsInWords(part, amps)}.`}
          </Notice>
        );
      })}
    </>
  );
});
