import type { BuildList } from '@harbor-latch/core/build/buildList';
import type { PartNeeded } from '@harbor-latch/core/build/parts';
import { partsTable } from '@harbor-latch/core/documents/buildTables';
import type { Circuit } from '@harbor-latch/core/job/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { exportTable } from '../../data/exportTable';
import { useUnits } from '../../data/settings';
import type { Draft } from '../../data/draft';
import { BoatForm } from '../../fields/BoatForm';
import { FoldedCard } from '../../fields/FoldedCard';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { HoleFields } from './HoleFields';

/** What to have at hand before work begins, each with why so much of it. */
export function PartsPanel({
  draft,
  index,
  circuit,
  list,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly circuit: Circuit;
  readonly list: BuildList;
}) {
  const fitted = list.parts.filter(({ consumable }) => !consumable);
  const used = list.parts.filter(({ consumable }) => consumable);
  return (
    <>
      <BoatForm draft={draft}>
        <HoleFields index={index} list={list} />
      </BoatForm>
      <PartsCard title="To be fitted" parts={fitted} />
      <PartsCard title="Used up" parts={used} />
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

function PartsCard({ title, parts }: { readonly title: string; readonly parts: readonly PartNeeded[] }) {
  const palette = usePalette();
  const units = useUnits();
  return (
    <Card>
      <View style={{ padding: 14, paddingBottom: 8 }}>
        <Words kind="heading" level={2}>
          {title}
        </Words>
      </View>
      {parts.map(({ id, item, quantity, unit, why }) => (
        <View
          key={id}
          style={{
            flexDirection: 'row',
            gap: 10,
            paddingVertical: 8,
            paddingHorizontal: 14,
            borderTopWidth: 1,
            borderColor: palette.line,
          }}
        >
          <View style={{ flex: 1, minWidth: 0 }}>
            <Words kind="strong">{item}</Words>
            <Words kind="small" muted>
              {why}
            </Words>
          </View>
          <Words kind="strong">
            {unit === 'm'
              ? formatQuantity(quantity, 'length', units)
              : unit === 'set'
                ? `${quantity} set`
                : String(quantity)}
          </Words>
        </View>
      ))}
    </Card>
  );
}
