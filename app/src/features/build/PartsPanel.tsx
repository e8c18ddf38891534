import type { BuildList } from '@harbor-latch/core/build/buildList';
import { estimateOf, type Estimate } from '@harbor-latch/core/build/estimate';
import type { PartNeeded } from '@harbor-latch/core/build/parts';
import { partsTable } from '@harbor-latch/core/documents/buildTables';
import type { Circuit } from '@harbor-latch/core/job/index';
import { formatQuantity, type UnitSystem } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { exportTable } from '../../data/exportTable';
import { useUnits } from '../../data/settings';
import type { Draft } from '../../data/draft';
import { useStock } from '../../stock/useStock';
import { BoatForm } from '../../fields/BoatForm';
import { FoldedCard } from '../../fields/FoldedCard';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { withAboard } from './changes';
import { HoleFields } from './HoleFields';

/** What to have at hand before work begins, each with why so much of it. */
export function PartsPanel({
  draft,
  index,
  circuit,
  list,
  onCircuit,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly circuit: Circuit;
  readonly list: BuildList;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
}) {
  const { state: stock } = useStock();
  const estimate = estimateOf(list, stock);
  const onAboard = ({ id, item, aboard }: PartNeeded) =>
    onCircuit(withAboard(circuit, id, !aboard), aboard ? `${item}: to get` : `${item}: on board`);
  const fitted = list.parts.filter(({ consumable }) => !consumable);
  const used = list.parts.filter(({ consumable }) => consumable);
  return (
    <>
      <BoatForm draft={draft}>
        <HoleFields index={index} list={list} />
      </BoatForm>
      <PartsCard title="To be fitted" parts={fitted} onAboard={onAboard} />
      <PartsCard title="Used up" parts={used} onAboard={onAboard} />
      {estimate ? <EstimateCard estimate={estimate} /> : null}
      <FoldedCard title="Tools" summary={`${list.tools.length} by what the lists need`}>
        {list.tools.map((tool) => (
          <Words key={tool}>{tool}</Words>
        ))}
      </FoldedCard>
      <View style={{ alignItems: 'flex-start' }}>
        <BigButton
          mode="outlined"
          icon="file-delimited-outline"
          onPress={() => exportTable(`${draft.job.boat.name} ${circuit.name} parts`, partsTable(list))}
        >
          Parts as CSV
        </BigButton>
      </View>
    </>
  );
}

/** What it comes to by the yard's own prices. */
function EstimateCard({ estimate: { parts, priced, of, hours, labour, sum } }: { readonly estimate: Estimate }) {
  const lines = [
    [`Parts, ${priced} of ${of} with a price`, parts.toFixed(2)],
    ...(labour === null ? [] : [[`Work, ${hours.toFixed(1)} h without waiting`, labour.toFixed(2)]]),
  ];
  return (
    <Card>
      <View style={{ padding: 14, gap: 6 }}>
        <Words kind="heading" level={2}>
          Estimate
        </Words>
        {lines.map(([what, cost]) => (
          <View key={what} style={{ flexDirection: 'row', gap: 10 }}>
            <Words style={{ flex: 1, minWidth: 0 }}>{what}</Words>
            <Words>{cost}</Words>
          </View>
        ))}
        <View style={{ flexDirection: 'row', gap: 10 }}>
          <Words kind="strong" style={{ flex: 1, minWidth: 0 }}>
            Together
          </Words>
          <Words kind="strong">{sum.toFixed(2)}</Words>
        </View>
        <Words kind="small" muted>
          By the yard’s own prices and rate, without what is on board. Parts without a price are not in it.
        </Words>
      </View>
    </Card>
  );
}

function PartsCard({
  title,
  parts,
  onAboard,
}: {
  readonly title: string;
  readonly parts: readonly PartNeeded[];
  readonly onAboard: (part: PartNeeded) => void;
}) {
  const palette = usePalette();
  const units = useUnits();
  return (
    <Card>
      <View style={{ padding: 14, paddingBottom: 8 }}>
        <Words kind="heading" level={2}>
          {title}
        </Words>
      </View>
      {parts.map((part) => (
        <PressRow
          key={part.id}
          role="checkbox"
          selected={part.aboard}
          label={`${part.item}, ${numberOf(part, units)}: on board`}
          onPress={() => onAboard(part)}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: 10,
            paddingVertical: 8,
            paddingHorizontal: 14,
            borderTopWidth: 1,
            borderColor: palette.line,
          }}
        >
          <Icon
            name={part.aboard ? 'checkbox-marked' : 'checkbox-blank-outline'}
            color={part.aboard ? palette.accent : palette.muted}
          />
          <View style={{ flex: 1, minWidth: 0 }}>
            <Words kind="strong">{part.item}</Words>
            <Words kind="small" muted>
              {part.aboard ? 'On board' : part.why}
            </Words>
          </View>
          <Words kind="strong" muted={part.aboard}>
            {numberOf(part, units)}
          </Words>
        </PressRow>
      ))}
    </Card>
  );
}

function numberOf({ quantity, unit }: PartNeeded, units: UnitSystem): string {
  if (unit === 'm') return formatQuantity(quantity, 'length', units);
  return unit === 'set' ? `${quantity} set` : String(quantity);
}
