import type { CircuitFacts } from '@harbor-latch/core/findings/index';
import { formatAmps, formatQuantity, formatVolts } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { Card } from '../../ui/Card';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** The pump at the three supplies, in the switch position that gives it least. */
export const SupplyTable = memo(function SupplyTable({ facts }: { readonly facts: CircuitFacts }) {
  const palette = usePalette();
  const units = useUnits();
  const flowKnown = facts.supplies.some((row) => row.openFlowLPerH !== null);
  const heads = ['Battery', 'At pump', 'Draws', 'Speed', ...(flowKnown ? ['Open flow'] : [])];
  return (
    <Card>
      <View style={{ padding: 14, gap: 8 }}>
        <Words kind="heading" level={2}>
          What the pump gets
        </Words>
        <View role="table" aria-label="The pump at three supplies">
          <View role="row" style={{ flexDirection: 'row', paddingBottom: 4 }}>
            {heads.map((head) => (
              <View key={head} role="columnheader" style={{ flex: 1, minWidth: 0 }}>
                <Words kind="small" muted>
                  {head}
                </Words>
              </View>
            ))}
          </View>
          {facts.supplies.map((row) => (
            <View
              key={row.supplyV}
              role="row"
              style={{ flexDirection: 'row', paddingVertical: 8, borderTopWidth: 1, borderColor: palette.line }}
            >
              <Cell strong>{`${row.supplyV.toFixed(1)}\u00a0V`}</Cell>
              <Cell>{formatVolts(row.pumpV)}</Cell>
              <Cell>{formatAmps(row.pumpA)}</Cell>
              <Cell>{`${Math.round(row.speedRatio * 100)}\u00a0%`}</Cell>
              {row.openFlowLPerH === null ? null : <Cell>{formatQuantity(row.openFlowLPerH, 'flow', units, 0)}</Cell>}
            </View>
          ))}
        </View>
        <Words kind="small" muted>
          {flowKnown
            ? 'Open flow is at no height; lift and hose take more off. Speed is of label speed. The battery is as it is at its posts.'
            : 'Speed is of label speed. Enter the open flow in the survey to see what it moves.'}
        </Words>
      </View>
    </Card>
  );
});

function Cell({ children, strong = false }: { readonly children: string; readonly strong?: boolean }) {
  return (
    <View role="cell" style={{ flex: 1, minWidth: 0 }}>
      <Words style={{ fontVariant: ['tabular-nums'], fontFamily: strong ? fonts.bold : fonts.regular, fontSize: 15 }}>
        {children}
      </Words>
    </View>
  );
}
