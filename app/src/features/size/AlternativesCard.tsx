import type { Alternative } from '@harbor-latch/core/sizing/index';
import { dropSchools } from '@harbor-latch/core/reference/index';
import { formatPercent, formatVolts, shownUnit, toUnit } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { Card } from '../../ui/Card';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** What both schools propose and the sizes beside them, and what each gives at the pump. */
export const AlternativesCard = memo(function AlternativesCard({
  alternatives,
}: {
  /** Null until they are known. */
  readonly alternatives: readonly Alternative[] | null;
}) {
  return (
    <Card>
      <View style={{ padding: 14, gap: 8 }}>
        <Words kind="heading" level={2}>
          Sizes side by side
        </Words>
        {alternatives === null ? (
          // As high as what it will be, about: what lies below is not moved far when it comes.
          <View style={{ minHeight: 190 }}>
            <Words kind="small" muted>
              Being worked out …
            </Words>
          </View>
        ) : (
          <SizesTable alternatives={alternatives} />
        )}
        <Words kind="small" muted>
          One size throughout, from 12.0 V at the battery. The drop is in the conductors at design current; volts at the
          pump count fuse, contacts and joints too.
        </Words>
      </View>
    </Card>
  );
});

function SizesTable({ alternatives }: { readonly alternatives: readonly Alternative[] }) {
  const palette = usePalette();
  const units = useUnits();
  const flowUnit = shownUnit('flow', units);
  const flowKnown = alternatives.some((row) => row.openFlowLPerH !== null);
  const heads = ['Size', 'Drop', 'At pump', 'Speed', ...(flowKnown ? [`Open flow, ${flowUnit.symbol}`] : [])];
  return (
    <View role="table" aria-label="Sizes side by side">
      <View role="row" style={{ flexDirection: 'row', paddingBottom: 4 }}>
        {heads.map((head) => (
          <View key={head} role="columnheader" style={{ flex: head === 'Size' ? 1.4 : 1, minWidth: 0 }}>
            <Words kind="small" muted>
              {head}
            </Words>
          </View>
        ))}
      </View>
      {alternatives.map((row) => (
        <View
          key={row.size}
          role="row"
          style={{
            flexDirection: 'row',
            alignItems: 'flex-start',
            paddingVertical: 8,
            borderTopWidth: 1,
            borderColor: palette.line,
          }}
        >
          <View role="cell" style={{ flex: 1.4, minWidth: 0 }}>
            <Words style={{ fontFamily: fonts.bold, fontSize: 15 }}>{row.size}</Words>
            {row.schools.map((school) => (
              <Words key={school} kind="small" muted>
                {`${dropSchools[school].percent}\u00a0% school`}
              </Words>
            ))}
          </View>
          {[
            formatPercent(row.dropPercent),
            formatVolts(row.pumpV),
            `${Math.round(row.speedRatio * 100)}\u00a0%`,
            ...(row.openFlowLPerH === null ? [] : [String(Math.round(toUnit(row.openFlowLPerH, flowUnit)))]),
          ].map((figure, index) => (
            <View key={heads[index + 1]} role="cell" style={{ flex: 1, minWidth: 0 }}>
              <Words style={{ fontVariant: ['tabular-nums'], fontSize: 15 }}>{figure}</Words>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}
