import type { YardOrder } from '@harbor-latch/core/build/openJobs';
import { itemKey, type StockState } from '@harbor-latch/core/build/stockLedger';
import { useState } from 'react';
import { View } from 'react-native';
import type { StockHand } from '../../stock/useStock';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Empty } from '../../ui/Empty';
import { ToolButton } from '../../ui/ToolButton';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { FigureDialog } from '../../ui/FigureDialog';

type Asking =
  | { readonly kind: 'count'; readonly item: string; readonly unit: 'piece' | 'm' | 'set'; readonly quantity: number }
  | { readonly kind: 'price'; readonly item: string }
  | { readonly kind: 'rate' };

/** Parts in the van and what they cost: those that are there, and those that the open jobs ask for. */
export function StockPartsPanel({
  state,
  hand,
  order,
}: {
  readonly state: StockState;
  readonly hand: StockHand;
  readonly order: YardOrder | null;
}) {
  const palette = usePalette();
  const priceOf = (item: string) => state.prices[itemKey(item)];
  const [asking, setAsking] = useState<Asking | null>(null);
  const there = new Set(state.parts.map(({ item }) => itemKey(item)));
  const asked = (order?.parts ?? []).filter(({ item }) => !there.has(itemKey(item)));
  const rows = [
    ...state.parts.map((one) => ({ ...one, wanted: false })),
    ...asked.map(({ item, unit }) => ({ item, unit, quantity: 0, wanted: true })),
  ];
  const count = (item: string, unit: 'piece' | 'm' | 'set', quantity: number) =>
    hand.note({ kind: 'part', item, unit, quantity }, `${item}: ${quantity} in the stock`);
  return (
    <>
      {rows.length === 0 ? (
        <Empty icon="package-variant" title="No parts listed, and none asked for">
          Parts that begun jobs ask for stand here by themselves; say how many of each lie in the van. Begin building a
          circuit, or take all sized circuits under To order.
        </Empty>
      ) : (
        <Card>
          {rows.map(({ item, unit, quantity, wanted }, index) => (
            <View
              key={item}
              style={{
                flexDirection: 'row',
                alignItems: 'center',
                gap: 4,
                paddingLeft: 14,
                paddingRight: 4,
                paddingVertical: 6,
                borderTopWidth: index === 0 ? 0 : 1,
                borderColor: palette.line,
              }}
            >
              <View style={{ flex: 1, minWidth: 0 }}>
                <Words kind="strong">{item}</Words>
                <Words kind="small" muted>
                  {[
                    wanted ? 'asked for' : null,
                    priceOf(item) === undefined ? null : `${priceOf(item)?.toFixed(2)} each`,
                  ]
                    .filter(Boolean)
                    .join(' · ') || (unit === 'm' ? 'by the metre' : 'in the stock')}
                </Words>
              </View>
              <ToolButton
                icon="minus"
                label={`One less: ${item}`}
                disabled={quantity < 1}
                onPress={() => count(item, unit, quantity - 1)}
              />
              <BigButton
                mode="text"
                label={`${item}: ${quantity}. Count`}
                onPress={() => setAsking({ kind: 'count', item, unit, quantity })}
              >
                {unit === 'm' ? `${quantity} m` : String(quantity)}
              </BigButton>
              <ToolButton icon="plus" label={`One more: ${item}`} onPress={() => count(item, unit, quantity + 1)} />
              <ToolButton icon="cash" label={`Price of ${item}`} onPress={() => setAsking({ kind: 'price', item })} />
            </View>
          ))}
        </Card>
      )}
      <Card>
        <View style={{ padding: 14, gap: 8, alignItems: 'flex-start' }}>
          <Words kind="heading" level={2}>
            An hour of work
          </Words>
          <Words muted>
            {state.perHour === null
              ? 'No rate is set: no estimate shows any cost of work.'
              : `${state.perHour.toFixed(2)} an hour.`}
          </Words>
          <BigButton mode="outlined" onPress={() => setAsking({ kind: 'rate' })}>
            {state.perHour === null ? 'Set a rate' : 'Another rate'}
          </BigButton>
        </View>
      </Card>
      {asking?.kind === 'count' ? (
        <FigureDialog
          title={asking.item}
          label={asking.unit === 'm' ? 'Metres in the stock' : 'So many in the stock'}
          first={asking.quantity}
          most={100_000}
          onClose={() => setAsking(null)}
          onFigure={(quantity) => {
            setAsking(null);
            count(asking.item, asking.unit, quantity ?? 0);
          }}
        />
      ) : null}
      {asking?.kind === 'price' ? (
        <FigureDialog
          title={asking.item}
          label="Price of one, or of a metre"
          first={priceOf(asking.item) ?? null}
          most={100_000}
          onClose={() => setAsking(null)}
          onFigure={(each) => {
            setAsking(null);
            hand.note(
              { kind: 'price', item: asking.item, each },
              each === null ? `${asking.item}: no price` : `${asking.item}: ${each.toFixed(2)} each`,
            );
          }}
        />
      ) : null}
      {asking?.kind === 'rate' ? (
        <FigureDialog
          title="An hour of work"
          label="Rate an hour"
          first={state.perHour}
          most={100_000}
          onClose={() => setAsking(null)}
          onFigure={(perHour) => {
            setAsking(null);
            hand.note(
              { kind: 'labour', perHour },
              perHour === null ? 'No rate is set' : `${perHour.toFixed(2)} an hour`,
            );
          }}
        />
      ) : null}
    </>
  );
}
