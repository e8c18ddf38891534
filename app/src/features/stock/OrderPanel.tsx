import type { OpenJobs, YardOrder } from '@harbor-latch/core/build/openJobs';
import type { DrumLeft } from '@harbor-latch/core/build/stockLedger';
import { orderTable } from '@harbor-latch/core/documents/orderTable';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { exportTable } from '../../data/exportTable';
import { useUnits } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Empty } from '../../ui/Empty';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** What all open jobs still take beyond what lies in the stock: one list to order by. */
export function OrderPanel({
  order,
  which,
  onWhich,
  drums,
  whole,
}: {
  readonly order: YardOrder | null;
  readonly which: OpenJobs;
  readonly onWhich: (which: OpenJobs) => void;
  readonly drums: readonly DrumLeft[];
  /** Whether every boat of the yard is on this device. */
  readonly whole: boolean;
}) {
  const units = useUnits();
  const length = (metres: number) => formatQuantity(metres, 'length', units);
  return (
    <>
      <ChoiceRow<OpenJobs>
        label="Circuits that are counted"
        value={which}
        choices={[
          { value: 'begun', label: 'Begun' },
          { value: 'all', label: 'All that are sized' },
        ]}
        onChoose={onWhich}
      />
      {order === null ? <ActivityIndicator accessibilityLabel="Reckoning the order" style={{ margin: 24 }} /> : null}
      {order?.jobs.length === 0 ? (
        <Empty icon="clipboard-list-outline" title="No job is open">
          A circuit counts here once a step of its building was ticked, until the last one is. Or take all that are
          sized.
        </Empty>
      ) : null}
      {order && order.jobs.length > 0 ? (
        <>
          <OrderCard
            title="Cable to order"
            none="The stock holds all of it."
            lines={order.cable.map(({ size, colour, metres, pieces, drumM }) => ({
              what: `${size}, ${colour}`,
              under: `${pieces === 1 ? '1 piece' : `${pieces} pieces`}, a tenth more${drumM === null ? '' : `; sold on ${length(drumM)}`}`,
              figure: length(metres),
            }))}
          />
          <OrderCard
            title="Parts to order"
            none="The stock holds all of them."
            lines={order.parts.map(({ item, unit, missing, there, boats }) => ({
              what: item,
              under: `${boats.join(', ')}${there > 0 ? ` · ${there} in the stock` : ''}`,
              figure: unit === 'm' ? length(missing) : String(missing),
            }))}
          />
          <FromStock order={order} drums={drums} />
          <Jobs order={order} />
          {whole ? null : (
            <Words kind="small" muted>
              Of this large yard only the boats on this device are counted.
            </Words>
          )}
          <View style={{ alignItems: 'flex-start' }}>
            <BigButton
              mode="outlined"
              icon="file-delimited-outline"
              onPress={() => exportTable('Order', orderTable(order))}
            >
              Order as CSV
            </BigButton>
          </View>
        </>
      ) : null}
    </>
  );
}

interface Line {
  readonly what: string;
  readonly under: string;
  readonly figure: string;
}

function OrderCard({
  title,
  none,
  lines,
}: {
  readonly title: string;
  readonly none: string;
  readonly lines: readonly Line[];
}) {
  const palette = usePalette();
  return (
    <Card>
      <View style={{ padding: 14, gap: 4 }}>
        <Words kind="heading" level={2}>
          {title}
        </Words>
        {lines.length === 0 ? <Words muted>{none}</Words> : null}
      </View>
      {lines.map(({ what, under, figure }) => (
        <View
          key={what}
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
          <View style={{ flex: 1, minWidth: 0 }}>
            <Words kind="strong">{what}</Words>
            <Words kind="small" muted>
              {under}
            </Words>
          </View>
          <Words kind="strong">{figure}</Words>
        </View>
      ))}
    </Card>
  );
}

/** What is to be cut from which drum, with the least waste over all open jobs. */
function FromStock({ order, drums }: { readonly order: YardOrder; readonly drums: readonly DrumLeft[] }) {
  const units = useUnits();
  const { cuts, wasteM } = order.cutting;
  if (cuts.length === 0) return null;
  const lines = drums.flatMap((drum): Line[] => {
    const own = cuts.filter((cut) => cut.drum === drum.id);
    if (own.length === 0) return [];
    const sum = own.reduce((total, { metres }) => total + metres, 0);
    const left = formatQuantity(drum.metres - sum, 'length', units);
    return [
      {
        what: `${drum.size}, ${drum.colour}`,
        under: `${own.map(({ metres }) => formatQuantity(metres, 'length', units)).join(' + ')}; leaves ${left}`,
        figure: formatQuantity(sum, 'length', units),
      },
    ];
  });
  const waste = formatQuantity(wasteM, 'length', units);
  return (
    <OrderCard title={`From the stock${wasteM > 0 ? `, ${waste} too short to keep` : ''}`} none="" lines={lines} />
  );
}

function Jobs({ order }: { readonly order: YardOrder }) {
  const palette = usePalette();
  const router = useRouter();
  return (
    <Card>
      <View style={{ padding: 14 }}>
        <Words kind="heading" level={2}>
          Open jobs
        </Words>
      </View>
      {order.jobs.map(({ boatId, boat, circuitId, circuit, pieces, cut }) => (
        <PressRow
          key={`${boatId}/${circuitId}`}
          role="link"
          label={`${boat}, ${circuit}: ${cut} of ${pieces} cut`}
          onPress={() => router.navigate(`/boat/${boatId}/${circuitId}/build`)}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: 10,
            paddingVertical: 10,
            paddingHorizontal: 14,
            borderTopWidth: 1,
            borderColor: palette.line,
          }}
        >
          <View style={{ flex: 1, minWidth: 0 }}>
            <Words kind="strong">{boat}</Words>
            <Words kind="small" muted>
              {circuit}
            </Words>
          </View>
          <Words kind="small">{`${cut} of ${pieces} cut`}</Words>
          <Icon name="chevron-right" color={palette.muted} />
        </PressRow>
      ))}
    </Card>
  );
}
